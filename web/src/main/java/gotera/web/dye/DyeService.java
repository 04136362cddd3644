package gotera.web.dye;

import gotera.circuit.Circuit;
import gotera.dye.Dye;
import gotera.dye.DyeStep;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measures;
import gotera.web.finding.Measures.Gates;
import gotera.web.photo.Photograph;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What dye and lamp have shown in a job. */
@Service
public class DyeService {
  static final String CHECK = "dye";
  private static final String DOSED = "dosed";

  private final FindingService findings;

  DyeService(FindingService findings) {
    this.findings = findings;
  }

  /** Somebody scanned before the dye went in; what glows was noted. */
  public void scannedBefore(UUID jobId, String by) {
    findings.write(jobId, New.of(CHECK, "", "scanned-before"), by);
  }

  /** Dye went in. */
  public void dosed(UUID jobId, String compatible, OptionalDouble millilitres, String by) {
    findings.write(jobId, New.of(CHECK, compatible, DOSED, Measures.volume(millilitres)), by);
  }

  /** The engine ran with the dye in it. */
  public void ran(UUID jobId, double minutes, boolean thermostat, boolean heater, String by) {
    Gates gates = new Gates(thermostat, heater);
    findings.write(jobId, New.of(CHECK, "", "ran", Measures.run(minutes, gates)), by);
  }

  /** A scan round begins. */
  public void round(UUID jobId, String by) {
    findings.write(jobId, New.of(CHECK, "", "round"), by);
  }

  /** A joint was scanned. */
  public void scanned(
      UUID jobId,
      String joint,
      boolean glows,
      OptionalDouble millimetres,
      String note,
      Optional<Photograph> photograph,
      String by) {
    findings.write(
        jobId,
        new New(
            CHECK,
            joint,
            glows ? "glow" : "dark",
            Measures.size(millimetres),
            Set.of(),
            note,
            photograph),
        by);
  }

  /** What was done, the newest first. */
  List<Finding> steps(UUID jobId) {
    List<Finding> steps = new ArrayList<>(findings.of(jobId, CHECK));
    java.util.Collections.reverse(steps);
    return steps;
  }

  /** What is known of the dye. */
  public Dye known(UUID jobId, Circuit circuit) {
    return Dye.of(circuit, findings.of(jobId, CHECK).stream().map(DyeService::step).toList());
  }

  private static DyeStep step(Finding f) {
    return switch (f.saw()) {
      case DOSED -> new DyeStep.Dosed(f.at());
      case "scanned-before" -> new DyeStep.ScannedBefore();
      case "ran" -> {
        Gates gates = f.measures().gates().orElse(new Gates(false, false));
        yield new DyeStep.Ran(f.measures().minutes().orElse(0), gates.thermostat(), gates.heater());
      }
      case "round" -> new DyeStep.Round();
      default ->
          new DyeStep.Scanned(f.subject(), f.saw().equals("glow"), f.measures().millimetres());
    };
  }
}
