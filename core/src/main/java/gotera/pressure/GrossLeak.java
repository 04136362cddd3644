package gotera.pressure;

import gotera.pressure.law.Medium;
import gotera.pressure.trace.Trace;
import gotera.quantity.AbsolutePressure;
import gotera.uncertainty.DecisionLimits;
import java.util.OptionalDouble;

/**
 * A leak so large that 80 % of the rated pressure cannot be reached, or not kept for 20 s (our
 * judgement, untested). It has no rate, but a lower bound: C·|dp/dt| over the fall.
 */
final class GrossLeak {
  private static final double SHARE = 0.8;
  private static final double KEPT = 20; // s

  /**
   * A pressure that is low must be kept so long to have been low on purpose (s) (our judgement,
   * untested): what cannot be pumped up falls faster.
   */
  private static final double KEPT_LOW = 300;

  private GrossLeak() {}

  /** The lower bound (mL/min), if the leak is gross and the fall was seen. */
  static OptionalDouble lowerBound(Trace trace, Trace window, HoldConditions conditions) {
    if (window.size() < 2 || conditions.medium() == Medium.VACUUM) {
      return OptionalDouble.empty();
    }
    double needed = SHARE * conditions.rated().kilopascals();
    boolean reached = trace.highest().orElse(0.0) >= needed;
    // a pressure that is low on purpose and kept is a hold, and what it loses is measured
    if (reached ? kept(window, needed, KEPT) : kept(window, SHARE * window.gauge(0), KEPT_LOW)) {
      return OptionalDouble.empty();
    }
    double noise = conditions.gauge().noise() * Math.sqrt(2);
    double dry = window.gauge(0) + conditions.atmosphere().kilopascals();
    double compliance = conditions.airAndHoses().total(new AbsolutePressure(dry));
    double least =
        compliance
            * Math.max(0, 1 - DecisionLimits.K * conditions.airAndHoses().relativeUncertainty());
    double bound = 0;
    for (int i = 1; i < window.size(); i++) {
      double fall = window.gauge(0) - window.gauge(i) - DecisionLimits.K * noise;
      double minutes = (window.seconds(i) - window.seconds(0)) / 60;
      bound = Math.max(bound, least * fall / minutes);
    }
    // a pressure that is low but stays is a hold at too low a pressure, not a gross leak
    return bound > conditions.acceptance().limit()
        ? OptionalDouble.of(bound)
        : OptionalDouble.empty();
  }

  private static boolean kept(Trace window, double needed, double so) {
    double start = window.seconds(0);
    for (int i = 0; i < window.size(); i++) {
      double seconds = window.seconds(i) - start;
      if (seconds > so) {
        return i == 0 || between(window, i, start + so) >= needed;
      }
      if (window.gauge(i) < needed) {
        return false;
      }
    }
    return true;
  }

  /** The pressure at a time (s), read before and after: it falls by the same share. */
  private static double between(Trace window, int after, double at) {
    double p0 = window.gauge(after - 1);
    double p1 = window.gauge(after);
    double t0 = window.seconds(after - 1);
    double share = (at - t0) / (window.seconds(after) - t0);
    return p0 > 0 && p1 > 0 ? p0 * Math.pow(p1 / p0, share) : p0 + share * (p1 - p0);
  }
}
