package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Where it drips on a job, traced to the joints that can feed it. */
@Service
public class DripService {
  static final String CHECK = "drip";
  private static final String RUNNING = "running";

  private final FindingService findings;

  DripService(FindingService findings) {
    this.findings = findings;
  }

  /** Writes down where it drips. */
  public void write(UUID jobId, DripSpot spot, boolean running, String by) {
    findings.write(
        jobId, FindingService.New.of(CHECK, spot.word(), running ? RUNNING : "standing"), by);
  }

  /** Each spot where it dripped, once, traced on a circuit; the newest last. */
  public List<DripTrace> traces(UUID jobId, Circuit circuit) {
    return traces(jobId, circuit, Instant.MIN);
  }

  /** The same for what dripped since a moment. */
  public List<DripTrace> traces(UUID jobId, Circuit circuit, Instant since) {
    Map<String, DripTrace> traces = new LinkedHashMap<>();
    for (Finding f : findings.of(jobId, CHECK)) {
      if (!f.at().isAfter(since)) {
        continue;
      }
      DripSpot.of(f.subject())
          .ifPresent(
              s -> {
                traces.remove(f.subject());
                traces.put(f.subject(), DripTrace.of(circuit, s, f.saw().equals(RUNNING)));
              });
    }
    return List.copyOf(traces.values());
  }

  /** The newest trace. */
  Optional<DripTrace> newest(UUID jobId, Circuit circuit) {
    List<DripTrace> all = traces(jobId, circuit);
    return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
  }

  /** Takes the newest back. */
  void undo(UUID jobId, String by) {
    List<Finding> all = findings.of(jobId, CHECK);
    if (!all.isEmpty()) {
      findings.withdraw(jobId, all.get(all.size() - 1).id(), by);
    }
  }
}
