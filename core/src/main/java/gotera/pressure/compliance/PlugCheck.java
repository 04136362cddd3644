package gotera.pressure.compliance;

import gotera.pressure.trace.Gauge;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/**
 * The tester's own leak, measured against a plug at the pressure of the test: −V/P·dp/dt, with V
 * the air in its hose and adapter. What it loses in a test is the same volume at the same pressure.
 *
 * @param air air in hose, adapter and gauge, positive
 * @param before gauge pressure at the start
 * @param after gauge pressure at the end
 * @param minutes time between (min), positive
 * @param gauge its gauge
 */
public record PlugCheck(
    Volume air, GaugePressure before, GaugePressure after, double minutes, Gauge gauge) {
  /** Relative standard uncertainty of the air in hose and adapter (our judgement, untested). */
  private static final double AIR_U = 0.2;

  /** A shorter check says nothing (min) (our judgement, untested). */
  public static final double SHORTEST = 0.5;

  /** Refuses a check without air, time or pressure. */
  public PlugCheck {
    if (!(air.millilitres() > 0) || !(minutes > 0) || !(before.kilopascals() > 0)) {
      throw new IllegalArgumentException("a plug check of " + air + " for " + minutes + " min");
    }
  }

  /** The own leak at the mean pressure (mL/min); below zero is legal. */
  public double rate() {
    return perKilopascal() * (before.kilopascals() - after.kilopascals()) / minutes;
  }

  /** Its standard uncertainty (mL/min). */
  public double u() {
    double steps = gauge.resolution() / Math.sqrt(6);
    double reading = Math.hypot(Math.sqrt(2) * gauge.repeatability(), steps);
    double wander = Math.hypot(reading, gauge.zeroDrift());
    return Math.hypot(perKilopascal() * wander / minutes, AIR_U * rate());
  }

  /** Air that a kilopascal stands for at the mean pressure (mL/kPa). */
  private double perKilopascal() {
    double mean = (before.kilopascals() + after.kilopascals()) / 2;
    return air.millilitres()
        / new GaugePressure(mean).above(AbsolutePressure.STANDARD_ATMOSPHERE).kilopascals();
  }
}
