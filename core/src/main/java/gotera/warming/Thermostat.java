package gotera.warming;

import gotera.word.Worded;

/**
 * What the temperatures of upper and lower hose, after idling, say of the thermostat (thresholds:
 * our judgement, untested; the rules: common practice, no source).
 */
public enum Thermostat implements Worded {
  /** Both barely warm after long idling. */
  STUCK_OPEN,
  /** Both hot and close together. */
  OPEN,
  /** One hot, the other far below it: shut, blocked or air-locked. */
  SHUT,
  /** Nothing yet. */
  NOT_YET;

  private static final double BARELY_WARM = 60; // °C
  private static final double LONG_IDLING = 15; // min
  private static final double ALIKE = 6; // K
  private static final double HOT = 75; // °C
  private static final double CLOSE = 10; // K
  private static final double FAR = 30; // K

  /**
   * What they say.
   *
   * @param upper of the upper hose (°C)
   * @param lower of the lower hose, at the same kind of place (°C)
   * @param idling for how long it had idled (min)
   */
  public static Thermostat of(double upper, double lower, double idling) {
    double apart = upper - lower;
    if (upper < BARELY_WARM && idling >= LONG_IDLING && Math.abs(apart) <= ALIKE) {
      return STUCK_OPEN;
    }
    if (upper >= HOT && Math.abs(apart) <= CLOSE) {
      return OPEN;
    }
    return upper >= HOT && apart > FAR ? SHUT : NOT_YET;
  }

  /** Whether the thermostat does not do as it should. */
  public boolean fault() {
    return this == STUCK_OPEN || this == SHUT;
  }
}
