package gotera.combustion;

import gotera.word.Worded;

/** Why a gas check does not count (common practice, no source). */
public enum NotCounted implements Worded {
  /** The fluid was not blue at the start. */
  FLUID_NOT_BLUE,
  /** Coolant reached the fluid. */
  COOLANT_DRAWN_IN,
  /** The thermostat had not opened. */
  ENGINE_COLD,
  /** The bulb drew against a vacuum: no gas reached the fluid. */
  BULB_AGAINST_VACUUM,
  /** Less than a full minute without a break. */
  TOO_SHORT,
  /** It stayed blue, and nobody has seen the exhaust turn it. */
  NO_CONTROL
}
