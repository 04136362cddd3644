package gotera.web.guide;

import gotera.pressure.setup.Usual;
import gotera.range.Range;
import gotera.said.EndsRun;
import gotera.said.Said;
import gotera.warming.NeckLevel;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.FindingWords;
import gotera.web.job.JobService;
import gotera.web.photo.Photograph;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Keeps the steps of guided checks: a finding each, so that any of them can be taken back. */
@Service
public class GuideService {
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
  public <S extends Said> List<List<Finding<S>>> runs(UUID jobId, Class<S> check) {
    List<List<Finding<S>>> runs = new ArrayList<>();
    runs.add(new ArrayList<>());
    for (Finding<S> f : findings.of(jobId, check)) {
      runs.get(runs.size() - 1).add(f);
      if (f.said() instanceof EndsRun) {
        runs.add(new ArrayList<>());
      }
    }
    return runs;
  }

  /** The run that goes on now; once it was ended, that which ended last. */
  public <S extends Said> List<Finding<S>> now(UUID jobId, Class<S> check) {
    List<List<Finding<S>>> runs = runs(jobId, check);
    List<Finding<S>> last = runs.get(runs.size() - 1);
    return last.isEmpty() && runs.size() > 1 ? runs.get(runs.size() - 2) : last;
  }

  /** Whether a run was ended. */
  public static boolean ended(List<? extends Finding<?>> run) {
    return !run.isEmpty() && run.get(run.size() - 1).said() instanceof EndsRun;
  }

  /** A filler or funnel of a free area (cm²) with what is below it. */
  public NeckLevel neck(UUID jobId, double area) {
    return new NeckLevel(
        jobs.require(jobId).liquidMl().orElse(Usual.LIQUID), fills.mixture(jobId), area);
  }

  /** Writes a step down. */
  public void write(UUID jobId, Said step, Duration ago, String by) {
    write(jobId, step, Optional.empty(), ago, by);
  }

  /** Writes a step down, with its photograph. */
  public void write(
      UUID jobId, Said step, Optional<Photograph> photograph, Duration ago, String by) {
    findings.write(jobId, new New(step, "", photograph, ago), by);
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
  public record StepLine(String id, String said, Optional<String> photo) {}

  /** The steps in words, the newest first. */
  public List<StepLine> lines(List<? extends Finding<?>> steps, Figures figures) {
    List<StepLine> lines = new ArrayList<>();
    for (Finding<?> f : steps.stream().sorted(Comparator.comparing(Finding::at)).toList()) {
      String said = Figures.timeOfDay(f.at()) + " " + words.say(f, figures) + " \u00b7 " + f.by();
      lines.add(0, new StepLine(f.id().toString(), said, f.photo().map(p -> "/photos/" + p)));
    }
    return lines;
  }
}
