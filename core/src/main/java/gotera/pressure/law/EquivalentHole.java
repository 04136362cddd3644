package gotera.pressure.law;

import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;

/**
 * Diameter of the sharp-edged round hole that would leak as much: A = q / (C_d·√(2p/ρ)), from
 * Torricelli's law with a coefficient of discharge of 0.6 (common practice, no source).
 */
public final class EquivalentHole {
  private static final double DISCHARGE = 0.6;

  private EquivalentHole() {}

  /**
   * The diameter (mm).
   *
   * @param rate positive leak rate
   * @param pressure positive pressure that drives it
   * @param density density of the coolant (kg/m³)
   */
  public static double diameter(LeakRate rate, GaugePressure pressure, double density) {
    if (!(rate.millilitresPerMinute() > 0) || !(pressure.kilopascals() > 0) || !(density > 0)) {
      throw new IllegalArgumentException("a hole needs flow, pressure and density");
    }
    double cubicMetresPerSecond = rate.millilitresPerMinute() * 1e-6 / 60;
    double speed = Math.sqrt(2 * pressure.kilopascals() * 1000 / density);
    double area = cubicMetresPerSecond / (DISCHARGE * speed);
    return 1000 * Math.sqrt(4 * area / Math.PI);
  }
}
