package gotera.look;

import gotera.word.Worded;

/** What was seen at a place. */
public enum Sight implements Worded {
  /** Nothing. */
  DRY,
  /** Coolant, leaving or lying there. */
  WET,
  /** Coolant sprays or runs out: it was seen to leave here, and not only to lie here. */
  RUNS,
  /** Crust, tint or scale: it leaked once. */
  STAINED,
  /** Cleaned and dried, not looked at since: what was seen before is wiped off. */
  CLEANED,
  /** Cannot be seen as it is. */
  HIDDEN;

  /** Whether coolant was seen, leaving or lying there. */
  public boolean wet() {
    return this == WET || this == RUNS;
  }

  /** Whether somebody looked: what was only cleaned, or cannot be seen, is still open. */
  public boolean looked() {
    return this != CLEANED && this != HIDDEN;
  }
}
