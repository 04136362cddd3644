package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Reach;
import gotera.said.CircuitSaid.HeaterValve;
import gotera.web.finding.FindingService;
import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What is in the test at all: everything, but for what a shut heater valve cuts off. */
@Service
public class ReachService {
  private final FindingService findings;

  ReachService(FindingService findings) {
    this.findings = findings;
  }

  void heaterValve(UUID jobId, boolean shut, String by) {
    findings.write(jobId, new HeaterValve(shut), by);
  }

  public boolean heaterShut(UUID jobId) {
    return findings.of(jobId, HeaterValve.class).stream()
        .reduce((a, b) -> b)
        .filter(f -> f.said().shut())
        .isPresent();
  }

  /** Whether it was shut at a moment. */
  public boolean heaterShut(UUID jobId, Instant at) {
    return findings.of(jobId, HeaterValve.class).stream()
        .filter(f -> !f.at().isAfter(at))
        .reduce((a, b) -> b)
        .filter(f -> f.said().shut())
        .isPresent();
  }

  /** What pressure reaches. */
  Reach reach(UUID jobId, Circuit circuit) {
    return Reach.byPressure(circuit, !heaterShut(jobId));
  }

  /** Joints that are not in the test. */
  public Set<String> cutOff(UUID jobId, Circuit circuit) {
    return cutOff(jobId, circuit, "");
  }

  /**
   * Joints that are not in a test.
   *
   * @param loop the loop that was tested, where there are several; else empty
   */
  public Set<String> cutOff(UUID jobId, Circuit circuit, String loop) {
    Reach reach = reach(jobId, circuit);
    return circuit.joints().stream()
        .filter(j -> !reach.reaches(j) || !(loop.isEmpty() || j.branch().word().equals(loop)))
        .map(Joint::code)
        .collect(Collectors.toSet());
  }
}
