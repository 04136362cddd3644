package gotera.web.job;

import gotera.web.job.StepReporter.State;
import gotera.web.job.StepReporter.StepStatus;
import gotera.web.shell.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The steps of a job with their states, and what the job waits for. */
@Component
class Rail {
  private static final Logger LOG = LoggerFactory.getLogger(Rail.class);

  private final Map<Step, StepReporter> reporters = new EnumMap<>(Step.class);
  private final Words words;

  Rail(List<StepReporter> reporters, Words words) {
    reporters.forEach(r -> this.reporters.put(r.step(), r));
    this.words = words;
  }

  /**
   * A step on the rail.
   *
   * @param step the step
   * @param name its name
   * @param address its address
   * @param state its state, in words of the style sheet
   * @param spoken its state, read aloud
   * @param note a few words
   * @param current whether it is being shown
   */
  record RailStep(
      Step step,
      String name,
      String address,
      String state,
      String spoken,
      String note,
      boolean current) {}

  List<RailStep> of(UUID jobId, Step shown) {
    List<RailStep> rail = new ArrayList<>();
    for (Step step : Step.values()) {
      StepStatus status = status(jobId, step);
      String state = status.state().name().toLowerCase(Locale.ROOT).replace('_', '-');
      rail.add(
          new RailStep(
              step,
              words.say("step." + step.word()),
              "/jobs/" + jobId + "/" + step.word(),
              state,
              words.say("state." + state),
              status.note(),
              step == shown));
    }
    return rail;
  }

  /**
   * The step a job waits for: one that runs, else one to look at again, else the first not done.
   */
  Step waitsFor(UUID jobId) {
    Step again = null;
    Step first = null;
    for (Step step : Step.values()) {
      if (!step.built()) {
        continue;
      }
      State state = status(jobId, step).state();
      if (state == State.RUNNING) {
        return step;
      }
      if (state == State.AGAIN && again == null) {
        again = step;
      }
      if (state == State.UNTOUCHED && first == null) {
        first = step;
      }
      if (state != State.UNTOUCHED && first != null && first.canBePassed()) {
        first = null;
      }
    }
    return again != null ? again : first != null ? first : Step.HAND_OVER;
  }

  /** A step that cannot be read says so in its place; the others stand. */
  private StepStatus told(StepReporter reporter, UUID jobId) {
    try {
      return reporter.status(jobId);
    } catch (RuntimeException e) {
      LOG.error("step {} of job {} cannot be read", reporter.step().word(), jobId, e);
      return new StepStatus(State.AGAIN, words.say("state.broken"));
    }
  }

  private StepStatus status(UUID jobId, Step step) {
    StepReporter reporter = reporters.get(step);
    return reporter == null
        ? new StepStatus(State.COMING, words.say("state.coming"))
        : told(reporter, jobId);
  }
}
