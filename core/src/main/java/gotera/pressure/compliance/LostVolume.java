package gotera.pressure.compliance;

/**
 * Exact volume that left a liquid-filled system between the start of the hold and another moment:
 *
 * <p>V_lost = V_g·((P0 − p_v0)/(P − p_v))·(T/T0) − V_g − C_h·(p − p0) + (β − α)·V_L·(T − T0).
 *
 * <p>From Boyle's and Charles's laws for the trapped air, the elasticity of the hoses and the
 * expansion of coolant against castings.
 *
 * @param air gas at the start, V_g (mL)
 * @param hose compliance of the hoses, C_h (mL/kPa)
 * @param liquid liquid in the system, V_L (mL)
 * @param expansion β − α (1/K)
 * @param gauge0 gauge pressure at the start, p0 (kPa)
 * @param atmosphere pressure of the surrounding air (kPa)
 * @param vapour0 water vapour at the start, p_v0 (kPa)
 * @param kelvin0 temperature at the start, T0 (K)
 */
public record LostVolume(
    double air,
    double hose,
    double liquid,
    double expansion,
    double gauge0,
    double atmosphere,
    double vapour0,
    double kelvin0)
    implements Loss {

  @Override
  public double at(double gauge, double kelvin, double vapour) {
    double dry = gauge + atmosphere - vapour;
    return air * dry0() / dry * kelvin / kelvin0
        - air
        - hose * (gauge - gauge0)
        + expansion * liquid * (kelvin - kelvin0);
  }

  @Override
  public double perKilopascal(double gauge, double kelvin, double vapour) {
    double dry = gauge + atmosphere - vapour;
    return air * dry0() / (dry * dry) * kelvin / kelvin0 + hose;
  }

  /** The root of the quadratic in P − p_v that {@link #at} is. */
  @Override
  public double gauge(double lost, double kelvin, double vapour) {
    double a = air * dry0() * kelvin / kelvin0;
    double c =
        -air
            - hose * (vapour - atmosphere - gauge0)
            + expansion * liquid * (kelvin - kelvin0)
            - lost;
    double dry = hose == 0 ? -a / c : (c + Math.sqrt(c * c + 4 * hose * a)) / (2 * hose);
    return dry + vapour - atmosphere;
  }

  private double dry0() {
    return gauge0 + atmosphere - vapour0;
  }
}
