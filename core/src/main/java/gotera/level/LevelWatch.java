package gotera.level;

import gotera.uncertainty.DecisionLimits;

/**
 * A leak rate without a pressure tester: q = ΔV ÷ time under pressure, with ΔV from the mark on the
 * tank, or from what was topped up, at as nearly equal temperatures as can be had.
 *
 * @param area free area of the tank at the mark (cm²), positive
 * @param fall how far the level fell (mm); negative if it rose
 * @param fallU standard uncertainty of a mark's reading (mm)
 * @param toppedUp what was put in between (mL)
 * @param toppedUpU its standard uncertainty (mL)
 * @param minutes time under pressure, hot (min), positive
 * @param warmer temperature now less that at the first mark (K)
 * @param warmerU its standard uncertainty (K)
 * @param perKelvin what the coolant grows by, (β − α)·V_L (mL/K)
 */
public record LevelWatch(
    double area,
    double fall,
    double fallU,
    double toppedUp,
    double toppedUpU,
    double minutes,
    double warmer,
    double warmerU,
    double perKelvin) {
  /** Relative standard uncertainty of the area and of the hours (our judgement, untested). */
  private static final double AREA_U = 0.1;

  private static final double MINUTES_U = 0.1;

  /** Refuses a watch without tank or time. */
  public LevelWatch {
    if (!(area > 0) || !(minutes > 0) || !(toppedUp >= 0)) {
      throw new IllegalArgumentException(
          "a level watch of " + area + " cm² over " + minutes + " min, " + toppedUp + " mL put in");
    }
  }

  /** Volume that is missing at equal temperature, ΔV (mL). */
  public double missing() {
    return area * fall / 10 + toppedUp + perKelvin * warmer;
  }

  /** Its standard uncertainty (mL). */
  public double missingU() {
    double mark = Math.hypot(area * fallU, AREA_U * area * fall) / 10;
    return Math.hypot(Math.hypot(mark, toppedUpU), perKelvin * warmerU);
  }

  /** Mean rate while hot and under pressure (mL/min); below zero is legal. */
  public double rate() {
    return missing() / minutes;
  }

  /** Its standard uncertainty (mL/min). */
  public double u() {
    return Math.hypot(missingU() / minutes, MINUTES_U * rate());
  }

  /** Upper limit of the true rate, 95 %, never less than with nothing missing (mL/min). */
  public double upper() {
    return Math.max(0, rate()) + DecisionLimits.K * u();
  }
}
