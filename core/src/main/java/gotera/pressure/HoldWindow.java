package gotera.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;

/**
 * The part of a trace that is the hold: chosen by the user, or from the moment the valve was last
 * shut (else the end of pumping, else the first reading) to the first draw or release after it.
 *
 * <p>Pumped-in air is warm for some seconds and its cooling looks like a loss. So the first seconds
 * are left out, as many as the gauge would see it, where enough readings remain; with few readings
 * by hand each one is needed, and the settling of the model takes it up. That it comes in at most 8
 * K warmer and cools with a time constant of some 6 s is our judgement, untested.
 */
final class HoldWindow {
  private static final double SHORTEST = 20; // s
  private static final double LONGEST = 60; // s
  private static final double TIME_CONSTANT = 6; // s
  private static final double EXCESS = 5.6; // kPa, 8 K at 200 kPa and 290 K
  private static final int ENOUGH = 10; // readings

  private HoldWindow() {}

  /**
   * The whole hold, from the moment the valve was shut: the maker's clock and a gross fall use it.
   */
  static Trace whole(Trace trace, HoldConditions conditions) {
    if (conditions.window().isPresent()) {
      return trace.between(conditions.window().get().from(), conditions.window().get().to());
    }
    double from =
        trace
            .last(TraceEvent.Kind.VALVE_SHUT)
            .map(TraceEvent::seconds)
            .orElse(conditions.pumping().until().orElse(Double.NEGATIVE_INFINITY));
    double to =
        trace.events().stream()
            .filter(e -> e.seconds() >= from)
            .filter(e -> e.kind() == TraceEvent.Kind.DRAW || e.kind() == TraceEvent.Kind.RELEASED)
            .mapToDouble(TraceEvent::seconds)
            .findFirst()
            .orElse(Double.POSITIVE_INFINITY);
    return trace.between(from, to);
  }

  /** The part of the hold that a rate is estimated from. */
  static Trace cooled(Trace whole, HoldConditions conditions) {
    if (whole.size() == 0 || conditions.window().isPresent()) {
      return whole;
    }
    // until what is left of it is half the gauge's noise
    double seen = TIME_CONSTANT * Math.log(2 * EXCESS / conditions.gauge().noise());
    double wait = Math.min(LONGEST, Math.max(SHORTEST, seen));
    Trace cooled = whole.between(whole.seconds(0) + wait, Double.POSITIVE_INFINITY);
    return cooled.size() >= ENOUGH ? cooled : whole;
  }
}
