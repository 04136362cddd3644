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
  private final SkippedSteps skipped;
  private final List<LooksOn> lookOn;
  private final Words words;

  Rail(List<StepReporter> reporters, SkippedSteps skipped, List<LooksOn> lookOn, Words words) {
    this.lookOn = lookOn;
    this.skipped = skipped;
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
    Step next = again != null ? again : first != null ? first : Step.HAND_OVER;
    // nothing is repaired while more leaks than was found
    return next == Step.REPAIR && moreLeaks(jobId) ? Step.FIND : next;
  }

  /** What cannot be balanced keeps nobody from going on. */
  private boolean moreLeaks(UUID jobId) {
    try {
      return lookOn.stream().anyMatch(l -> l.looksOn(jobId));
    } catch (RuntimeException e) {
      LOG.error("the balance of job {} cannot be read", jobId, e);
      return false;
    }
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
    if (reporter == null) {
      return new StepStatus(State.COMING, words.say("state.coming"));
    }
    StepStatus told = told(reporter, jobId);
    // whatever was done at it says more than that it was skipped once
    return told.state() == State.UNTOUCHED && skipped.of(jobId).contains(step)
        ? new StepStatus(State.SKIPPED, told.note())
        : told;
  }

  /**
   * Where it goes on from a step.
   *
   * @param why why the step comes now
   * @param next name of the step that comes next; empty where the step itself is waited for
   * @param address where that is
   * @param leads whether going on is the thing to do now, and not the step itself
   * @param skip where the step is skipped; empty where it is done or runs
   * @param skipping what skipping it means
   * @param takeUp where a skipped step is taken up again; empty where it was not skipped
   */
  record Way(
      String why,
      String next,
      String address,
      boolean leads,
      String skip,
      String skipping,
      String takeUp) {
    /** Whether it is worth a line: while a step is being worked at, its own page says enough. */
    public boolean isSaid() {
      return leads || !skip.isEmpty() || !takeUp.isEmpty();
    }
  }

  /** Where it goes on from the step that is shown. */
  Way way(UUID jobId, Step shown) {
    State state = status(jobId, shown).state();
    boolean untouched = state == State.UNTOUCHED;
    Step next = untouched ? after(jobId, shown) : waitsFor(jobId);
    boolean elsewhere = next != shown;
    boolean leads = elsewhere && (!untouched || shown.isOpenEnded()) && state != State.RUNNING;
    String step = "/jobs/" + jobId + "/steps/" + shown.word();
    boolean canSkip = untouched && shown.built() && shown != Step.HAND_OVER;
    return new Way(
        words.say("why." + shown.word()),
        elsewhere ? words.say("step." + next.word()) : "",
        "/jobs/" + jobId + "/" + next.word(),
        leads,
        canSkip ? step + "/skip" : "",
        words.say(shown == Step.MAKE_SAFE ? "way.skip.make-safe" : "way.skip"),
        state == State.SKIPPED ? step + "/take-up" : "");
  }

  /** The next step after one that nothing has been done at. */
  private Step after(UUID jobId, Step shown) {
    for (Step step : Step.values()) {
      if (step.compareTo(shown) > 0
          && step.built()
          && status(jobId, step).state() == State.UNTOUCHED) {
        return step;
      }
    }
    return waitsFor(jobId);
  }
}
