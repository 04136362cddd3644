package gotera.pressure;

import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.uncertainty.DecisionLimits;
import gotera.word.Worded;
import java.util.Optional;

/**
 * What may be said of a hold before it ends. Whoever looks all the time repeats the test at every
 * look, and one look in twenty would call a tight system a leak. So it is looked at whole minutes
 * only, and there with wider limits than at the end; what they are worth over a whole hold of 30
 * minutes was found by simulation, and is found again by {@code ./gotera early}. Everything else
 * that is shown meanwhile is so far, and no claim. At the end the verdict counts as ever.
 *
 * <p>Limits that stay wide from the first look to the last follow S. J. Pocock, Biometrika 64
 * (1977) 191; here they are calibrated for these holds and not taken from his table, for looks at
 * the same fit are not sums of independent parts.
 *
 * @param kind what is claimed
 * @param minutes the look at which it was (min since the valve was shut)
 */
public record EarlyClaim(Kind kind, int minutes) {
  /** The first look (min since the valve was shut) (our judgement: the settling is in it). */
  static final int FIRST_LOOK = 3;

  /** So many times the threshold of a leak must the rate be (1); by simulation, see above. */
  static final double LEAK_FACTOR = 1.7;

  /** One-sided factor of the upper limit that must be accepted (1); by simulation, see above. */
  static final double TIGHT_FACTOR = 3.3;

  /** What can be claimed. */
  public enum Kind implements Worded {
    /** It leaks. */
    LEAK,
    /** It is tight, but for what is only done at the end. */
    TIGHT
  }

  /**
   * The first claim of a hold up to now, if there is any.
   *
   * @param trace what was read up to now
   * @param conditions everything else
   */
  public static Optional<EarlyClaim> first(Trace trace, HoldConditions conditions) {
    return first(trace, conditions, FIRST_LOOK);
  }

  /**
   * The same, from a look on: those before claimed nothing.
   *
   * @param from the look to begin with (min)
   */
  public static Optional<EarlyClaim> first(Trace trace, HoldConditions conditions, int from) {
    int last = lastLook(trace, conditions);
    for (int minutes = Math.max(FIRST_LOOK, from); minutes <= last; minutes++) {
      Optional<Kind> claimed = at(minutes, trace, conditions);
      if (claimed.isPresent()) {
        return Optional.of(new EarlyClaim(claimed.get(), minutes));
      }
    }
    return Optional.empty();
  }

  /** The last look that is due (min since the valve was shut), 0 where none is. */
  public static int lastLook(Trace trace, HoldConditions conditions) {
    double shut = HoldWindow.shut(trace, conditions);
    boolean any = trace.size() > 0 && Double.isFinite(shut);
    return any
        ? (int)
            Math.max(0, Math.min(TestPlan.LONGEST, (trace.seconds(trace.size() - 1) - shut) / 60))
        : 0;
  }

  /** When a look is made (s since the valve was shut). */
  public static double seconds(int look) {
    return 60.0 * look;
  }

  private static Optional<Kind> at(int minutes, Trace trace, HoldConditions conditions) {
    double shut = HoldWindow.shut(trace, conditions);
    PressureTestResult known =
        new PressureTest(trace.until(shut + seconds(minutes)), conditions).analyse();
    return known.rate().flatMap(rate -> claim(known, rate, conditions));
  }

  private static Optional<Kind> claim(
      PressureTestResult known, Rate rate, HoldConditions conditions) {
    if (known.verdict() == VerdictKind.LEAK) {
      return leakMargin(rate) >= LEAK_FACTOR ? Optional.of(Kind.LEAK) : Optional.empty();
    }
    return tightBut(known) && upper(rate, TIGHT_FACTOR) <= conditions.acceptance().limit()
        ? Optional.of(Kind.TIGHT)
        : Optional.empty();
  }

  /** The rate over what counts as a leak (1). */
  static double leakMargin(Rate rate) {
    return rate.leakThreshold() > 0 ? rate.rate() / rate.leakThreshold() : 0;
  }

  /** Whether it is tight but for the draw that closes a test. */
  private static boolean tightBut(PressureTestResult known) {
    return known.verdict() == VerdictKind.TIGHT
        || known.verdict() == VerdictKind.NOT_PROVEN
            && known.reasons().stream().allMatch(r -> r.code() == Code.CLOSING_DRAW_MISSING);
  }

  /** Upper limit of the rate with another factor than the usual (mL/min). */
  private static double upper(Rate rate, double factor) {
    DecisionLimits usual = rate.limits();
    return new DecisionLimits(
            usual.u0Additive(), usual.r(), usual.thermal(), factor * usual.k() / DecisionLimits.K)
        .upper(rate.rate());
  }
}
