package gotera.web.circuit;

import gotera.look.Condition;
import gotera.suspects.Checked.Felt;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
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

  /** Whether a place begins or stops to drip at a pressure: what a re-test must exceed. */
  enum Drips implements Worded {
    BEGINS,
    STOPS
  }

  static final String DRIP_PRESSURE = "drip-pressure";

  /** Writes down at which pressure a place begins or stops to drip (kPa). */
  void drips(UUID jobId, String joint, Drips what, double kilopascals, String by) {
    Measures at = Measures.NONE.and(Measure.KILOPASCALS, kilopascals);
    findings.write(jobId, FindingService.New.of(DRIP_PRESSURE, joint, what.word(), at), by);
  }

  /** At which pressures a place begins and stops to drip, as it was written. */
  List<Finding> drips(UUID jobId, String joint) {
    return findings.of(jobId, DRIP_PRESSURE).stream()
        .filter(f -> f.subject().equals(joint))
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
    return findings.of(jobId, CHECK).stream().flatMap(f -> found(f).stream()).toList();
  }

  private static java.util.Optional<Found> found(Finding f) {
    return Worded.of(Condition.class, f.saw())
        .map(c -> new Found(f.id(), f.at(), new Felt(f.subject(), c)));
  }
}
