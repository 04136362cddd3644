package gotera.work;

import java.util.Map;

/**
 * What comes next on a job, from how far each step is. A step that one may go on from is passed
 * once something was done at a later one; to skip a step does nothing at it, and passes no other.
 *
 * @param states how far each step is
 */
public record OrderOfWork(Map<Step, StepState> states) {
  /** Keeps its own copy. */
  public OrderOfWork {
    states = Map.copyOf(states);
  }

  /** How far a step is. */
  public StepState of(Step step) {
    return states.getOrDefault(step, StepState.UNTOUCHED);
  }

  /**
   * The step the job waits for: one that runs, else one to look at again, else the first that
   * nothing was done at, else the hand over.
   */
  public Step waitsFor() {
    for (StepState urgent : new StepState[] {StepState.RUNNING, StepState.AGAIN}) {
      for (Step step : Step.values()) {
        if (of(step) == urgent) {
          return step;
        }
      }
    }
    Step farthest = farthest();
    for (Step step : Step.values()) {
      boolean passed = step.canBePassed() && step.compareTo(farthest) < 0;
      if (isOpen(step) && !passed) {
        return step;
      }
    }
    return Step.HAND_OVER;
  }

  /** The next step after one that nothing was done at; what the job waits for if there is none. */
  public Step after(Step shown) {
    for (Step step : Step.values()) {
      if (step.compareTo(shown) > 0 && isOpen(step)) {
        return step;
      }
    }
    return waitsFor();
  }

  private boolean isOpen(Step step) {
    return of(step) == StepState.UNTOUCHED;
  }

  /** The last step that something was done at. */
  private Step farthest() {
    Step farthest = Step.INTAKE;
    for (Step step : Step.values()) {
      StepState state = of(step);
      boolean touched = state != StepState.UNTOUCHED && state != StepState.SKIPPED;
      if (touched && state != StepState.NOT_NEEDED) {
        farthest = step;
      }
    }
    return farthest;
  }
}
