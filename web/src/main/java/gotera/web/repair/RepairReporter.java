package gotera.web.repair;

import gotera.repair.StripList;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about the repair. */
@Component
class RepairReporter implements StepReporter {
  private final RepairService repairs;
  private final StripService strips;
  private final Words words;

  RepairReporter(RepairService repairs, StripService strips, Words words) {
    this.strips = strips;
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
    StripList off = strips.list(jobId);
    if (!off.complete()) {
      return new StepStatus(StepState.PARTLY, words.say("strip.rail", off.open().size()));
    }
    return notes == 0 && off.lines().isEmpty()
        ? StepStatus.UNTOUCHED
        : notes == 0
            ? new StepStatus(StepState.PARTLY, words.say("strip.rail-back"))
            : new StepStatus(StepState.DONE, words.say("repair.rail", notes));
  }
}
