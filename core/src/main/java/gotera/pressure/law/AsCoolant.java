package gotera.pressure.law;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Viscosity;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;

/**
 * What a leak of air would pass in coolant at the rated pressure, cold: more the finer the path. A
 * fine path follows Poiseuille, q ∝ (P² − p_atm²)/(2μ) for gas and p/μ for liquid; an opening
 * passes air at 198.6 m/s·C_d·A when choked (γ = 1.4, 20 °C) and coolant at √(2p/ρ)·C_d·A. It never
 * signs anything off: coolant left in a fine path plugs it for air.
 *
 * @param seep if the leak is a fine path (mL/min)
 * @param orifice if the leak is an opening (mL/min)
 */
public record AsCoolant(double seep, double orifice) {
  /** Viscosity of air at 20 °C (mPa·s) (handbook value, from memory). */
  private static final double AIR = 0.0181;

  /** Volume of choked air at the pressure ahead, per area of the jet (m/s), γ = 1.4 at 20 °C. */
  private static final double CHOKED_SPEED = 198.6;

  /**
   * From a volume of air at the rated pressure (mL/min).
   *
   * @param air rate, volume at the rated pressure (mL/min)
   */
  public static AsCoolant ofGas(
      double air, GaugePressure rated, AbsolutePressure atmosphere, CoolantMixture coolant) {
    double p = rated.kilopascals();
    double ratio = (2 * atmosphere.kilopascals() + p) / (2 * (p + atmosphere.kilopascals()));
    double seep = air * AIR / Viscosity.cold(coolant) / ratio;
    double choked =
        Medium.GAS.share(LeakLaw.ORIFICE, p, wellChoked(atmosphere), atmosphere.kilopascals());
    // volume at its own pressure: the throughput over that pressure
    double speed =
        CHOKED_SPEED
            * choked
            * (wellChoked(atmosphere) + atmosphere.kilopascals())
            / (p + atmosphere.kilopascals());
    return new AsCoolant(seep, air * jet(p, coolant) / speed);
  }

  /**
   * From the air that a full vacuum draws in, as a volume at one atmosphere (mL/min).
   *
   * @param air rate (mL/min)
   */
  public static AsCoolant ofVacuum(
      double air, GaugePressure rated, AbsolutePressure atmosphere, CoolantMixture coolant) {
    double p = rated.kilopascals();
    double a = atmosphere.kilopascals();
    double throughput = air * AbsolutePressure.STANDARD_ATMOSPHERE.kilopascals();
    double seep = throughput * 2 * p / (a * a) * AIR / Viscosity.cold(coolant);
    return new AsCoolant(seep, throughput / a * jet(p, coolant) / CHOKED_SPEED);
  }

  /** A gauge pressure at which air is choked for certain (kPa). */
  private static double wellChoked(AbsolutePressure atmosphere) {
    return 2 * atmosphere.kilopascals();
  }

  /** Speed of a jet of coolant (m/s), Torricelli. */
  private static double jet(double gauge, CoolantMixture coolant) {
    return Math.sqrt(2 * gauge * 1000 / coolant.density());
  }
}
