package gotera.quantity;

/**
 * Volume of coolant leaving in a time, at the conditions of the system.
 *
 * @param millilitresPerMinute the rate (mL/min); a measured rate may be negative
 */
public record LeakRate(double millilitresPerMinute) {
  private static final double DROPS_PER_MILLILITRE = 20;

  /** Refuses what is not a number. */
  public LeakRate {
    Finite.require(millilitresPerMinute, "leak rate (mL/min)");
  }

  /** A rate counted in drops, 20 to the millilitre (common practice, no source). */
  public static LeakRate ofDropsPerMinute(double drops) {
    return new LeakRate(drops / DROPS_PER_MILLILITRE);
  }

  /** The rate in drops, 20 to the millilitre (common practice, no source). */
  public double dropsPerMinute() {
    return millilitresPerMinute * DROPS_PER_MILLILITRE;
  }

  /** Volume lost in a day that is spent under this pressure throughout. */
  public Volume perDay() {
    return new Volume(millilitresPerMinute * 60 * 24);
  }
}
