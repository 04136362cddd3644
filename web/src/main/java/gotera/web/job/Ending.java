package gotera.web.job;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** How a job ends. */
public enum Ending {
  /** Proven tight. */
  PROVEN("proven"),
  /** Mended for now: a branch looped off, a place sealed. */
  PROVISIONAL("provisional"),
  /** The place is known; nothing was repaired here. */
  DIAGNOSIS_ONLY("diagnosis-only"),
  /** The customer decides after a quote. */
  CUSTOMER_DECIDES("customer-decides"),
  /** Left leaking, with the customer's consent. */
  LEFT_LEAKING("left-leaking"),
  /** Parts are on their way. */
  WAITING_FOR_PARTS("waiting-for-parts"),
  /** The leak was not found. */
  NOT_FOUND("not-found");

  private final String word;

  Ending(String word) {
    this.word = word;
  }

  /** The word for it in forms, tables and messages. */
  public String word() {
    return word;
  }

  /** All words. */
  static List<String> words() {
    return Arrays.stream(values()).map(Ending::word).toList();
  }

  /** The ending a word means. */
  public static Optional<Ending> of(String word) {
    return Arrays.stream(values()).filter(e -> e.word.equals(word)).findFirst();
  }
}
