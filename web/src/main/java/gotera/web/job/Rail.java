package gotera.web.job;

import gotera.web.job.StepReporter.StepStatus;
import gotera.web.words.Words;
import gotera.work.OrderOfWork;
import gotera.work.Step;
import gotera.work.StepState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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

  /**
   * What a page of a job shows of the steps.
   *
   * @param steps the steps
   * @param way where it goes on from the one that is shown
   */
  record Shown(List<RailStep> steps, Way way) {}

  /** The rail and the way at a step; each feature is asked once how far its own is. */
  Shown at(UUID jobId, Step shown) {
    Map<Step, StepStatus> statuses = statuses(jobId);
    return new Shown(steps(jobId, shown, statuses), way(jobId, shown, order(statuses)));
  }

  private List<RailStep> steps(UUID jobId, Step shown, Map<Step, StepStatus> statuses) {
    List<RailStep> rail = new ArrayList<>();
    statuses.forEach(
        (step, status) -> {
          String state = status.state().word();
          rail.add(
              new RailStep(
                  step,
                  words.say("step." + step.word()),
                  "/jobs/" + jobId + "/" + step.word(),
                  state,
                  words.say("state." + state),
                  status.note(),
                  step == shown));
        });
    return rail;
  }

  private Map<Step, StepStatus> statuses(UUID jobId) {
    Map<Step, StepStatus> statuses = new EnumMap<>(Step.class);
    for (Step step : Step.values()) {
      statuses.put(step, status(jobId, step));
    }
    return statuses;
  }

  private static OrderOfWork order(Map<Step, StepStatus> statuses) {
    Map<Step, StepState> states = new EnumMap<>(Step.class);
    statuses.forEach((step, status) -> states.put(step, status.state()));
    return new OrderOfWork(states);
  }

  /** A step, and when it may be another though nobody writes. */
  record Awaited(Step step, Optional<Instant> until) {}

  /** The step a job waits for, and how long that holds. */
  Awaited awaited(UUID jobId) {
    Map<Step, StepStatus> statuses = statuses(jobId);
    return new Awaited(
        waitsFor(jobId, order(statuses)),
        statuses.values().stream().flatMap(s -> s.until().stream()).min(Instant::compareTo));
  }

  /** The step a job waits for. */
  Step waitsFor(UUID jobId) {
    return waitsFor(jobId, order(statuses(jobId)));
  }

  /**
   * Nothing is decided or repaired while more leaks than was found, unless somebody skipped looking
   * on.
   */
  private Step waitsFor(UUID jobId, OrderOfWork order) {
    Step next = order.waitsFor();
    boolean found = next == Step.DECIDE || next == Step.REPAIR;
    boolean looksOn = found && order.of(Step.FIND) != StepState.SKIPPED && moreLeaks(jobId);
    return looksOn ? Step.FIND : next;
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
      return new StepStatus(StepState.AGAIN, words.say("state.broken"));
    }
  }

  private StepStatus status(UUID jobId, Step step) {
    StepStatus told = told(Objects.requireNonNull(reporters.get(step)), jobId);
    // whatever was done at it says more than that it was skipped once
    return told.state() == StepState.UNTOUCHED && skipped.of(jobId).contains(step)
        ? new StepStatus(StepState.SKIPPED, told.note())
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

  private Way way(UUID jobId, Step shown, OrderOfWork order) {
    StepState state = order.of(shown);
    boolean untouched = state == StepState.UNTOUCHED;
    Step next = untouched ? order.after(shown) : waitsFor(jobId, order);
    boolean elsewhere = next != shown;
    boolean leads = elsewhere && (!untouched || shown.isOpenEnded()) && state != StepState.RUNNING;
    String step = "/jobs/" + jobId + "/steps/" + shown.word();
    boolean canSkip = untouched && shown.canBeSkipped();
    return new Way(
        words.say("why." + shown.word()),
        elsewhere ? words.say("step." + next.word()) : "",
        "/jobs/" + jobId + "/" + next.word(),
        leads,
        canSkip ? step + "/skip" : "",
        words.say(shown == Step.MAKE_SAFE ? "way.skip.make-safe" : "way.skip"),
        state == StepState.SKIPPED ? step + "/take-up" : "");
  }
}
