package gotera.look;

import gotera.word.Worded;

/** In which state a place was looked at. */
public enum LookState implements Worded {
  /** After standing overnight, before the first start. */
  PARKED("parked"),
  /** Cold, without pressure. */
  COLD("cold"),
  /** Cold, under pressure of a tester. */
  PRESSED("cold-pressure"),
  /** Warm, standing. */
  WARM("warm"),
  /** Warm, running. */
  RUNNING("running");

  private final String word;

  LookState(String word) {
    this.word = word;
  }

  @Override
  public String word() {
    return word;
  }
}
