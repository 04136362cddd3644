package gotera.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Holds on the same trace before the one that is judged: a pre-hold at next to no pressure measures
 * what temperature does, a hold before pumping up again measures what settles.
 *
 * @param preHold readings of the last hold at no more than a tenth of the rated pressure
 * @param earlier holds near the rated pressure, the first first
 * @param sinceHigher minutes from the last hold at a higher pressure to the one that is judged
 */
record HoldParts(Optional<Trace> preHold, List<Trace> earlier, OptionalDouble sinceHigher) {

  /** A pre-hold has at most this share of the rated pressure (common practice, no source). */
  static final double PRE_HOLD_SHARE = 0.1;

  private static final double HOLD_SHARE = 0.8;
  private static final int FEWEST = 3;

  static HoldParts before(Trace trace, HoldConditions conditions) {
    double judged = judgedFrom(trace, conditions);
    Optional<Trace> preHold = Optional.empty();
    List<Trace> earlier = new ArrayList<>();
    double rated = conditions.rated().kilopascals();
    Trace whole = HoldWindow.whole(trace, conditions);
    double start = whole.size() == 0 ? rated : whole.gauge(0);
    OptionalDouble sinceHigher = OptionalDouble.empty();
    for (TraceEvent shut : trace.events()) {
      if (shut.kind() != TraceEvent.Kind.VALVE_SHUT || shut.seconds() >= judged) {
        continue;
      }
      Trace part = trace.between(shut.seconds(), end(trace, shut.seconds()));
      if (part.size() < 2) {
        continue;
      }
      if (part.highest().orElse(0.0) <= PRE_HOLD_SHARE * rated) {
        preHold = Optional.of(part);
      } else if (PressureTest.meanPressure(part) > HoldConditions.HIGHER * start) {
        sinceHigher = OptionalDouble.of(Math.max(0, judged - part.seconds(part.size() - 1)) / 60);
      } else if (part.size() >= FEWEST && PressureTest.meanPressure(part) >= HOLD_SHARE * rated) {
        earlier.add(part);
      }
    }
    return new HoldParts(preHold, List.copyOf(earlier), sinceHigher);
  }

  /** When the valve was shut for the hold that is judged (s). */
  private static double judgedFrom(Trace trace, HoldConditions conditions) {
    double from = conditions.window().map(HoldConditions.Window::from).orElse(Double.MAX_VALUE);
    return trace.events().stream()
        .filter(e -> e.kind() == TraceEvent.Kind.VALVE_SHUT && e.seconds() <= from)
        .mapToDouble(TraceEvent::seconds)
        .reduce((a, b) -> b)
        .orElse(Double.NEGATIVE_INFINITY);
  }

  /** The next thing that was done to the pressure (s). */
  private static double end(Trace trace, double shut) {
    return trace.events().stream()
        .filter(e -> e.seconds() > shut)
        .filter(
            e ->
                switch (e.kind()) {
                  case PUMPED, VALVE_SHUT, DRAW, RELEASED -> true;
                  default -> false;
                })
        .mapToDouble(e -> Math.nextDown(e.seconds()))
        .findFirst()
        .orElse(Double.POSITIVE_INFINITY);
  }
}
