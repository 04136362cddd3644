package gotera.look;

import gotera.word.Worded;

/** What was seen at a place. */
public enum Sight implements Worded {
  /** Nothing. */
  DRY,
  /** Coolant, leaving or lying there. */
  WET,
  /** Crust, tint or scale: it leaked once. */
  STAINED,
  /** Cleaned and dried, not looked at since: what was seen before is wiped off. */
  CLEANED,
  /** Cannot be seen as it is. */
  HIDDEN;

  /** Whether somebody looked: what was only cleaned, or cannot be seen, is still open. */
  public boolean looked() {
    return this != CLEANED && this != HIDDEN;
  }
}
