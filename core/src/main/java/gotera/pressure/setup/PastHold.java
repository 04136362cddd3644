package gotera.pressure.setup;

import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.time.Instant;
import java.util.Optional;

/**
 * A hold made before on the same vehicle.
 *
 * @param id what whoever keeps it finds it again by
 * @param startedAt when its clock began
 * @param finishedAt when it was finished, if it was
 * @param setup its description
 * @param conditions the description completed
 * @param trace what was read
 * @param result what it says
 */
public record PastHold(
    String id,
    Instant startedAt,
    Optional<Instant> finishedAt,
    HoldSetup setup,
    HoldConditions conditions,
    Trace trace,
    PressureTestResult result) {

  boolean ofLiquid() {
    return conditions.medium() == Medium.LIQUID;
  }

  /** A moment of its clock. */
  Instant at(double seconds) {
    return startedAt.plusMillis(Math.round(seconds * 1000));
  }

  /** When it last read a pressure near its highest. */
  Instant highestAt() {
    double high = trace.highest().orElseThrow() / HoldConditions.HIGHER;
    int i = trace.size() - 1;
    while (trace.gauge(i) < high) {
      i--;
    }
    return at(trace.seconds(i));
  }

  /** When pressure was let off or coolant drawn in it, if it was. */
  Optional<Instant> letOff() {
    Optional<Instant> event =
        trace.events().stream()
            .filter(e -> e.kind() == TraceEvent.Kind.RELEASED || e.kind() == TraceEvent.Kind.DRAW)
            .map(e -> at(e.seconds()))
            .reduce((a, b) -> b);
    boolean drawn =
        !setup.compliance().draws().isEmpty() || setup.course().closingDraw().isPresent();
    return event.or(() -> drawn ? finishedAt : Optional.empty());
  }

  /** What was let out in it and not pushed in again (mL). */
  double drawn() {
    double measuring =
        setup.compliance().draws().stream().mapToDouble(d -> d.millilitresOut()).sum();
    return measuring + setup.course().closingDraw().map(d -> d.millilitresOut()).orElse(0.0);
  }
}
