package gotera.web.inside;

import gotera.said.InsideSaid;
import gotera.suspects.Observation;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What was found inside a job's engine, and in its fluids. */
@Service
public class InsideService {
  private final FindingService findings;

  InsideService(FindingService findings) {
    this.findings = findings;
  }

  /**
   * Something that was found.
   *
   * @param at when
   * @param what what it is
   */
  public record Found(Instant at, Observation what) {}

  /** Everything that says something of the suspects, in order of time. */
  public List<Found> all(UUID jobId) {
    return written(jobId).stream()
        .flatMap(f -> f.said().observation().map(o -> new Found(f.at(), o)).stream())
        .toList();
  }

  /** Everything that was found by checks, in order of time. */
  public List<Finding<InsideSaid>> written(UUID jobId) {
    return findings.of(jobId, InsideSaid.class).stream()
        .filter(f -> !(f.said() instanceof InsideSaid.ColourMeasured))
        .sorted(Comparator.comparing(Finding::at))
        .toList();
  }

  void write(UUID jobId, InsideSaid found, String by) {
    findings.write(jobId, found, by);
  }
}
