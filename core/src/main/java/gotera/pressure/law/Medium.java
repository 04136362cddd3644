package gotera.pressure.law;

import gotera.word.Worded;

/**
 * What is pressed through a leak, and which way: coolant out, air out of a dry or part-filled
 * system, or air into an evacuated one.
 *
 * <p>Gas follows the difference of squared pressures through a fine path (Poiseuille for a
 * compressible gas) and the isentropic nozzle through an opening, choked below 0.528 of the
 * pressure ahead of it (A. H. Shapiro, The Dynamics and Thermodynamics of Compressible Fluid Flow,
 * 1953, chapter 4, for γ = 1.4).
 */
public enum Medium implements Worded {
  /** A filled system: coolant leaves. */
  LIQUID {
    @Override
    public double share(LeakLaw law, double gauge, double rated, double atmosphere) {
      return law.share(gauge, rated);
    }
  },
  /** Air leaves: an empty system, or a place above the coolant. */
  GAS {
    @Override
    public double share(LeakLaw law, double gauge, double rated, double atmosphere) {
      return throughput(law, gauge + atmosphere, atmosphere)
          / throughput(law, rated + atmosphere, atmosphere);
    }
  },
  /** Air enters an evacuated system; the share is that of a full vacuum. */
  VACUUM {
    @Override
    public double share(LeakLaw law, double gauge, double rated, double atmosphere) {
      double inside = Math.max(0, gauge + atmosphere);
      return throughput(law, atmosphere, inside) / throughput(law, atmosphere, 0);
    }
  };

  /** Pressure ratio at and below which air is choked (γ = 1.4). */
  static final double CHOKED = 0.528;

  private static final double GAMMA = 1.4;

  /**
   * What a leak passes at a gauge pressure, as a share of what it passes at the rated pressure (of
   * a full vacuum for {@link #VACUUM}) (1).
   *
   * @param gauge gauge pressure (kPa)
   * @param rated rated gauge pressure, positive (kPa)
   * @param atmosphere pressure of the surrounding air (kPa)
   */
  public abstract double share(LeakLaw law, double gauge, double rated, double atmosphere);

  /**
   * Throughput p·dV/dt of air up to a constant of the leak.
   *
   * @param high pressure ahead of the leak (kPa, absolute)
   * @param low pressure behind it (kPa, absolute)
   */
  private static double throughput(LeakLaw law, double high, double low) {
    if (!(high > low)) {
      return 0;
    }
    return switch (law) {
      case SEEP -> high * high - low * low;
      case ORIFICE -> high * nozzle(Math.max(low / high, CHOKED)) / nozzle(CHOKED);
    };
  }

  /** Isentropic flow of a nozzle by its pressure ratio, up to a constant (1). */
  private static double nozzle(double ratio) {
    return Math.sqrt(
        Math.max(0, Math.pow(ratio, 2 / GAMMA) - Math.pow(ratio, (GAMMA + 1) / GAMMA)));
  }
}
