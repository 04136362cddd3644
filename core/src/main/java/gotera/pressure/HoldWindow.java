package gotera.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.util.Optional;

/**
 * The part of a trace that is the hold: chosen by the user, or from the moment the valve was last
 * shut (else the end of pumping, else the first reading) to the first draw or release after it.
 *
 * <p>Who pumps by hand reads the gauge and then shuts the valve: where nobody read it at the valve,
 * the reading just before is the first of the hold, unless it was pumped on after it.
 *
 * <p>Pumped-in air is warm for some seconds and its cooling looks like a loss. So the first seconds
 * are left out, as many as the gauge would see it, where enough readings remain; with few readings
 * by hand each one is needed, and the settling of the model takes it up. That it comes in at most 8
 * K warmer and cools with a time constant of some 6 s is our judgement, untested.
 */
final class HoldWindow {
  /** A reading so soon tells the pressure at which the valve was shut (s; our judgement). */
  static final double AT_THE_VALVE = 5;

  /** The valve is shut so soon after the gauge was read (s; our judgement, untested). */
  private static final double READ_THEN_SHUT = 90;

  private static final double SHORTEST = 20; // s
  private static final double LONGEST = 60; // s
  private static final double TIME_CONSTANT = 6; // s
  private static final double EXCESS = 5.6; // kPa, 8 K at 200 kPa and 290 K
  private static final int ENOUGH = 10; // readings

  private HoldWindow() {}

  /**
   * When the valve was shut for the hold, or pumping ended; before everything where nobody says.
   */
  static double shut(Trace trace, HoldConditions conditions) {
    return trace
        .last(TraceEvent.Kind.VALVE_SHUT)
        .map(TraceEvent::seconds)
        .orElse(conditions.pumping().until().orElse(Double.NEGATIVE_INFINITY));
  }

  /**
   * The whole hold, from the moment the valve was shut: the maker's clock and a gross fall use it.
   */
  static Trace whole(Trace trace, HoldConditions conditions) {
    if (conditions.window().isPresent()) {
      return trace.between(conditions.window().get().from(), conditions.window().get().to());
    }
    double shut = shut(trace, conditions);
    double to =
        trace.events().stream()
            .filter(e -> e.seconds() >= shut)
            .filter(e -> e.kind() == TraceEvent.Kind.DRAW || e.kind() == TraceEvent.Kind.RELEASED)
            .mapToDouble(TraceEvent::seconds)
            .findFirst()
            .orElse(Double.POSITIVE_INFINITY);
    return trace.between(readThenShut(trace, shut, conditions).orElse(shut), to);
  }

  /** When the gauge was read just before the valve was shut, where nobody read it at the valve. */
  private static Optional<Double> readThenShut(
      Trace trace, double shut, HoldConditions conditions) {
    Trace before = trace.between(shut - READ_THEN_SHUT, Math.nextDown(shut));
    Trace after = trace.between(shut, Double.POSITIVE_INFINITY);
    boolean readAtValve = after.size() > 0 && after.seconds(0) - shut <= AT_THE_VALVE;
    if (before.size() == 0 || readAtValve) {
      return Optional.empty();
    }
    int last = before.size() - 1;
    double tolerance = 2 * conditions.gauge().resolution();
    boolean pumpedOn =
        after.size() > 0 && before.gauge(last) < after.gauge(0) - tolerance
            || trace.events().stream()
                .anyMatch(
                    e ->
                        e.kind() == TraceEvent.Kind.PUMPED
                            && e.seconds() > before.seconds(last)
                            && e.seconds() <= shut);
    return pumpedOn ? Optional.empty() : Optional.of(before.seconds(last));
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
