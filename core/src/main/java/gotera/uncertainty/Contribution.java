package gotera.uncertainty;

import gotera.word.Worded;

/**
 * One source of uncertainty and what it contributes.
 *
 * @param source where the uncertainty comes from
 * @param u its standard uncertainty, in the unit of the result (here mL/min)
 */
public record Contribution(Source source, double u) {
  /** Refuses negative uncertainty. */
  public Contribution {
    if (!(u >= 0)) {
      throw new IllegalArgumentException("standard uncertainty must not be negative: " + u);
    }
  }

  /** The sources a leak rate's uncertainty comes from. */
  public enum Source implements Worded {
    /** Scatter of the readings around the fitted curve, settling included. */
    FIT,
    /** Hoses creep on slowly, and nobody knows how much. */
    CREEP,
    /** How well the drift of the temperature is known. */
    TEMPERATURE,
    /** How well the coolant's expansion is known. */
    EXPANSION,
    /** The gauge shows steps that do not average away. */
    QUANTISATION,
    /** The gauge's zero may wander during the hold. */
    ZERO_DRIFT,
    /** How well it is known what air and hoses give. */
    COMPLIANCE,
    /** The tester's own leak, subtracted. */
    OWN_LEAK
  }
}
