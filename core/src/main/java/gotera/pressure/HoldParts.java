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

  /** So many holds before the one that is judged are looked at: those of the last hour or so. */
  private static final int MOST_EARLIER = 8;

  static HoldParts before(Trace trace, HoldConditions conditions) {
    double judged = judgedFrom(trace, conditions);
    Optional<Trace> preHold = Optional.empty();
    List<Trace> earlier = new ArrayList<>();
    double rated = conditions.rated().kilopascals();
    Trace whole = HoldWindow.whole(trace, conditions);
    double start = whole.size() == 0 ? rated : whole.gauge(0);
    OptionalDouble sinceHigher = OptionalDouble.empty();
    for (Trace part : holdsBefore(trace, judged)) {
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

  /** How long it was pressed before the hold that is judged (min). */
  double pressedMinutes(Trace hold) {
    return earlier.stream()
        .mapToDouble(e -> Math.max(0, hold.seconds(0) - e.seconds(0)) / 60)
        .max()
        .orElse(0);
  }

  /**
   * The last holds before a moment, in order: each from the valve being shut to the next thing done
   * to the pressure.
   */
  private static List<Trace> holdsBefore(Trace trace, double judged) {
    List<Trace> holds = new ArrayList<>();
    double end = Double.POSITIVE_INFINITY;
    for (int i = trace.events().size() - 1; i >= 0 && holds.size() < MOST_EARLIER; i--) {
      TraceEvent e = trace.events().get(i);
      if (e.kind() == TraceEvent.Kind.VALVE_SHUT && e.seconds() < judged) {
        Trace part = trace.between(e.seconds(), end);
        if (part.size() >= 2) {
          holds.add(0, part);
        }
      }
      if (disturbs(e) && e.seconds() < end) {
        end = Math.nextDown(e.seconds());
      }
    }
    return holds;
  }

  private static boolean disturbs(TraceEvent e) {
    return switch (e.kind()) {
      case PUMPED, VALVE_SHUT, DRAW, RELEASED -> true;
      default -> false;
    };
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
}
