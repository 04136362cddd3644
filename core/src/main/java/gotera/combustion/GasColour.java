package gotera.combustion;

import gotera.word.Worded;

/** What the fluid of a gas check turns to (common practice, no source). */
public enum GasColour implements Worded {
  /** As it was: no gas. */
  BLUE,
  /** Gas of a petrol engine. */
  YELLOW,
  /** Gas of a diesel. */
  GREEN;

  /** The colour that a fuel's gas gives. */
  public static GasColour of(boolean diesel) {
    return diesel ? GREEN : YELLOW;
  }
}
