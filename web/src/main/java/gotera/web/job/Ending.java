package gotera.web.job;

import gotera.word.Worded;
import java.util.Optional;

/** How a job ends. */
public enum Ending implements Worded {
  /** Proven tight. */
  PROVEN,
  /**
   * Tested, and no leak: before a renewal or a purchase, after assembly, or what was told was none.
   */
  NO_LEAK,
  /** Mended for now: a branch looped off, a place sealed. */
  PROVISIONAL,
  /** The place is known; nothing was repaired here. */
  DIAGNOSIS_ONLY,
  /** The customer decides after a quote. */
  CUSTOMER_DECIDES,
  /** Left leaking, with the customer's consent. */
  LEFT_LEAKING,
  /** Parts are on their way. */
  WAITING_FOR_PARTS,
  /** The leak was not found. */
  NOT_FOUND;

  /** The ending a word means. */
  public static Optional<Ending> of(String word) {
    return Worded.of(Ending.class, word);
  }
}
