package gotera.web.job;

import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about intake. */
@Component
class IntakeReporter implements StepReporter {
  private final JobService jobs;
  private final Words words;

  IntakeReporter(JobService jobs, Words words) {
    this.jobs = jobs;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.INTAKE;
  }

  @Override
  public StepStatus status(UUID jobId) {
    JobView job = jobs.require(jobId);
    return job.intakeAt().isPresent()
        ? new StepStatus(StepState.DONE, words.say("where." + job.whereLost()))
        : new StepStatus(StepState.UNTOUCHED, words.say("intake.not-named"));
  }
}
