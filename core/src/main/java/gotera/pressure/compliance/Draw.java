package gotera.pressure.compliance;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/**
 * A measured volume let out under pressure: ΔV = C_h·(p1 − p2) + V_g1·(P1/P2 − 1).
 *
 * @param volume what was caught
 * @param before gauge pressure just before
 * @param after gauge pressure just after, lower
 */
public record Draw(Volume volume, GaugePressure before, GaugePressure after) {
  /** Standard uncertainty of a volume caught and read: 0.3 mL and 1 % (our judgement, untested). */
  private static final double VOLUME_U = 0.3;

  private static final double VOLUME_RELATIVE_U = 0.01;

  /** Refuses a draw that did not lower the pressure. */
  public Draw {
    if (!(volume.millilitres() > 0) || before.compareTo(after) <= 0) {
      throw new IllegalArgumentException("a draw lets something out and lowers the pressure");
    }
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
    return (volume.millilitres() - hose * (p1 - p2)) / (p1 / p2 - 1);
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

  /**
   * What air and hoses give, from this one draw and an estimate of the hoses.
   *
   * @param hose estimate of C_h (mL/kPa)
   * @param hoseU its standard uncertainty (mL/kPa)
   * @param holdStart gauge pressure at the start of the hold the result is for
   * @param atmosphere pressure of the surrounding air
   * @param readingU standard uncertainty of one gauge reading (kPa)
   */
  public AirAndHoses airAndHoses(
      double hose,
      double hoseU,
      GaugePressure holdStart,
      AbsolutePressure atmosphere,
      double readingU) {
    double p1 = before.above(atmosphere).kilopascals();
    double p2 = after.above(atmosphere).kilopascals();
    double start = holdStart.above(atmosphere).kilopascals();
    double ratio = p1 / p2 - 1;
    double air = Math.max(0, trappedAirBefore(hose, atmosphere));
    double total = hose + air / p1;
    double volumeU = Math.hypot(VOLUME_U, VOLUME_RELATIVE_U * volume.millilitres());
    double fromVolume = volumeU / (p1 * ratio);
    double fromReadings = Math.sqrt(2) * readingU * (hose + air / p2) / (p1 * ratio);
    // raising C_h lowers V_g: their effects on the total nearly cancel, and are added as they are
    double fromHose = hoseU * (1 - (p1 - p2) / (p1 * ratio));
    double u =
        Math.sqrt(fromVolume * fromVolume + fromReadings * fromReadings + fromHose * fromHose);
    return new AirAndHoses(
        new Volume(air * p1 / start), hose, u / total, AirAndHoses.Source.MEASURED);
  }
}
