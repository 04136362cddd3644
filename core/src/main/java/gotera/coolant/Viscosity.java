package gotera.coolant;

/**
 * Dynamic viscosity of coolant, cold and hot: what makes the same seep pass more when it is hot.
 *
 * <p>Water at 20 and 90 °C: IAPWS R12-08, 1.002 and 0.3145 mPa·s. Mixtures with ethylene glycol:
 * handbook values, from memory, ±15 %. Between the strengths the logarithm is linear.
 */
public final class Viscosity {
  private static final double[] STRENGTH = {0, 0.33, 0.5, 0.6};
  private static final double[] COLD = {1.002, 2.4, 3.9, 5.3}; // mPa·s at 20 °C
  private static final double[] HOT = {0.3145, 0.62, 0.86, 1.05}; // mPa·s at 90 °C

  /** Relative standard uncertainty of the ratio of both (our judgement, untested). */
  public static final double RATIO_RELATIVE_U = 0.15;

  private Viscosity() {}

  /** At 20 °C (mPa·s). */
  public static double cold(CoolantMixture mixture) {
    return between(COLD, mixture.strength());
  }

  /** At 90 °C (mPa·s). */
  public static double hot(CoolantMixture mixture) {
    return between(HOT, mixture.strength());
  }

  /** How much more the same seep passes at 90 than at 20 °C (1). */
  public static double hotOverCold(CoolantMixture mixture) {
    return cold(mixture) / hot(mixture);
  }

  private static double between(double[] values, double strength) {
    int i = 0;
    while (i < STRENGTH.length - 2 && strength > STRENGTH[i + 1]) {
      i++;
    }
    double x = (strength - STRENGTH[i]) / (STRENGTH[i + 1] - STRENGTH[i]);
    return Math.exp(Math.log(values[i]) * (1 - x) + Math.log(values[i + 1]) * x);
  }
}
