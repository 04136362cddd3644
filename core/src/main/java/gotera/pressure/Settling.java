package gotera.pressure;

import gotera.pressure.law.Medium;

/**
 * What settles after pumping, A·(1 − e^(−(t − t_pump)/τ)): hoses creep, pumped-in air cools. Time
 * constant about 80 s (log-normal, 0.8), size 0.12·C_h·p_step + 0.004·V_g (our judgement,
 * untested).
 */
final class Settling {
  /** Mean of the logarithm of the time constant (s). */
  static final double LOG_TAU = Math.log(80);

  /** Its standard deviation. */
  static final double LOG_TAU_SD = 0.8;

  private static final double CREEP_SHARE = 0.12;
  private static final double GAS_SHARE = 0.004;

  private Settling() {}

  /**
   * Standard deviation of the settling before it is cut at zero (mL).
   *
   * @param hose what the hoses give (mL/kPa)
   * @param air trapped air (mL)
   * @param step pressure step of the pumping (kPa)
   */
  static double scale(double hose, double air, double step) {
    return CREEP_SHARE * hose * step + GAS_SHARE * air;
  }

  /** As before; in an evacuated system what is left of the water evaporates and settles too. */
  static double scale(HoldConditions conditions, double step) {
    double air = conditions.airAndHoses().trappedAir().millilitres();
    double dries =
        conditions.medium() == Medium.VACUUM
            ? air
                * conditions.coolant().vapourPressure(conditions.ambient()).kilopascals()
                / Filling.ONE_ATMOSPHERE
            : 0;
    return scale(conditions.airAndHoses().hose(), air, step) + dries;
  }

  /** Share that has settled (1). */
  static double at(double seconds, double pumped, double tau) {
    return 1 - Math.exp(-Math.max(0, seconds - pumped) / tau);
  }

  static double[] column(double[] seconds, double pumped, double tau) {
    double[] s = new double[seconds.length];
    for (int i = 0; i < s.length; i++) {
      s[i] = at(seconds[i], pumped, tau);
    }
    return s;
  }
}
