package gotera.web.look;

import gotera.look.VisualCheck;
import gotera.web.job.StepReporter;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail how far the visual check is. */
@Component
class LookReporter implements StepReporter {
  private final VisualChecks rounds;
  private final Words words;

  LookReporter(VisualChecks rounds, Words words) {
    this.rounds = rounds;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.VISUAL_CHECK;
  }

  @Override
  public StepStatus status(UUID jobId) {
    VisualCheck round = rounds.farthest(jobId);
    if (round.open() == round.places()) {
      return StepStatus.UNTOUCHED;
    }
    return new StepStatus(
        round.open() > 0 ? StepState.PARTLY : StepState.DONE, words.say("look.rail", round.open()));
  }
}
