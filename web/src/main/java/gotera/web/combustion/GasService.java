package gotera.web.combustion;

import gotera.combustion.GasCheck;
import gotera.combustion.GasCheck.Says;
import gotera.combustion.GasColour;
import gotera.combustion.GasStep;
import gotera.combustion.NotCounted;
import gotera.suspects.Observation.GasChecked;
import gotera.warming.NeckLevel;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measures;
import gotera.web.guide.GuideService;
import gotera.web.guide.GuideService.Taken;
import gotera.word.Worded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The check for combustion gas of a job, as its steps were written. */
@Service
public class GasService {
  static final String CHECK = "gas-check";
  private static final String COLOUR = "fluid-colour";

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
    for (List<Finding> run : guides.runs(jobId, CHECK)) {
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
  List<Finding> now(UUID jobId) {
    return guides.now(jobId, CHECK);
  }

  void write(UUID jobId, Taken taken, String by) {
    guides.write(jobId, CHECK, taken, by);
  }

  /** Keeps what was measured of the fluid's colour. */
  void measured(UUID jobId, String said, String by) {
    findings.write(
        jobId,
        new New(COLOUR, "", "measured", Measures.NONE, Set.of(), said, Optional.empty()),
        by);
  }

  /** What was measured of the fluid's colour. */
  List<Finding> measured(UUID jobId) {
    return findings.of(jobId, COLOUR);
  }

  /** The filler below the tester, once its area is known. */
  Optional<NeckLevel> neck(UUID jobId, List<Finding> run) {
    return guides.neck(jobId, run);
  }

  /** What happened, for the computation; what says nothing to it is left out. */
  static List<GasStep> steps(List<Finding> run) {
    List<GasStep> steps = new ArrayList<>();
    for (Finding f : run) {
      Worded.of(GasWord.class, f.saw()).flatMap(w -> step(w, f)).ifPresent(steps::add);
    }
    return steps;
  }

  private static Optional<GasStep> step(GasWord word, Finding f) {
    Instant at = f.at();
    Measures m = f.measures();
    return switch (word) {
      case SET_UP, ENDED -> Optional.empty();
      case FILLED_BLUE, FILLED_NOT_BLUE ->
          Optional.of(new GasStep.Filled(at, word == GasWord.FILLED_BLUE));
      case LEVEL ->
          Optional.of(
              new GasStep.Level(at, m.millimetres().orElse(0), m.millilitres(), m.celsius()));
      case STARTED -> Optional.of(new GasStep.Started(at));
      case WARMED -> Optional.of(new GasStep.Warmed(at, m.celsius().orElse(0)));
      case OPENED -> Optional.of(new GasStep.Opened(at));
      case DRAWING -> Optional.of(new GasStep.Drawing(at));
      case DRAWN -> Optional.of(new GasStep.Drawn(at));
      case STALLED -> Optional.of(new GasStep.Stalled(at));
      case FLOODED -> Optional.of(new GasStep.Flooded(at));
      case BLUE, YELLOW, GREEN -> Optional.of(new GasStep.Read(at, GasColour.valueOf(word.name())));
      case TURNED, NOT_TURNED -> Optional.of(new GasStep.Controlled(at, word == GasWord.TURNED));
    };
  }
}
