package gotera.work;

import gotera.word.Worded;
import java.util.Optional;

/** The steps of a job, in the order of the work. Any step opens at any time. */
public enum Step implements Worded {
  INTAKE,
  CIRCUIT,
  MAKE_SAFE,
  VISUAL_CHECK,
  FILL_UP,
  CAP,
  PRESSURE_TEST,
  FIND,
  INSIDE,
  DECIDE,
  REPAIR,
  REFILL,
  RE_TEST,
  HAND_OVER;

  /** Whether a job goes on without it once a later step was touched. */
  public boolean canBePassed() {
    return this == CIRCUIT
        || this == MAKE_SAFE
        || this == VISUAL_CHECK
        || this == FILL_UP
        || this == INSIDE
        || this == DECIDE
        || this == REFILL;
  }

  /** Whether one may go on from it without having done anything: it is never quite done. */
  public boolean isOpenEnded() {
    return this == CIRCUIT || this == VISUAL_CHECK;
  }

  /** Whether a job can go on without it; it always ends with its hand over. */
  public boolean canBeSkipped() {
    return this != HAND_OVER;
  }

  /** The step a word means. */
  public static Optional<Step> of(String word) {
    return Worded.of(Step.class, word);
  }
}
