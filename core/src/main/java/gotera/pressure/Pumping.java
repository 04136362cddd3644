package gotera.pressure;

import gotera.pressure.law.Medium;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Reason;
import java.util.Optional;

/**
 * Whether somebody pumps while a gauge is read: what it shows then is no hold, and a verdict on it
 * would tell him off for doing what he must.
 */
public final class Pumping {
  /** Between two strokes of a hand pump (s) (our judgement, untested). */
  private static final double STROKE = 15;

  private Pumping() {}

  /**
   * Whether it is so.
   *
   * @param trace what was read up to now
   * @param result what would be said of it as a hold
   */
  public static boolean goesOn(Trace trace, HoldConditions conditions, PressureTestResult result) {
    if (trace.size() == 0 || conditions.medium() == Medium.VACUUM || isShut(trace)) {
      return false;
    }
    return switch (result.verdict()) {
      case NOT_COUNTED -> onlyRises(result) || rises(trace, conditions);
      case NOT_PROVEN -> rises(trace, conditions);
      case TIGHT, LEAK, GROSS, STOPPED -> false;
    };
  }

  /** Whether the valve was shut, and nobody pumped since. */
  public static boolean isShut(Trace trace) {
    Optional<Double> shut = trace.last(TraceEvent.Kind.VALVE_SHUT).map(TraceEvent::seconds);
    double pumped =
        trace
            .last(TraceEvent.Kind.PUMPED)
            .map(TraceEvent::seconds)
            .orElse(Double.NEGATIVE_INFINITY);
    return shut.filter(s -> s >= pumped).isPresent();
  }

  private static boolean onlyRises(PressureTestResult result) {
    return !result.reasons().isEmpty()
        && result.reasons().stream().allMatch(r -> r.code() == Reason.Code.RISING);
  }

  /** Whether it shows more than a stroke ago. */
  private static boolean rises(Trace trace, HoldConditions conditions) {
    int last = trace.size() - 1;
    int before = last;
    while (before > 0 && trace.seconds(last) - trace.seconds(before) < STROKE) {
      before--;
    }
    return trace.gauge(last) - trace.gauge(before) > conditions.gauge().resolution();
  }
}
