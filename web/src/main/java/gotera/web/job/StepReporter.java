package gotera.web.job;

import gotera.work.Step;
import gotera.work.StepState;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** How a feature tells the rail about its step. */
public interface StepReporter {
  /** The step. */
  Step step();

  /** How far it is in a job. */
  StepStatus status(UUID jobId);

  /**
   * How far a step is.
   *
   * @param state the state, told by shape
   * @param note a few words about it; empty for none
   * @param until when it is another though nobody writes; empty where only writing changes it
   */
  record StepStatus(StepState state, String note, Optional<Instant> until) {
    /** Nothing done yet. */
    public static final StepStatus UNTOUCHED = new StepStatus(StepState.UNTOUCHED, "");

    /** One that only writing changes. */
    public StepStatus(StepState state, String note) {
      this(state, note, Optional.empty());
    }
  }
}
