package gotera.web.dye;

import gotera.circuit.Circuit;
import gotera.dye.Dye;
import gotera.dye.DyeStep;
import gotera.said.DyeSaid;
import gotera.said.DyeSaid.Match;
import gotera.standing.Happened;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.photo.Photograph;
import gotera.web.repair.RepairService;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What dye and lamp have shown in a job. */
@Service
public class DyeService {
  private final FindingService findings;
  private final RepairService repairs;

  DyeService(FindingService findings, RepairService repairs) {
    this.findings = findings;
    this.repairs = repairs;
  }

  /** Somebody scanned before the dye went in; what glows was noted. */
  public void scannedBefore(UUID jobId, String by) {
    findings.write(jobId, new DyeSaid.ScannedBefore(), by);
  }

  /** Dye went in. */
  public void dosed(UUID jobId, Match match, OptionalDouble millilitres, String by) {
    findings.write(jobId, new DyeSaid.Dosed(match, millilitres), by);
  }

  /** The engine ran with the dye in it. */
  public void ran(UUID jobId, double minutes, boolean thermostat, boolean heater, String by) {
    findings.write(jobId, new DyeSaid.Ran(minutes, thermostat, heater), by);
  }

  /** A scan round begins. */
  public void round(UUID jobId, String by) {
    findings.write(jobId, new DyeSaid.RoundBegun(), by);
  }

  /** A joint was scanned. */
  public void scanned(
      UUID jobId,
      DyeSaid.Scanned scanned,
      String note,
      Optional<Photograph> photograph,
      String by) {
    findings.write(jobId, new New(scanned, note, photograph, Duration.ZERO), by);
  }

  /** When a joint was scanned last. */
  public Optional<Instant> scanned(UUID jobId, String joint) {
    return findings.of(jobId, DyeSaid.Scanned.class).stream()
        .filter(f -> f.said().joint().equals(joint))
        .map(Finding::at)
        .reduce((a, b) -> a.isAfter(b) ? a : b);
  }

  /** What was done, the newest first. */
  List<Finding<DyeSaid>> steps(UUID jobId) {
    List<Finding<DyeSaid>> steps = new ArrayList<>(findings.of(jobId, DyeSaid.class));
    Collections.reverse(steps);
    return steps;
  }

  /** What is known of the dye. */
  public Dye known(UUID jobId, Circuit circuit) {
    Stream<Happened<DyeStep>> said =
        findings.of(jobId, DyeSaid.class).stream()
            .map(f -> new Happened<>(f.at(), f.said().step(f.at())));
    Stream<Happened<DyeStep>> repaired =
        repairs.notes(jobId).stream()
            .map(n -> new Happened<>(n.at(), new DyeStep.Repaired(n.joint())));
    return Dye.of(
        circuit,
        Stream.concat(said, repaired)
            .sorted(Comparator.comparing(Happened::at))
            .map(Happened::what)
            .toList());
  }
}
