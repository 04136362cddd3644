package gotera.web.circuit;

import gotera.look.Condition;
import gotera.said.CircuitSaid.DripsAt;
import gotera.said.CircuitSaid.InCondition;
import gotera.suspects.Checked.Felt;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Conditions of places that tell without wetness: hoses, clamps, bearings. */
@Service
public class ConditionService {
  private final FindingService findings;

  ConditionService(FindingService findings) {
    this.findings = findings;
  }

  /** Writes down in which condition a place is. */
  public void write(UUID jobId, String joint, Condition condition, String by) {
    findings.write(jobId, new InCondition(new Felt(joint, condition)), by);
  }

  /** Writes down at which pressure a place begins or stops to drip. */
  void drips(UUID jobId, DripsAt what, String by) {
    findings.write(jobId, what, by);
  }

  /** At which pressures a place begins and stops to drip, as it was written. */
  List<Finding<DripsAt>> drips(UUID jobId, String joint) {
    return findings.of(jobId, DripsAt.class).stream()
        .filter(f -> f.said().place().equals(joint))
        .toList();
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
    return findings.of(jobId, InCondition.class).stream()
        .map(f -> new Found(f.id(), f.at(), f.said().felt()))
        .toList();
  }
}
