package gotera.web.fill;

import gotera.refill.FillAccount;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The fill account of a job. */
@Service
public class FillService implements StepReporter {
  private static final String CHECK = "fill";
  private static final String MEASURED = "strength";

  /** Strength where nobody has said (common practice, no source). */
  private static final double USUAL_STRENGTH = 0.5;

  private final FindingService findings;
  private final JobService jobs;
  private final Words words;

  FillService(FindingService findings, JobService jobs, Words words) {
    this.findings = findings;
    this.jobs = jobs;
    this.words = words;
  }

  void write(UUID jobId, FillEntryKind kind, double millilitres, double strength, String by) {
    findings.write(
        jobId,
        new New(
            CHECK,
            "",
            kind.word(),
            OptionalDouble.of(millilitres),
            OptionalDouble.of(strength),
            "",
            Optional.empty()),
        by);
  }

  void measured(UUID jobId, double celsius, double strength, String by) {
    findings.write(
        jobId,
        new New(
            MEASURED,
            "",
            "refractometer",
            OptionalDouble.of(celsius),
            OptionalDouble.of(strength),
            "",
            Optional.empty()),
        by);
  }

  void withdraw(UUID jobId, UUID entry, String by) {
    findings.withdraw(jobId, entry, by);
  }

  List<Finding> entries(UUID jobId) {
    return findings.of(jobId, CHECK);
  }

  Optional<Finding> lastMeasured(UUID jobId) {
    return findings.of(jobId, MEASURED).stream().reduce((a, b) -> b);
  }

  /** The account; empty while nobody knows how much the system holds. */
  public Optional<FillAccount> account(UUID jobId) {
    JobView job = jobs.require(jobId);
    if (job.liquidMl().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        FillAccount.of(
            job.liquidMl().getAsDouble(),
            job.strength().orElse(USUAL_STRENGTH),
            entries(jobId).stream()
                .map(
                    f ->
                        FillEntryKind.of(f.saw())
                            .orElseThrow()
                            .entry(f.amount().orElse(0), f.second().orElse(0)))
                .toList()));
  }

  @Override
  public Step step() {
    return Step.FILL_UP;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<Finding> entries = entries(jobId);
    if (entries.isEmpty()) {
      return StepStatus.UNTOUCHED;
    }
    double put =
        entries.stream()
            .filter(f -> FillEntryKind.of(f.saw()).map(FillEntryKind::in).orElse(false))
            .mapToDouble(f -> f.amount().orElse(0))
            .sum();
    return new StepStatus(State.DONE, words.say("fill.rail", Figures.volume(put)));
  }
}
