package gotera.refill;

/** What air a vacuum fill leaves. */
public final class VacuumFill {
  private VacuumFill() {}

  /**
   * Air that stays, at the pressure of the atmosphere: V·(p − p_v)/(p_atm − p_v).
   *
   * @param volume of the system (mL), above zero
   * @param left absolute pressure reached (kPa)
   * @param vapour pressure of the vapour of what is still in it (kPa)
   * @param atmosphere absolute pressure of the air (kPa), above both
   * @return mL; nothing where the vapour alone makes the pressure
   */
  public static double air(double volume, double left, double vapour, double atmosphere) {
    if (!(volume > 0 && left >= 0 && vapour >= 0 && atmosphere > Math.max(left, vapour))) {
      throw new IllegalArgumentException("a vacuum of " + left + " under " + atmosphere);
    }
    return Math.max(0, volume * (left - vapour) / (atmosphere - vapour));
  }
}
