package gotera.web.look;

import gotera.look.DryLook;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.said.RunningSaid;
import gotera.said.RunningSaid.FirstDrop;
import gotera.said.RunningSaid.StayedDry;
import gotera.suspects.Observation.Looked;
import gotera.web.circuit.CircuitService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The look at the running engine: how long until the first drop, or how long none fell. */
@Service
public class RunningService {
  private static final int A_MINUTE = 60; // s

  private final FindingService findings;
  private final CircuitService circuits;
  private final Clock clock;

  RunningService(FindingService findings, CircuitService circuits, Clock clock) {
    this.findings = findings;
    this.circuits = circuits;
    this.clock = clock;
  }

  List<Finding<RunningSaid>> all(UUID jobId) {
    return findings.of(jobId, RunningSaid.class);
  }

  /** Since when it runs and is looked at; nothing while nobody looks. */
  Optional<Instant> since(UUID jobId) {
    return all(jobId).stream()
        .reduce((a, b) -> b)
        .filter(f -> f.said() instanceof RunningSaid.Started)
        .map(Finding::at);
  }

  /** How long it ran before the first drop fell, the longest of all such looks (min). */
  public OptionalDouble shownAfter(UUID jobId) {
    return drops(jobId).stream().mapToDouble(f -> f.said().minutes()).max();
  }

  /** Each first drop, with how long it ran before (min). */
  public List<Finding<FirstDrop>> drops(UUID jobId) {
    return findings.of(jobId, FirstDrop.class);
  }

  /** Each run without a drop, where drops do not dry up. */
  public List<Finding<StayedDry>> dryRuns(UUID jobId) {
    return findings.of(jobId, StayedDry.class).stream()
        .filter(f -> f.said().celsius().orElse(0) <= DryLook.DRIES_UP)
        .toList();
  }

  void start(UUID jobId, String by) {
    findings.write(jobId, new RunningSaid.Started(), by);
  }

  /** The first drop fell somewhere: the place is seen wet, running. */
  @Write
  public void dripped(UUID jobId, String joint, double minutes, String by) {
    findings.write(jobId, new FirstDrop(joint, minutes), by);
    seen(jobId, joint, Sight.WET, by);
  }

  /** No drop fell; where one place was watched, it is seen dry, running. */
  @Write
  public void dry(UUID jobId, String joint, double minutes, OptionalDouble celsius, String by) {
    findings.write(jobId, new StayedDry(joint, minutes, celsius), by);
    if (!joint.isEmpty()) {
      seen(jobId, joint, Sight.DRY, by);
    }
  }

  private void seen(UUID jobId, String joint, Sight saw, String by) {
    OptionalDouble no = OptionalDouble.empty();
    circuits.log(jobId, new Looked(joint, LookState.RUNNING, saw, no, no), by);
  }

  /** Minutes since then. */
  double minutesSince(Instant then) {
    return Duration.between(then, clock.instant()).toSeconds() / (double) A_MINUTE;
  }
}
