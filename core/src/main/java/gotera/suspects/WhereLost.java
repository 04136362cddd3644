package gotera.suspects;

import gotera.word.Worded;
import java.util.Optional;

/** When and where coolant is lost, as the customer tells it; each but the first is a sign. */
public enum WhereLost implements Worded {
  /** Nobody knows. */
  UNKNOWN(""),
  /** A puddle in the morning. */
  PUDDLE("puddle-overnight"),
  /** Only after a drive. */
  AFTER_DRIVE("loss-after-drive"),
  /** While it runs. */
  RUNNING("loss-while-running"),
  /** It goes, and nothing is ever on the ground. */
  NEVER_SEEN("never-on-the-ground"),
  /** Cold and hot, standing and running. */
  ALWAYS("loss-always"),
  /** Only once it is hot. */
  ONLY_HOT("loss-only-hot"),
  /** Not while it runs. */
  NOT_RUNNING("loss-not-running");

  private final String sign;

  WhereLost(String sign) {
    this.sign = sign;
  }

  /** Its name as a sign in the vocabulary. */
  public Optional<String> sign() {
    return Optional.of(sign).filter(s -> !s.isEmpty());
  }
}
