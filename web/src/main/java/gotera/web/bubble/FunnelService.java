package gotera.web.bubble;

import gotera.bubble.Funnel;
import gotera.bubble.FunnelStep;
import gotera.bubble.FunnelStep.Size;
import gotera.suspects.Checked.Bubbled;
import gotera.web.finding.Finding;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import gotera.web.guide.GuideService;
import gotera.web.guide.GuideService.Taken;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Bubbles in a funnel of a job, as they were written. */
@Service
public class FunnelService {
  static final String CHECK = "funnel";

  private final GuideService guides;

  FunnelService(GuideService guides) {
    this.guides = guides;
  }

  /**
   * A result, and when it was told.
   *
   * @param at when
   * @param what the result
   */
  public record Result(Instant at, Bubbled what) {}

  /** What every watch has shown, so far as it says something. */
  public List<Result> results(UUID jobId) {
    List<Result> results = new ArrayList<>();
    for (List<Finding> run : guides.runs(jobId, CHECK)) {
      funnel(jobId, run)
          .flatMap(f -> Bubbled.of(f, GuideService.ended(run)))
          .ifPresent(b -> results.add(new Result(run.get(run.size() - 1).at(), b)));
    }
    return results;
  }

  /** The steps of the watch that goes on, or ended last. */
  public List<Finding> now(UUID jobId) {
    return guides.now(jobId, CHECK);
  }

  /** What a watch says so far; nothing before the funnel is known. */
  Optional<Funnel> funnel(UUID jobId, List<Finding> run) {
    return guides.neck(jobId, run).map(neck -> Funnel.of(steps(run), neck));
  }

  /** Writes what was seen at one look, in its order. */
  @Write
  public void write(UUID jobId, Map<FunnelWord, Measures> seen, Duration ago, String by) {
    seen.forEach(
        (word, measures) ->
            guides.write(
                jobId, CHECK, new Taken(word.word(), "", measures, Optional.empty(), ago), by));
  }

  /** What happened, for the computation. */
  public static List<FunnelStep> steps(List<Finding> run) {
    List<FunnelStep> steps = new ArrayList<>();
    for (Finding f : run) {
      Worded.of(FunnelWord.class, f.saw()).flatMap(w -> step(w, f)).ifPresent(steps::add);
    }
    return steps;
  }

  private static Optional<FunnelStep> step(FunnelWord word, Finding f) {
    Instant at = f.at();
    Measures m = f.measures();
    return switch (word) {
      case SET_UP, ENDED -> Optional.empty();
      case LEVEL -> Optional.of(new FunnelStep.Level(at, m.millimetres().orElse(0)));
      case MOVED -> Optional.of(new FunnelStep.Moved(at));
      case WATER, COOLANT -> Optional.of(new FunnelStep.ToppedUp(at, m.millilitres().orElse(0)));
      case SQUEEZED -> Optional.of(new FunnelStep.Squeezed(at));
      case HOSES ->
          Optional.of(new FunnelStep.Warmed(at, m.celsius().orElse(0), m.lowerCelsius().orElse(0)));
      case SMALL, PEA, LARGE ->
          Optional.of(
              new FunnelStep.Bubbles(
                  at, Size.valueOf(word.name()), (int) m.get(Measure.COUNT).orElse(0)));
      case BURST -> Optional.of(new FunnelStep.Burst(at));
    };
  }
}
