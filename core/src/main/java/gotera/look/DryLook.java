package gotera.look;

/**
 * What a look proves in which no drop fell: with no drop in n minutes where a drop would have been
 * seen, the rate is at most 2.996·v_d/n (Poisson, 95 %), in that state only.
 */
public final class DryLook {
  /** Drops of a Poisson count of none, at most, 95 % (1): −ln 0.05. */
  private static final double NONE = -Math.log(0.05);

  /** Volume of a drop (mL): 20 to a millilitre (common practice, no source). */
  public static final double DROP = 0.05;

  /** On a surface hotter than this drops dry up and nothing is proven (°C) (our judgement). */
  public static final double DRIES_UP = 70;

  /** A leak that first showed after some time must stay away this many times as long (1). */
  public static final double TIMES = 3; // our judgement, untested

  /** A look of this length bounds the rate near what weeks of a level tell (min). */
  public static final double USUAL = 15; // our judgement, untested

  private DryLook() {}

  /**
   * Upper limit of the rate, 95 % (mL/min).
   *
   * @param minutes without a drop (min), above 0
   */
  public static double most(double minutes) {
    if (!(minutes > 0)) {
      throw new IllegalArgumentException("a look of " + minutes + " min");
    }
    return NONE * DROP / minutes;
  }

  /**
   * How long a look must stay dry for a bound (min).
   *
   * @param rate the rate that it is to exclude (mL/min), above 0
   */
  public static double minutesFor(double rate) {
    return most(rate);
  }

  /**
   * How long a look must stay dry after a leak that showed after so long (min).
   *
   * @param shown time after which it showed (min)
   */
  public static double minutesAfter(double shown) {
    return TIMES * shown;
  }
}
