package gotera.web.guide;

import gotera.pressure.setup.Usual;
import gotera.range.Range;
import gotera.warming.NeckLevel;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.FindingWords;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import gotera.web.job.JobService;
import gotera.web.photo.Photograph;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Keeps the steps of guided checks: a finding each, so that any of them can be taken back. */
@Service
public class GuideService {
  /** The step that ends a run; what comes later begins another. */
  public static final String ENDED = "ended";

  private final FindingService findings;
  private final FillService fills;
  private final JobService jobs;
  private final FindingWords words;

  GuideService(FindingService findings, FillService fills, JobService jobs, FindingWords words) {
    this.findings = findings;
    this.fills = fills;
    this.jobs = jobs;
    this.words = words;
  }

  /**
   * The steps of every run of a check, in the order in which they were written, the newest run
   * last; that one may have none.
   */
  public List<List<Finding>> runs(UUID jobId, String check) {
    List<List<Finding>> runs = new ArrayList<>();
    runs.add(new ArrayList<>());
    for (Finding f : findings.of(jobId, check)) {
      runs.get(runs.size() - 1).add(f);
      if (f.saw().equals(ENDED)) {
        runs.add(new ArrayList<>());
      }
    }
    return runs;
  }

  /** The run that goes on now; once it was ended, that which ended last. */
  public List<Finding> now(UUID jobId, String check) {
    List<List<Finding>> runs = runs(jobId, check);
    List<Finding> last = runs.get(runs.size() - 1);
    return last.isEmpty() && runs.size() > 1 ? runs.get(runs.size() - 2) : last;
  }

  /** Whether a run was ended. */
  public static boolean ended(List<Finding> run) {
    return !run.isEmpty() && run.get(run.size() - 1).saw().equals(ENDED);
  }

  /** The filler or funnel of a run with what is below it, once its area was said. */
  public Optional<NeckLevel> neck(UUID jobId, List<Finding> run) {
    return run.stream()
        .map(f -> f.measures().get(Measure.SQUARE_CENTIMETRES))
        .filter(OptionalDouble::isPresent)
        .reduce((a, b) -> b)
        .map(
            area ->
                new NeckLevel(
                    jobs.require(jobId).liquidMl().orElse(Usual.LIQUID),
                    fills.mixture(jobId),
                    area.getAsDouble()));
  }

  /**
   * A step to write down.
   *
   * @param step its word
   * @param subject what it is about
   * @param measures what was measured
   * @param photograph its photograph
   * @param ago how long ago it happened
   */
  public record Taken(
      String step,
      String subject,
      Measures measures,
      Optional<Photograph> photograph,
      Duration ago) {}

  /** Writes a step down. */
  public void write(UUID jobId, String check, Taken taken, String by) {
    findings.write(
        jobId,
        new New(
            check,
            taken.subject(),
            taken.step(),
            taken.measures(),
            Set.of(),
            "",
            taken.photograph(),
            taken.ago()),
        by);
  }

  /** How long ago it happened, as typed in minutes; now where nothing was typed. */
  public static Duration ago(FieldProblems problems, String typed) {
    double minutes = problems.numberIfTyped("ago", typed, Range.AGO).orElse(0);
    return Duration.ofMillis((long) (60_000 * minutes));
  }

  /**
   * A step, as the page lists it.
   *
   * @param id its identifier
   * @param said what it says
   * @param photo address of its photograph
   */
  public record Line(String id, String said, Optional<String> photo) {}

  /** The steps in words, the newest first. */
  public List<Line> lines(List<Finding> steps, Figures figures) {
    List<Line> lines = new ArrayList<>();
    for (Finding f : steps.stream().sorted(Comparator.comparing(Finding::at)).toList()) {
      String said = Figures.timeOfDay(f.at()) + " " + words.say(f, figures) + " \u00b7 " + f.by();
      lines.add(0, new Line(f.id().toString(), said, f.photo().map(p -> "/photos/" + p)));
    }
    return lines;
  }
}
