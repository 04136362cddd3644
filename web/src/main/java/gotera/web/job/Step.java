package gotera.web.job;

import java.util.Optional;

/** The steps of a job, in the order of the work. Any step opens at any time. */
public enum Step {
  INTAKE("intake"),
  CIRCUIT("circuit"),
  MAKE_SAFE("make-safe"),
  VISUAL_CHECK("visual-check"),
  FILL_UP("fill-up"),
  CAP("cap"),
  PRESSURE_TEST("pressure-test"),
  FIND("find"),
  INSIDE("inside"),
  DECIDE("decide"),
  REPAIR("repair"),
  REFILL("refill"),
  RE_TEST("re-test"),
  HAND_OVER("hand-over");

  private final String word;

  Step(String word) {
    this.word = word;
  }

  /** The word for it in addresses and messages. */
  public String word() {
    return word;
  }

  /** Whether a job goes on without it once a later step was touched. */
  boolean canBePassed() {
    return this == CIRCUIT
        || this == MAKE_SAFE
        || this == VISUAL_CHECK
        || this == FILL_UP
        || this == INSIDE
        || this == DECIDE
        || this == REFILL;
  }

  /** Whether one may go on from it without having done anything: it is never quite done. */
  boolean isOpenEnded() {
    return this == CIRCUIT || this == VISUAL_CHECK;
  }

  /** Whether a job can go on without it; it always ends with its hand over. */
  boolean canBeSkipped() {
    return this != HAND_OVER;
  }

  /** The step a word means. */
  public static Optional<Step> of(String word) {
    for (Step step : values()) {
      if (step.word.equals(word)) {
        return Optional.of(step);
      }
    }
    return Optional.empty();
  }
}
