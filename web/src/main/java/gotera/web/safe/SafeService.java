package gotera.web.safe;

import gotera.circuit.Features.Drive;
import gotera.look.LookState;
import gotera.pressure.trace.TraceEvent;
import gotera.safe.Happened;
import gotera.safe.Opening;
import gotera.said.DyeSaid;
import gotera.said.OpeningSaid;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.EngineTypeService;
import gotera.web.circuit.LeakSite;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What happened to a system that bears on opening it, gathered from every feature. */
@Service
class SafeService {
  private final FindingService findings;
  private final PressureService tests;
  private final CircuitService circuits;
  private final EngineTypeService types;
  private final Clock clock;

  SafeService(
      FindingService findings,
      PressureService tests,
      CircuitService circuits,
      EngineTypeService types,
      Clock clock) {
    this.findings = findings;
    this.tests = tests;
    this.circuits = circuits;
    this.types = types;
    this.clock = clock;
  }

  /**
   * What is known.
   *
   * @param opening the state now
   * @param celsius the temperature now, as predicted from the last reading (°C)
   * @param until time from now until it should be cold enough
   * @param highVoltage whether there is a high-voltage loop
   * @param qualified whether a qualified person said so
   */
  record Known(
      Opening opening,
      OptionalDouble celsius,
      Optional<Duration> until,
      boolean highVoltage,
      boolean qualified) {
    boolean mayOpen() {
      return opening.mayOpen();
    }
  }

  Known known(UUID jobId) {
    Instant now = clock.instant();
    List<Finding<OpeningSaid>> said = findings.of(jobId, OpeningSaid.class);
    List<Happened> happened = new ArrayList<>();
    said.forEach(f -> happened.add(f.said().happened(f.at())));
    circuits.looks(jobId).stream()
        .filter(s -> s.state() == LookState.RUNNING || s.state() == LookState.WARM)
        .map(LeakSite::at)
        .forEach(at -> happened.add(new Happened.Ran(at)));
    findings.of(jobId, DyeSaid.Ran.class).forEach(f -> happened.add(new Happened.Ran(f.at())));
    // whatever a line says that nobody can read, it may be that the engine ran
    findings.unread(jobId).forEach(l -> happened.add(new Happened.Ran(l.at())));
    tests.all(jobId).forEach(t -> pressed(t, now, happened));
    boolean highVoltage = types.features(jobId).drive() == Drive.ELECTRIC;
    Opening opening = Opening.of(happened, highVoltage, now);
    return new Known(
        opening,
        celsius(opening, now),
        until(opening, now),
        highVoltage,
        said.stream().anyMatch(f -> f.said() instanceof OpeningSaid.Qualified));
  }

  /**
   * What a test did to the pressure; once it is over its gauge is not read any more, and nothing of
   * it happened later.
   */
  private static void pressed(PressureTestView test, Instant now, List<Happened> happened) {
    int n = test.trace().size();
    Instant last = n > 0 ? at(test, test.trace().seconds(n - 1)) : test.startedAt();
    // a file of a hold that is not over yet by this clock: whatever is said after it began is newer
    Instant latest = test.finishedAt().orElse(last.isAfter(now) ? test.startedAt() : now);
    if (n > 0) {
      Instant at = earlier(last, latest);
      happened.add(new Happened.GaugeRead(at, test.trace().gauge(n - 1)));
      test.finishedAt().ifPresent(f -> happened.add(new Happened.Vented(f)));
    }
    test.trace().events().stream()
        .filter(e -> e.kind() == TraceEvent.Kind.RELEASED)
        .forEach(e -> happened.add(new Happened.Vented(earlier(at(test, e.seconds()), latest))));
  }

  private static Instant at(PressureTestView test, double seconds) {
    return test.startedAt().plusMillis(Math.round(seconds * 1000));
  }

  private static Instant earlier(Instant a, Instant b) {
    return a.isBefore(b) ? a : b;
  }

  private static OptionalDouble celsius(Opening opening, Instant now) {
    if (opening.measured().isEmpty() || opening.cooling().isEmpty()) {
      return OptionalDouble.empty();
    }
    Duration since = Duration.between(opening.measured().get().at(), now);
    return OptionalDouble.of(
        opening.cooling().get().after(Math.max(0, since.toMillis()) / 60_000.0));
  }

  private static Optional<Duration> until(Opening opening, Instant now) {
    return opening
        .cooling()
        .flatMap(c -> c.until(gotera.timing.CoolDown.SAFE_TO_OPEN))
        .map(d -> d.minus(Duration.between(opening.measured().orElseThrow().at(), now)))
        .map(d -> d.isNegative() ? Duration.ZERO : d);
  }
}
