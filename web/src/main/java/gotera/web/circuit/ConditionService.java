package gotera.web.circuit;

import gotera.look.Condition;
import gotera.suspects.Checked.Felt;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.word.Worded;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Conditions of places that tell without wetness: hoses, clamps, bearings. */
@Service
public class ConditionService {
  static final String CHECK = "condition";

  private final FindingService findings;

  ConditionService(FindingService findings) {
    this.findings = findings;
  }

  /** Writes down in which condition a place is. */
  public void write(UUID jobId, String joint, Condition condition, String by) {
    findings.write(jobId, FindingService.New.of(CHECK, joint, condition.word()), by);
  }

  /**
   * A condition that was found.
   *
   * @param id its identifier
   * @param at when
   * @param what which, and where
   */
  public record Found(UUID id, Instant at, Felt what) {}

  /** Every condition, in order of time. */
  public List<Found> all(UUID jobId) {
    return findings.of(jobId, CHECK).stream().flatMap(f -> found(f).stream()).toList();
  }

  private static java.util.Optional<Found> found(Finding f) {
    return Worded.of(Condition.class, f.saw())
        .map(c -> new Found(f.id(), f.at(), new Felt(f.subject(), c)));
  }
}
