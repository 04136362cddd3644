package gotera.decide;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a shop charges, without tax.
 *
 * @param hour an hour of labour, 0 or above
 * @param retestHours labour of a re-test (h)
 * @param comeBack what a case costs that comes back unsolved
 * @param prices what is known of repairs, by the word of their kind
 */
public record Shop(double hour, double retestHours, double comeBack, Map<String, Price> prices) {
  /** Labour of a re-test, where the shop says nothing (h) (our judgement, untested). */
  public static final double RETEST_HOURS = 0.4;

  /** A come-back costs as much as this labour, likewise (h) (our judgement, untested). */
  public static final double COME_BACK_HOURS = 3;

  /** Keeps its own copy. */
  public Shop {
    prices = Map.copyOf(prices);
  }

  /**
   * What a kind of repair costs.
   *
   * @param parts parts, where the price is known
   * @param hours labour, where the shop has its own time (h)
   * @param days until the parts are there (d)
   * @param note what is said of the part: freight, or a used one with the test it passed
   */
  public record Price(
      OptionalDouble parts, OptionalDouble hours, OptionalDouble days, String note) {
    /** Nothing is known. */
    public static final Price UNKNOWN =
        new Price(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), "");
  }

  /** What is known of a kind. */
  public Optional<Price> price(RepairKind kind) {
    return Optional.ofNullable(prices.get(kind.word()));
  }

  /** Labour of a kind without what it shares (h). */
  public double hours(RepairKind kind) {
    return price(kind).map(Price::hours).orElse(OptionalDouble.empty()).orElse(kind.hours());
  }

  /** Parts of a kind; 0 where nobody knows. */
  public double parts(RepairKind kind) {
    return price(kind).map(Price::parts).orElse(OptionalDouble.empty()).orElse(0);
  }

  /** Whether the price of its parts is known. */
  public boolean priced(RepairKind kind) {
    return price(kind).map(Price::parts).filter(OptionalDouble::isPresent).isPresent();
  }
}
