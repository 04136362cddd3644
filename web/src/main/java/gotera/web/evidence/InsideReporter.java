package gotera.web.evidence;

import gotera.circuit.Features.Drive;
import gotera.suspects.Flag;
import gotera.web.circuit.EngineTypeService;
import gotera.web.inside.InsideService;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail whether the inside is to be looked at: it waits until the outside is dry. */
@Component
class InsideReporter implements StepReporter {
  private final EngineTypeService types;
  private final InsideService inside;
  private final SuspectsService suspects;
  private final Words words;

  InsideReporter(
      EngineTypeService types, InsideService inside, SuspectsService suspects, Words words) {
    this.types = types;
    this.inside = inside;
    this.suspects = suspects;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.INSIDE;
  }

  @Override
  public StepStatus status(UUID jobId) {
    int found = inside.all(jobId).size();
    if (found > 0) {
      return new StepStatus(StepState.DONE, words.say("inside.rail", found));
    }
    if (types.features(jobId).drive() == Drive.ELECTRIC) {
      return new StepStatus(StepState.NOT_NEEDED, words.say("inside.not-needed"));
    }
    boolean asked =
        suspects.assess(jobId).flags().stream()
            .anyMatch(f -> f.kind() == Flag.Kind.FALLS_AND_DRY_OUTSIDE);
    return asked
        ? StepStatus.UNTOUCHED
        : new StepStatus(StepState.NOT_NEEDED, words.say("inside.not-yet"));
  }
}
