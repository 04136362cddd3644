package gotera.coolant;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.Temperature;

/**
 * A mixture of water and ethylene glycol concentrate.
 *
 * @param strength volume fraction of concentrate at 20 °C, 0 to 0.6; volumes taken as additive
 */
public record CoolantMixture(double strength) {
  /** Strength of a coolant of which nobody has said one (1) (common practice, no source). */
  public static final double USUAL_STRENGTH = 0.5;

  /** Up to this strength it is called water (1) (our judgement, untested). */
  private static final double WATER = 0.05;

  // densities at 20 °C (g/mL): ethylene glycol and water (handbook values, from memory)
  private static final double GLYCOL_DENSITY = 1.1135;
  private static final double WATER_DENSITY = 0.9982;
  // molar masses (g/mol): C2H6O2 and H2O (standard atomic weights, from memory)
  private static final double GLYCOL_MOLAR_MASS = 62.07;
  private static final double WATER_MOLAR_MASS = 18.015;

  /** Refuses strengths the tables do not reach. */
  public CoolantMixture {
    if (!(strength >= 0 && strength <= 0.6)) {
      throw new IllegalArgumentException("strength must be 0 to 0.6, not " + strength);
    }
  }

  /** Whether it is as good as water alone. */
  public boolean isWater() {
    return strength <= WATER;
  }

  /** Density at 20 °C with additive volumes, error below 1 % (kg/m³). */
  public double density() {
    return 1000 * (strength * GLYCOL_DENSITY + (1 - strength) * WATER_DENSITY);
  }

  /** Mole fraction of water (1). */
  public double waterMoleFraction() {
    double water = (1 - strength) * WATER_DENSITY / WATER_MOLAR_MASS;
    double glycol = strength * GLYCOL_DENSITY / GLYCOL_MOLAR_MASS;
    return water / (water + glycol);
  }

  /**
   * Water vapour pressure above the mixture by Raoult's law, good to 2 K for boiling up to 60 %
   * (our judgement, untested).
   */
  public AbsolutePressure vapourPressure(Temperature temperature) {
    return new AbsolutePressure(
        waterMoleFraction() * SaturationPressure.of(temperature).kilopascals());
  }
}
