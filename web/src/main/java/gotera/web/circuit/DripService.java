package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.look.LookState;
import gotera.said.CircuitSaid.Dripping;
import gotera.suspects.Observation.Dripped;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Where it drips on a job, traced to the joints that can feed it. */
@Service
public class DripService {
  private final FindingService findings;

  DripService(FindingService findings) {
    this.findings = findings;
  }

  /** Writes down where it drips. */
  public void write(UUID jobId, DripSpot spot, LookState state, String by) {
    findings.write(jobId, new Dripping(new Dripped(spot, state)), by);
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
    return findings.of(jobId, Dripping.class).stream()
        .map(f -> new Drip(f.at(), f.said().where()))
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
    List<Finding<Dripping>> all = findings.of(jobId, Dripping.class);
    if (!all.isEmpty()) {
      findings.withdraw(jobId, all.get(all.size() - 1).id(), by);
    }
  }
}
