package gotera.suspects;

import gotera.suspects.Checked.TwoTemperatures;
import java.util.Optional;

/**
 * What the temperatures of upper and lower hose, after idling, say of the thermostat (thresholds:
 * our judgement, untested; the rules: common practice, no source).
 */
enum ThermostatSays {
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

  static Optional<ThermostatSays> of(Case of) {
    return of.newest(TwoTemperatures.class).map(ThermostatSays::of);
  }

  private static ThermostatSays of(TwoTemperatures t) {
    double apart = t.upper() - t.lower();
    if (t.upper() < BARELY_WARM && t.idling() >= LONG_IDLING && Math.abs(apart) <= ALIKE) {
      return STUCK_OPEN;
    }
    if (t.upper() >= HOT && Math.abs(apart) <= CLOSE) {
      return OPEN;
    }
    return t.upper() >= HOT && apart > FAR ? SHUT : NOT_YET;
  }

  /** Whether the thermostat does not do as it should. */
  boolean fault() {
    return this == STUCK_OPEN || this == SHUT;
  }
}
