package gotera.web.refill;

import gotera.refill.FillSteps.FillStep;
import gotera.refill.Purge;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail how far the refill is. */
@Component
class RefillReporter implements StepReporter {
  private final RefillService refills;
  private final Words words;

  RefillReporter(RefillService refills, Words words) {
    this.refills = refills;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.REFILL;
  }

  @Override
  public StepStatus status(UUID jobId) {
    if (!refills.begun(jobId)) {
      return StepStatus.UNTOUCHED;
    }
    List<FillStep> steps = refills.steps(jobId);
    long done = steps.stream().filter(s -> refills.isDone(jobId, s)).count();
    if (done == steps.size()) {
      return refills.purge(jobId).filter(Purge::ended).isPresent()
          ? new StepStatus(StepState.DONE, words.say("refill.rail-quiet"))
          : new StepStatus(StepState.DONE, words.say("refill.rail-done"));
    }
    return new StepStatus(StepState.PARTLY, words.say("refill.rail", done, steps.size()));
  }
}
