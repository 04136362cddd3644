package gotera.web.job;

import java.util.Optional;

/** The steps of a job, in the order of the work. Any step opens at any time. */
public enum Step {
  INTAKE("intake", true),
  CIRCUIT("circuit", true),
  MAKE_SAFE("make-safe", true),
  VISUAL_CHECK("visual-check", true),
  FILL_UP("fill-up", true),
  CAP("cap", true),
  PRESSURE_TEST("pressure-test", true),
  FIND("find", true),
  INSIDE("inside", true),
  DECIDE("decide", true),
  REPAIR("repair", true),
  REFILL("refill", false),
  RE_TEST("re-test", true),
  HAND_OVER("hand-over", true);

  private final String word;
  private final boolean built;

  Step(String word, boolean built) {
    this.word = word;
    this.built = built;
  }

  /** The word for it in addresses and messages. */
  public String word() {
    return word;
  }

  /** Whether this step works already; the others say that they are coming. */
  public boolean built() {
    return built;
  }

  /** Whether a job goes on without it once a later step was touched. */
  boolean canBePassed() {
    return this == CIRCUIT
        || this == MAKE_SAFE
        || this == VISUAL_CHECK
        || this == FILL_UP
        || this == INSIDE
        || this == DECIDE;
  }

  /** Whether one may go on from it without having done anything: it is never quite done. */
  boolean isOpenEnded() {
    return this == CIRCUIT || this == VISUAL_CHECK;
  }

  /** Whether a job can go on without it; it always ends with its hand over. */
  boolean canBeSkipped() {
    return built && this != HAND_OVER;
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
