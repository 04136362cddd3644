package gotera.pressure.compliance;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import java.util.List;

/**
 * Air pumped in by counted strokes: n·V_s·p_atm·(T/T_amb) = V_g0·(P − P0) + C_h·P·(P − P0).
 *
 * <p>Boyle's law for the air that was there and the air that came, into the room the hoses give.
 * The air must have cooled before the gauge is read.
 *
 * @param stroke room air that one stroke pushes in, V_s (mL)
 * @param strokeRelativeU its relative standard uncertainty (1)
 * @param start gauge pressure before the first stroke
 * @param coolant temperature of the coolant
 * @param ambient temperature of the air pumped in
 * @param readings counts since the start with the gauge then, at least one
 */
public record Strokes(
    Volume stroke,
    double strokeRelativeU,
    GaugePressure start,
    Temperature coolant,
    Temperature ambient,
    List<Reading> readings) {
  /**
   * Relative standard uncertainty of a stroke that was not measured: 3 % (our judgement, untested).
   */
  public static final double USUAL_RELATIVE_U = 0.03;

  /**
   * The gauge after a number of strokes.
   *
   * @param count strokes since the start, positive
   * @param gauge what it showed once the air had cooled, above the start
   */
  public record Reading(int count, GaugePressure gauge) {}

  /** Refuses strokes that raise nothing. */
  public Strokes {
    readings = List.copyOf(readings);
    if (!(stroke.millilitres() > 0) || !(strokeRelativeU >= 0) || readings.isEmpty()) {
      throw new IllegalArgumentException("strokes of " + stroke + " with " + readings);
    }
    for (Reading reading : readings) {
      if (reading.count() <= 0 || reading.gauge().compareTo(start) <= 0) {
        throw new IllegalArgumentException("strokes raise the pressure: " + reading);
      }
    }
  }

  /**
   * Room air that brings a known system from the start to a pressure, n·V_s (mL).
   *
   * @param air gas in it at the start of pumping, V_g0 (mL)
   * @param hose C_h (mL/kPa)
   */
  public static double freeAir(
      double air, double hose, GaugePressure from, GaugePressure to, AbsolutePressure atmosphere) {
    double p = to.above(atmosphere).kilopascals();
    double rise = to.kilopascals() - from.kilopascals();
    return (air * rise + hose * p * rise) / atmosphere.kilopascals();
  }

  /** Air that a count stands for, at the coolant's temperature, n·V_s·p_atm·(T/T_amb) (kPa·mL). */
  double work(Reading reading, AbsolutePressure atmosphere) {
    return reading.count()
        * stroke.millilitres()
        * atmosphere.kilopascals()
        * coolant.kelvins()
        / ambient.kelvins();
  }
}
