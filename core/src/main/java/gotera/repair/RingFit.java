package gotera.repair;

import gotera.word.Worded;

/**
 * How an O-ring sits in a static groove (limits: handbook practice, from memory).
 *
 * @param stretch (groove − ring) / ring, of the inner diameters (1)
 * @param squeeze share of the cord that the groove's depth takes (1); the cord as it is bought
 */
public record RingFit(double stretch, double squeeze) {
  /** More stretch than this ages it early (1). */
  public static final double MOST_STRETCH = 0.05;

  /** Less squeeze than this leaks (1). */
  public static final double LEAST_SQUEEZE = 0.15;

  /** More squeeze than this cuts it or keeps the part from seating (1). */
  public static final double MOST_SQUEEZE = 0.30;

  /** What it is like. */
  public enum Says implements Worded {
    /** It sits loose: take the smaller of two. */
    LOOSE,
    OVERSTRETCHED,
    TOO_THIN,
    TOO_THICK,
    FITS
  }

  /**
   * From its measures, all above zero.
   *
   * @param ring inner diameter of the ring (mm)
   * @param cord thickness of its cord (mm)
   * @param groove diameter on which it sits (mm)
   * @param depth depth of the groove (mm)
   */
  public static RingFit of(double ring, double cord, double groove, double depth) {
    if (!(ring > 0 && cord > 0 && groove > 0 && depth > 0)) {
      throw new IllegalArgumentException("measures of a ring: " + ring + ", " + cord);
    }
    return new RingFit((groove - ring) / ring, (cord - depth) / cord);
  }

  /** What it is like; the worst of it first. */
  public Says says() {
    if (stretch < 0) {
      return Says.LOOSE;
    }
    if (squeeze < LEAST_SQUEEZE) {
      return Says.TOO_THIN;
    }
    if (squeeze > MOST_SQUEEZE) {
      return Says.TOO_THICK;
    }
    return stretch > MOST_STRETCH ? Says.OVERSTRETCHED : Says.FITS;
  }
}
