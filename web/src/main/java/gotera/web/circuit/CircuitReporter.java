package gotera.web.circuit;

import gotera.web.job.StepReporter;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail whether it is known which circuit the vehicle has. */
@Component
class CircuitReporter implements StepReporter {
  private final EngineTypeService types;

  CircuitReporter(EngineTypeService types) {
    this.types = types;
  }

  @Override
  public Step step() {
    return Step.CIRCUIT;
  }

  @Override
  public StepStatus status(UUID jobId) {
    return types
        .of(jobId)
        .map(t -> new StepStatus(StepState.DONE, t.name()))
        .orElse(StepStatus.UNTOUCHED);
  }
}
