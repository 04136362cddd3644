package gotera.web.bubble;

import gotera.bubble.Funnel;
import gotera.bubble.FunnelStep;
import gotera.said.FunnelSaid;
import gotera.said.FunnelSaid.SetUp;
import gotera.suspects.Checked.Bubbled;
import gotera.warming.NeckLevel;
import gotera.web.finding.Finding;
import gotera.web.guide.GuideService;
import gotera.web.storage.Write;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Bubbles in a funnel of a job, as they were written. */
@Service
public class FunnelService {
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
    for (List<Finding<FunnelSaid>> run : guides.runs(jobId, FunnelSaid.class)) {
      funnel(jobId, run)
          .flatMap(f -> Bubbled.of(f, GuideService.ended(run)))
          .ifPresent(b -> results.add(new Result(run.get(run.size() - 1).at(), b)));
    }
    return results;
  }

  /** The steps of the watch that goes on, or ended last. */
  public List<Finding<FunnelSaid>> now(UUID jobId) {
    return guides.now(jobId, FunnelSaid.class);
  }

  /** What a watch says so far; nothing before the funnel is known. */
  Optional<Funnel> funnel(UUID jobId, List<Finding<FunnelSaid>> run) {
    return neck(jobId, run).map(neck -> Funnel.of(steps(run), neck));
  }

  /** The funnel of a watch, once its free area was said. */
  public Optional<NeckLevel> neck(UUID jobId, List<Finding<FunnelSaid>> run) {
    return run.stream()
        .flatMap(f -> f.said() instanceof SetUp up ? up.area().stream().boxed() : Stream.empty())
        .reduce((a, b) -> b)
        .map(area -> guides.neck(jobId, area));
  }

  /** Writes what was seen at one look, in its order. */
  @Write
  public void write(UUID jobId, List<FunnelSaid> seen, Duration ago, String by) {
    seen.forEach(said -> guides.write(jobId, said, ago, by));
  }

  /** What happened, for the computation. */
  public static List<FunnelStep> steps(List<Finding<FunnelSaid>> run) {
    return run.stream().flatMap(f -> f.said().step(f.at()).stream()).toList();
  }
}
