package gotera.pressure.verdict;

import gotera.pressure.compliance.AirAndHoses;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;

/**
 * The maker's rule: hold a pressure for some minutes, and lose no more than so much of it.
 *
 * @param pressure pressure to hold
 * @param minutes how long (min), positive
 * @param drop highest drop (kPa), positive
 */
public record MakerRule(GaugePressure pressure, double minutes, double drop) {
  /** Refuses a rule that says nothing. */
  public MakerRule {
    if (!(pressure.kilopascals() > 0) || !(minutes > 0) || !(drop > 0)) {
      throw new IllegalArgumentException("a maker's rule needs pressure, minutes and drop");
    }
    if (!(drop < pressure.kilopascals())) {
      throw new IllegalArgumentException("a rule cannot let more pressure drop than it holds");
    }
  }

  /** Whether the rule is met. */
  public enum Met {
    /** The pressure was held. */
    YES("yes"),
    /** It dropped too far. */
    NO("no"),
    /** Its pressure was not reached, or not for its time. */
    NOT_TESTED("not-tested");

    private final String word;

    Met(String word) {
      this.word = word;
    }

    /** The word for it in files and messages. */
    public String word() {
      return word;
    }
  }

  /**
   * The steady leak this rule would let through: (V_g·(P/(P − Δp) − 1) + C_h·Δp)/t.
   *
   * @param system what air and hoses give, with the trapped air at this rule's pressure
   * @param atmosphere pressure of the surrounding air
   */
  public LeakRate letsThrough(AirAndHoses system, AbsolutePressure atmosphere) {
    double p = pressure.above(atmosphere).kilopascals();
    double volume = system.trappedAir().millilitres() * (p / (p - drop) - 1) + system.hose() * drop;
    return new LeakRate(volume / minutes);
  }
}
