package gotera.web.safe;

import gotera.timing.Wait.Kind;
import gotera.web.figures.Figures;
import gotera.web.job.StepReporter;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the rail whether the system may be opened. */
@Component
class SafeReporter implements StepReporter {
  private final SafeService safe;
  private final WaitService waits;
  private final Words words;

  SafeReporter(SafeService safe, WaitService waits, Words words) {
    this.safe = safe;
    this.waits = waits;
    this.words = words;
  }

  @Override
  public Step step() {
    return Step.MAKE_SAFE;
  }

  @Override
  public StepStatus status(UUID jobId) {
    List<WaitService.Shown> cooling = waits.open(jobId, Kind.COOL_DOWN);
    if (cooling.stream().anyMatch(w -> !w.ringing())) {
      return new StepStatus(StepState.RUNNING, words.say("safe.cooling", cooling.get(0).at()));
    }
    SafeService.Known known = safe.known(jobId);
    if (known.mayOpen()) {
      return new StepStatus(
          StepState.DONE,
          words.say("safe.soft-until", known.opening().until().map(Figures::timeOfDay).orElse("")),
          known.opening().until());
    }
    return switch (known.opening().verdict()) {
      case UNKNOWN -> StepStatus.UNTOUCHED;
      case HIGH_VOLTAGE -> new StepStatus(StepState.AGAIN, words.say("safe.rail-high-voltage"));
      case PRESSURE -> new StepStatus(StepState.AGAIN, words.say("safe.rail-pressure"));
      default -> new StepStatus(StepState.AGAIN, words.say("safe.not-yet"));
    };
  }
}
