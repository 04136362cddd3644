package gotera.web.circuit;

import gotera.circuit.Features.Drive;
import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail that an electric drive has no inside checks: nothing burns there. */
@Component
class InsideReporter implements StepReporter {
  private final EngineTypeService types;
  private final Words words;

  InsideReporter(EngineTypeService types, Words words) {
    this.types = types;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.INSIDE;
  }

  @Override
  public StepStatus status(UUID jobId) {
    return types.features(jobId).drive() == Drive.ELECTRIC
        ? new StepStatus(State.NOT_NEEDED, words.say("inside.not-needed"))
        : new StepStatus(State.COMING, words.say("state.coming"));
  }
}
