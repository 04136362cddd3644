package gotera.web.job;

import gotera.web.words.Words;
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
        ? new StepStatus(State.DONE, words.say("where." + job.whereLost()))
        : new StepStatus(State.UNTOUCHED, words.say("intake.not-named"));
  }
}
