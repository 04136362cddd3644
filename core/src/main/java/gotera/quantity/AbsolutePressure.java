package gotera.quantity;

/**
 * Pressure above vacuum.
 *
 * @param kilopascals the pressure (kPa), not negative
 */
public record AbsolutePressure(double kilopascals) {
  /** One standard atmosphere, 101.325 kPa (ISO 2533:1975, sea level). */
  public static final AbsolutePressure STANDARD_ATMOSPHERE = new AbsolutePressure(101.325);

  /** Refuses negative pressure. */
  public AbsolutePressure {
    Finite.requireNotNegative(kilopascals, "absolute pressure (kPa)");
  }

  /**
   * Air pressure at a height, p = 101.325·(1 − 2.25577·10⁻⁵·h)^5.25588 (ISO 2533:1975).
   *
   * @param metres height above sea level (m), −500 to 5000
   */
  public static AbsolutePressure atAltitude(double metres) {
    if (!(metres >= -500 && metres <= 5000)) {
      throw new IllegalArgumentException("height must be -500 to 5000 m, not " + metres);
    }
    return new AbsolutePressure(101.325 * Math.pow(1 - 2.25577e-5 * metres, 5.25588));
  }

  /** Height at which the air has a pressure (m), the inverse of {@link #atAltitude}. */
  public static double altitudeOf(double kilopascals) {
    return (1 - Math.pow(kilopascals / 101.325, 1 / 5.25588)) / 2.25577e-5;
  }
}
