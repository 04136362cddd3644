package gotera.balance;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Viscosity;

/**
 * What the customer loses, against what was measured cold: the same seep passes more when hot, for
 * the coolant is thinner.
 *
 * @param lossPerWeek loss (mL in a week), positive
 * @param hotHoursPerWeek hours under pressure in a week (h), positive
 */
public record Complaint(double lossPerWeek, double hotHoursPerWeek) {
  /** Relative standard uncertainty of what customers tell (our judgement, untested). */
  private static final double TOLD_U = 0.3;

  private static final double TWO_SIDED = 1.96;

  /** Refuses a complaint without a loss or without hours. */
  public Complaint {
    if (!(lossPerWeek > 0) || !(hotHoursPerWeek > 0)) {
      throw new IllegalArgumentException(lossPerWeek + " mL in " + hotHoursPerWeek + " h");
    }
  }

  /** What the measured rate makes of the complaint. */
  public enum Answer {
    /** They agree within their uncertainties. */
    EXPLAINED,
    /** More is lost than the cold leak passes hot: heat, rotation or vibration. */
    MORE_IS_LOST,
    /** Less is lost than the leak would pass: it does not leak all the time, or is new. */
    LESS_IS_LOST
  }

  /** Rate that the complaint amounts to while hot (mL/min). */
  public double rate() {
    return lossPerWeek / (60 * hotHoursPerWeek);
  }

  /** What a rate measured cold would be when hot (mL/min). */
  public static double hotEquivalent(double coldRate, CoolantMixture coolant) {
    return coldRate * Viscosity.hotOverCold(coolant);
  }

  /**
   * Holds a cold rate against it.
   *
   * @param coldRate measured rate at the rated pressure (mL/min)
   * @param u its standard uncertainty (mL/min)
   */
  public Answer against(double coldRate, double u, CoolantMixture coolant) {
    double apart = apart(coldRate, u, coolant);
    if (Math.abs(apart) <= TWO_SIDED) {
      return Answer.EXPLAINED;
    }
    return apart > 0 ? Answer.MORE_IS_LOST : Answer.LESS_IS_LOST;
  }

  /**
   * By how many standard uncertainties more is lost than a rate measured cold would be when hot.
   *
   * @param coldRate measured rate at the rated pressure (mL/min)
   * @param u its standard uncertainty (mL/min)
   */
  public double apart(double coldRate, double u, CoolantMixture coolant) {
    double factor = Viscosity.hotOverCold(coolant);
    double hot = Math.max(0, coldRate) * factor;
    return apartHot(hot, Math.hypot(u * factor, Viscosity.RATIO_RELATIVE_U * hot));
  }

  /**
   * The same for a rate measured hot.
   *
   * @param hot measured rate (mL/min)
   * @param u its standard uncertainty (mL/min)
   */
  public double apartHot(double hot, double u) {
    return (rate() - Math.max(0, hot)) / Math.hypot(u, TOLD_U * rate());
  }

  /** Driving in a busy week of a van (min): ten hours (our judgement, untested). */
  private static final double BUSY_WEEK = 600;

  /** What a rate comes to in a busy week, so that a customer can picture it (mL). */
  public static double inABusyWeek(double millilitresPerMinute) {
    return millilitresPerMinute * BUSY_WEEK;
  }
}
