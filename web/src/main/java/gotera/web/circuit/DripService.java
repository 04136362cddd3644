package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.look.LookState;
import gotera.suspects.Observation.Dripped;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.word.Worded;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Where it drips on a job, traced to the joints that can feed it. */
@Service
public class DripService {
  static final String CHECK = "drip";
  private final FindingService findings;

  DripService(FindingService findings) {
    this.findings = findings;
  }

  /** Writes down where it drips. */
  public void write(UUID jobId, DripSpot spot, LookState state, String by) {
    findings.write(jobId, FindingService.New.of(CHECK, spot.word(), state.word()), by);
  }

  private static LookState state(String word) {
    return Worded.of(LookState.class, word).orElse(LookState.COLD);
  }

  /**
   * It dripped.
   *
   * @param at when that was written
   * @param what where
   */
  public record Drip(Instant at, Dripped what) {}

  /** Every drip, in order of time. */
  public List<Drip> all(UUID jobId) {
    return findings.of(jobId, CHECK).stream()
        .flatMap(
            f ->
                Worded.of(DripSpot.class, f.subject())
                    .map(s -> new Drip(f.at(), new Dripped(s, state(f.saw()))))
                    .stream())
        .toList();
  }

  /** The newest, traced. */
  Optional<DripTrace> newest(UUID jobId, Circuit circuit) {
    return all(jobId).stream()
        .reduce((a, b) -> b)
        .map(d -> DripTrace.of(circuit, d.what().spot(), d.what().running()));
  }

  /** Takes the newest back. */
  void undo(UUID jobId, String by) {
    List<Finding> all = findings.of(jobId, CHECK);
    if (!all.isEmpty()) {
      findings.withdraw(jobId, all.get(all.size() - 1).id(), by);
    }
  }
}
