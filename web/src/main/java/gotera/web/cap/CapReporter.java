package gotera.web.cap;

import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail about the cap. */
@Component
class CapReporter implements StepReporter {
  private final CapService caps;
  private final Words words;

  CapReporter(CapService caps, Words words) {
    this.caps = caps;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.CAP;
  }

  @Override
  public StepStatus status(UUID jobId) {
    return caps.of(jobId)
        .map(
            cap ->
                new StepStatus(
                    cap.seals().equals("doubtful") ? StepState.AGAIN : StepState.DONE,
                    cap.stamp() + " \u00b7 " + words.say("seals." + cap.seals())))
        .orElse(StepStatus.UNTOUCHED);
  }
}
