package gotera.refill;

/**
 * How much was lost, from how far the strength fell while water was topped up: a check of what is
 * complained of. Strengths are volume fractions of concentrate.
 *
 * @param bitByBit topped up little by little, V·ln(c₀/c), in the unit of V
 * @param atOnce lost and topped up at once, V·(1 − c/c₀)
 */
public record Dilution(double bitByBit, double atOnce) {
  /**
   * From the strengths.
   *
   * @param volume of the system, above zero
   * @param before strength when it was filled, above zero
   * @param now strength now, above zero and not above that
   */
  public static Dilution of(double volume, double before, double now) {
    if (!(volume > 0 && now > 0 && before >= now && before <= 1)) {
      throw new IllegalArgumentException("strength from " + before + " to " + now);
    }
    return new Dilution(volume * Math.log(before / now), volume * (1 - now / before));
  }

  /**
   * Standard uncertainty of {@link #bitByBit}, by that of both strengths.
   *
   * @param volume of the system
   * @param uBefore of the strength when it was filled
   * @param uNow of the strength now
   */
  public static double u(double volume, double before, double now, double uBefore, double uNow) {
    return volume * Math.hypot(uBefore / before, uNow / now);
  }
}
