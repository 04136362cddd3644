package gotera.pressure.compliance;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/**
 * A measured volume let out under pressure, or pushed in: ΔV = C_h·(p1 − p2) + V_g1·(P1/P2 − 1).
 *
 * @param volume what was caught, or pushed in where the pressure rose
 * @param before gauge pressure just before
 * @param after gauge pressure just after: lower where it was let out, higher where it was pushed in
 */
public record Draw(Volume volume, GaugePressure before, GaugePressure after) {
  /** Standard uncertainty of a volume caught and read: 0.3 mL and 1 % (our judgement, untested). */
  private static final double VOLUME_U = 0.3;

  private static final double VOLUME_RELATIVE_U = 0.01;

  /** Refuses a volume that changed nothing. */
  public Draw {
    if (!(volume.millilitres() > 0) || before.compareTo(after) == 0) {
      throw new IllegalArgumentException("a volume let out or pushed in changes the pressure");
    }
  }

  /** A volume that left, or was pushed in if negative (mL), with the gauge around it (kPa). */
  public static Draw of(double millilitresOut, double before, double after) {
    return new Draw(
        new Volume(Math.abs(millilitresOut)), new GaugePressure(before), new GaugePressure(after));
  }

  /** The volume that left (mL); negative where it was pushed in. */
  public double millilitresOut() {
    return before.compareTo(after) > 0 ? volume.millilitres() : -volume.millilitres();
  }

  /** Standard uncertainty of the volume (mL). */
  double volumeU() {
    return Math.hypot(VOLUME_U, VOLUME_RELATIVE_U * volume.millilitres());
  }

  /**
   * Trapped air just before the draw, V_g1 (mL); may come out negative if the hoses were taken for
   * too soft.
   *
   * @param hose compliance of the hoses, C_h (mL/kPa)
   * @param atmosphere pressure of the surrounding air
   */
  public double trappedAirBefore(double hose, AbsolutePressure atmosphere) {
    double p1 = before.above(atmosphere).kilopascals();
    double p2 = after.above(atmosphere).kilopascals();
    return (millilitresOut() - hose * (p1 - p2)) / (p1 / p2 - 1);
  }

  /** The step a draw of this volume should give on a system that is known (kPa). */
  public double predictedStep(AirAndHoses system, AbsolutePressure atmosphere) {
    double p1 = before.above(atmosphere).kilopascals();
    double air = system.trappedAir().millilitres();
    // C_h·x + V·x/(p1 − x) = ΔV, with the gas at this moment
    double low = 0;
    double high = p1 - 1e-6;
    for (int i = 0; i < 80; i++) {
      double x = (low + high) / 2;
      if (system.hose() * x + air * x / (p1 - x) < volume.millilitres()) {
        low = x;
      } else {
        high = x;
      }
    }
    return (low + high) / 2;
  }
}
