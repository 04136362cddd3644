package gotera.retest;

import gotera.pressure.PressureTestResult;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import java.util.List;
import java.util.Optional;

/** What the test after a repair proves. */
public sealed interface Proof {

  /**
   * The computed leak rate is zero, within a bound.
   *
   * @param bound highest rate that is possible, 95 % (mL/min)
   * @param upTo gauge pressure at the end of the hold (kPa); above it nothing is proven
   * @param atRated whether pumping up again told settling from a leak that shuts, so that the proof
   *     holds at the rated pressure
   * @param shownBefore whether a pressure test had shown the leak: only then does this one prove
   *     the repair
   * @param change rate after less rate before, where both are known
   */
  record Zero(
      double bound, double upTo, boolean atRated, boolean shownBefore, Optional<Change> change)
      implements Proof {}

  /**
   * Not shown to be zero.
   *
   * @param verdict what the test says instead
   * @param reasons what is missing
   * @param change rate after less rate before, where both are known
   */
  record Missing(VerdictKind verdict, List<Reason> reasons, Optional<Change> change)
      implements Proof {}

  /**
   * A difference of two rates.
   *
   * @param difference after less before (mL/min)
   * @param u its standard uncertainty, the tests being independent (mL/min)
   */
  record Change(double difference, double u) {}

  /**
   * The proof a test gives after a repair.
   *
   * @param before the test that showed the leak, if there was one
   * @param after the test after the repair
   */
  static Proof of(Optional<PressureTestResult> before, PressureTestResult after) {
    Optional<Change> change =
        before
            .flatMap(PressureTestResult::rate)
            .filter(b -> b.asCoolant().isEmpty())
            .flatMap(
                b ->
                    after
                        .rate()
                        .filter(a -> a.asCoolant().isEmpty())
                        .map(a -> new Change(a.rate() - b.rate(), Math.hypot(a.u(), b.u()))));
    if (after.verdict() != VerdictKind.TIGHT) {
      return new Missing(after.verdict(), after.reasons(), change);
    }
    PressureTestResult.Rate rate = after.rate().orElseThrow();
    if (rate.asCoolant().isPresent()) {
      // air says whether an assembly is right, and nothing of coolant
      return new Missing(after.verdict(), List.of(Reason.of(Reason.Code.DRY_TEST)), change);
    }
    return new Zero(
        rate.upper(),
        rate.endPressure(),
        rate.pumpedUpAgain(),
        before.map(Proof::showsLeak).orElse(false),
        change);
  }

  private static boolean showsLeak(PressureTestResult result) {
    return switch (result.verdict()) {
      case LEAK, GROSS, STOPPED -> true;
      case NOT_COUNTED, TIGHT, NOT_PROVEN -> false;
    };
  }
}
