package gotera.web.combustion;

import gotera.combustion.GasCheck;
import gotera.combustion.GasCheck.Says;
import gotera.combustion.GasColour;
import gotera.combustion.GasStep;
import gotera.combustion.NotCounted;
import gotera.said.GasCheckSaid;
import gotera.said.GasCheckSaid.SetUp;
import gotera.said.InsideSaid;
import gotera.suspects.Observation.GasChecked;
import gotera.warming.NeckLevel;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.guide.GuideService;
import gotera.web.photo.Photograph;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The check for combustion gas of a job, as its steps were written. */
@Service
public class GasService {
  private final GuideService guides;
  private final FindingService findings;

  GasService(GuideService guides, FindingService findings) {
    this.guides = guides;
    this.findings = findings;
  }

  /**
   * A result, and when it was read.
   *
   * @param at when
   * @param what the result
   */
  public record Result(Instant at, GasChecked what) {}

  /** Every filling of every run that says something, or does not count. */
  public List<Result> results(UUID jobId) {
    List<Result> results = new ArrayList<>();
    for (List<Finding<GasCheckSaid>> run : guides.runs(jobId, GasCheckSaid.class)) {
      for (GasCheck filling : GasCheck.fillings(steps(run))) {
        if (filling.says() != Says.OPEN) {
          List<String> because =
              filling.notCounted().stream().map(NotCounted::word).sorted().toList();
          results.add(
              new Result(
                  filling.used().last().orElseThrow(),
                  new GasChecked(filling.colour().orElse(GasColour.BLUE), because)));
        }
      }
    }
    return results;
  }

  /** The steps of the run that goes on. */
  List<Finding<GasCheckSaid>> now(UUID jobId) {
    return guides.now(jobId, GasCheckSaid.class);
  }

  void write(
      UUID jobId, GasCheckSaid step, Optional<Photograph> photograph, Duration ago, String by) {
    guides.write(jobId, step, photograph, ago, by);
  }

  /** Keeps what was measured of the fluid's colour, in words. */
  void measured(UUID jobId, String said, String by) {
    findings.write(jobId, new New(new InsideSaid.ColourMeasured(), said), by);
  }

  /** What was measured of the fluid's colour. */
  List<Finding<InsideSaid.ColourMeasured>> measured(UUID jobId) {
    return findings.of(jobId, InsideSaid.ColourMeasured.class);
  }

  /** The filler below the tester, once its area is known. */
  Optional<NeckLevel> neck(UUID jobId, List<Finding<GasCheckSaid>> run) {
    return run.stream()
        .flatMap(f -> f.said() instanceof SetUp up ? up.area().stream().boxed() : Stream.empty())
        .reduce((a, b) -> b)
        .map(area -> guides.neck(jobId, area));
  }

  /** What happened, for the computation; what says nothing to it is left out. */
  static List<GasStep> steps(List<Finding<GasCheckSaid>> run) {
    return run.stream().flatMap(f -> f.said().step(f.at()).stream()).toList();
  }
}
