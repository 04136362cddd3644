package gotera.cap;

import gotera.quantity.GaugePressure;
import gotera.word.Worded;
import java.util.Optional;

/**
 * The highest pressure a test may use, and who says so: the lower of the cap's rating and the
 * maker's figure, unless the maker states a test pressure that the user confirmed (common practice,
 * no source).
 *
 * @param pressure the limit
 * @param source where it comes from
 */
public record TestLimit(GaugePressure pressure, Source source) {
  /** Who sets the limit. */
  public enum Source implements Worded {
    /** The stamp on the cap. */
    CAP,
    /** The maker's figure for the system, lower than the cap's. */
    MAKER_FIGURE,
    /** The maker's explicit test pressure, confirmed. */
    MAKER_TEST_PRESSURE
  }

  /**
   * Share of the limit that a needle may overshoot by where its step is finer (1) (our judgement,
   * untested).
   */
  private static final double OVERSHOOT = 0.01;

  /**
   * Whether a pressure is so far above the limit that a test with it does not count, and that it is
   * asked back before.
   *
   * @param kilopascals gauge pressure (kPa)
   * @param step smallest step that is read (kPa)
   */
  public boolean isExceededBy(double kilopascals, double step) {
    double limit = pressure.kilopascals();
    return kilopascals > limit + Math.max(step, OVERSHOOT * limit);
  }

  /**
   * The limit that follows from what is known.
   *
   * @param cap rating of the cap that belongs on this vehicle
   * @param makerFigure the maker's highest system pressure, if known
   * @param confirmedTestPressure a test pressure the maker states and the user confirmed
   */
  public static TestLimit of(
      GaugePressure cap,
      Optional<GaugePressure> makerFigure,
      Optional<GaugePressure> confirmedTestPressure) {
    if (confirmedTestPressure.isPresent()) {
      return new TestLimit(confirmedTestPressure.get(), Source.MAKER_TEST_PRESSURE);
    }
    return makerFigure
        .filter(m -> m.compareTo(cap) < 0)
        .map(m -> new TestLimit(m, Source.MAKER_FIGURE))
        .orElseGet(() -> new TestLimit(cap, Source.CAP));
  }
}
