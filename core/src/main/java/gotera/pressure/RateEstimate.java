package gotera.pressure;

import gotera.pressure.law.LeakLaw;
import java.util.List;

/**
 * What the curve alone says, before the other sources of uncertainty are added.
 *
 * @param law the most probable law of the leak
 * @param laws how probable each law is
 * @param rate leak rate at the rated pressure, q (mL/min); may be negative
 * @param fitU standard uncertainty of the fit, not yet inflated by the scatter (mL/min)
 * @param creepU what of that the slow creep of the hoses makes (mL/min)
 * @param settled volume that settled and crept within the window (mL)
 * @param settledU its standard uncertainty (mL)
 * @param scatter how the readings scatter
 * @param meanDrive mean of f(p)/f(p_ref) over the window (1)
 * @param curve the fitted curve
 */
record RateEstimate(
    LeakLaw law,
    List<LeakLaw.Weight> laws,
    double rate,
    double fitU,
    double creepU,
    double settled,
    double settledU,
    Scatter scatter,
    double meanDrive,
    List<FittedCurve.Point> curve) {

  /** Standard uncertainty of the fit with the scatter (mL/min). */
  double inflatedFitU() {
    return fitU * Math.sqrt(scatter.inflation());
  }

  /** The same without what the slow creep makes of it (mL/min). */
  double ownFitU() {
    return Math.sqrt(Math.max(0, fitU * fitU - creepU * creepU) * scatter.inflation());
  }
}
