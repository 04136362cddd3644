package gotera.look;

import java.util.Arrays;
import java.util.Optional;

/** In which state a place was looked at. */
public enum LookState {
  /** After standing overnight, before the first start. */
  PARKED("parked"),
  /** Cold, without pressure. */
  COLD("cold"),
  /** Cold, under pressure of a tester. */
  PRESSED("pressure"),
  /** Warm, standing. */
  WARM("warm"),
  /** Warm, running. */
  RUNNING("running");

  private final String word;

  LookState(String word) {
    this.word = word;
  }

  /** The word for it in forms, tables and messages. */
  public String word() {
    return word;
  }

  /** The state a word means. */
  public static Optional<LookState> of(String word) {
    return Arrays.stream(values()).filter(s -> s.word.equals(word)).findFirst();
  }
}
