package gotera.web.finding;

/** What can be measured with a finding, each in its unit. */
public enum Measure {
  /** A volume (mL). */
  MILLILITRES,
  /** Volume fraction of concentrate (1). */
  STRENGTH,
  /** A temperature of the coolant, or of the upper hose (°C). */
  CELSIUS,
  /** The temperature of the room (°C). */
  AMBIENT_CELSIUS,
  /** How long it ran, or was under pressure (min). */
  MINUTES,
  /** A size, a level, a gap, a depth (mm). */
  MILLIMETRES,
  /** Temperature of the lower hose (°C). */
  LOWER_CELSIUS,
  /** Free area of a filler or funnel (cm²). */
  SQUARE_CENTIMETRES,
  /** A gauge pressure (kPa). */
  KILOPASCALS,
  /** How many. */
  COUNT
}
