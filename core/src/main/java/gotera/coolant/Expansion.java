package gotera.coolant;

import gotera.quantity.Temperature;

/**
 * Volume expansion of coolant and of the castings around it.
 *
 * <p>Table of β by strength and temperature, bilinear between. Water: IAPWS R6-95 densities.
 * Glycol: from handbook densities, from memory, ±10 %. Valid 10 to 60 °C and 0 to 60 %; refuses
 * anything else, so ask {@link #covers} first.
 */
public final class Expansion {
  private static final double[] CELSIUS = {10, 20, 30, 40, 60};
  private static final double[] STRENGTH = {0, 0.33, 0.5, 0.6};
  // β (10⁻⁴ 1/K), a row per strength, a column per temperature
  private static final double[][] BETA = {
    {0.88, 2.07, 3.03, 3.85, 5.23},
    {3.2, 3.7, 4.2, 4.6, 5.6},
    {4.4, 4.7, 5.0, 5.4, 6.0},
    {4.9, 5.1, 5.4, 5.7, 6.2}
  };

  /**
   * Expansion of castings and core, α (1/K): between iron and aluminium (our judgement, untested).
   */
  private static final double CASTINGS = 5e-5;

  /** Standard uncertainty of α (1/K) (our judgement, untested). */
  private static final double CASTINGS_U = 2e-5;

  private static final double GLYCOL_RELATIVE_U = 0.10;
  private static final double WATER_RELATIVE_U = 0.01;

  private Expansion() {}

  /** Whether the table reaches this temperature. */
  public static boolean covers(Temperature temperature) {
    double c = temperature.celsius();
    return c >= CELSIUS[0] - 1e-9 && c <= CELSIUS[CELSIUS.length - 1] + 1e-9;
  }

  /** Volume expansion β of the coolant (1/K). */
  public static double ofCoolant(CoolantMixture mixture, Temperature temperature) {
    if (!covers(temperature)) {
      throw new IllegalArgumentException(
          "expansion is known from 10 to 60 °C, not at " + temperature.celsius() + " °C");
    }
    int row = bracket(STRENGTH, mixture.strength());
    int column = bracket(CELSIUS, temperature.celsius());
    double y = share(STRENGTH, row, mixture.strength());
    double x = share(CELSIUS, column, temperature.celsius());
    double lower = BETA[row][column] * (1 - x) + BETA[row][column + 1] * x;
    double upper = BETA[row + 1][column] * (1 - x) + BETA[row + 1][column + 1] * x;
    return 1e-4 * (lower * (1 - y) + upper * y);
  }

  /** Expansion of coolant against its container, β − α (1/K). */
  public static double againstCastings(CoolantMixture mixture, Temperature temperature) {
    return ofCoolant(mixture, temperature) - CASTINGS;
  }

  /** Standard uncertainty of {@link #againstCastings} (1/K). */
  public static double uncertainty(CoolantMixture mixture, Temperature temperature) {
    double relative = mixture.strength() > 0 ? GLYCOL_RELATIVE_U : WATER_RELATIVE_U;
    return Math.hypot(relative * ofCoolant(mixture, temperature), CASTINGS_U);
  }

  private static int bracket(double[] nodes, double x) {
    int i = 0;
    while (i < nodes.length - 2 && x > nodes[i + 1]) {
      i++;
    }
    return i;
  }

  private static double share(double[] nodes, int i, double x) {
    return (x - nodes[i]) / (nodes[i + 1] - nodes[i]);
  }
}
