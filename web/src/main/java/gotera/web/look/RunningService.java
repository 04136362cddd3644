package gotera.web.look;

import gotera.look.DryLook;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Looked;
import gotera.web.circuit.CircuitService;
import gotera.web.finding.Finding;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import gotera.web.guide.GuideService;
import gotera.web.guide.GuideService.Taken;
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
  static final String CHECK = "running-look";
  static final String STARTED = "started";
  static final String DRIPPED = "dripped";
  private static final int A_MINUTE = 60; // s

  private final GuideService guides;
  private final CircuitService circuits;
  private final Clock clock;

  RunningService(GuideService guides, CircuitService circuits, Clock clock) {
    this.guides = guides;
    this.circuits = circuits;
    this.clock = clock;
  }

  List<Finding> all(UUID jobId) {
    return guides.runs(jobId, CHECK).stream().flatMap(List::stream).toList();
  }

  /** Since when it runs and is looked at; nothing while nobody looks. */
  Optional<Instant> since(UUID jobId) {
    List<Finding> all = all(jobId);
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(all.get(all.size() - 1))
            .filter(f -> f.saw().equals(STARTED))
            .map(Finding::at);
  }

  /** How long it ran before the first drop fell, the longest of all such looks (min). */
  public OptionalDouble shownAfter(UUID jobId) {
    return all(jobId).stream()
        .filter(f -> f.saw().equals(DRIPPED))
        .mapToDouble(f -> f.measures().minutes().orElse(0))
        .max();
  }

  /** The longest run without a drop since then, where drops do not dry up (min). */
  public OptionalDouble dryFor(UUID jobId, Instant since) {
    return all(jobId).stream()
        .filter(f -> f.saw().equals(GuideService.ENDED) && f.writtenAt().isAfter(since))
        .filter(f -> f.measures().celsius().orElse(0) <= DryLook.DRIES_UP)
        .mapToDouble(f -> f.measures().minutes().orElse(0))
        .max();
  }

  /** Whether a drop fell since then. */
  public boolean drippedSince(UUID jobId, Instant since) {
    return all(jobId).stream()
        .anyMatch(f -> f.saw().equals(DRIPPED) && f.writtenAt().isAfter(since));
  }

  void start(UUID jobId, String by) {
    write(jobId, STARTED, "", Measures.NONE, by);
  }

  /** The first drop fell somewhere: the place is seen wet, running. */
  @Write
  public void dripped(UUID jobId, String joint, double minutes, String by) {
    write(jobId, DRIPPED, joint, ran(minutes), by);
    seen(jobId, joint, Sight.WET, by);
  }

  /** No drop fell; where one place was watched, it is seen dry, running. */
  @Write
  public void dry(UUID jobId, String joint, double minutes, OptionalDouble celsius, String by) {
    write(jobId, GuideService.ENDED, joint, ran(minutes).and(Measure.CELSIUS, celsius), by);
    if (!joint.isEmpty()) {
      seen(jobId, joint, Sight.DRY, by);
    }
  }

  private void write(UUID jobId, String step, String joint, Measures measures, String by) {
    guides.write(
        jobId, CHECK, new Taken(step, joint, measures, Optional.empty(), Duration.ZERO), by);
  }

  private void seen(UUID jobId, String joint, Sight saw, String by) {
    OptionalDouble no = OptionalDouble.empty();
    circuits.log(jobId, new Looked(joint, LookState.RUNNING, saw, no, no), by);
  }

  private static Measures ran(double minutes) {
    return Measures.NONE.and(Measure.MINUTES, minutes);
  }

  /** Minutes since then. */
  double minutesSince(Instant then) {
    return Duration.between(then, clock.instant()).toSeconds() / (double) A_MINUTE;
  }
}
