package gotera.web.repair;

import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about the repair. */
@Component
class RepairReporter implements StepReporter {
  private final RepairService repairs;
  private final Words words;

  RepairReporter(RepairService repairs, Words words) {
    this.repairs = repairs;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.REPAIR;
  }

  @Override
  public StepStatus status(UUID jobId) {
    int notes = repairs.notes(jobId).size();
    return notes == 0
        ? StepStatus.UNTOUCHED
        : new StepStatus(State.DONE, words.say("repair.rail", notes));
  }
}
