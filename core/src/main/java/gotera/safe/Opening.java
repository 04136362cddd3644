package gotera.safe;

import gotera.timing.CoolDown;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is known before a system is opened.
 *
 * @param soft whether the upper hose was soft, once somebody squeezed it
 * @param celsius its temperature (°C), as far as known
 * @param highVoltage whether it cools high-voltage parts
 * @param qualified whether a qualified person has said that the maker's procedure was followed
 */
public record Opening(
    Optional<Boolean> soft, OptionalDouble celsius, boolean highVoltage, boolean qualified) {
  /** What may be done. */
  public enum Verdict {
    /** Soft, cold as far as measured, and nobody is endangered by high voltage. */
    MAY_OPEN,
    /** Hard: under pressure. */
    HARD,
    /** Warmer than what is opened. */
    HOT,
    /** High voltage: a qualified person only. */
    HIGH_VOLTAGE,
    /** Nobody has squeezed yet. */
    UNKNOWN
  }

  /** The verdict; a danger comes before what is merely not known. */
  public Verdict verdict() {
    if (highVoltage && !qualified) {
      return Verdict.HIGH_VOLTAGE;
    }
    if (soft.isPresent() && !soft.get()) {
      return Verdict.HARD;
    }
    if (celsius.isPresent() && celsius.getAsDouble() > CoolDown.SAFE_TO_OPEN) {
      return Verdict.HOT;
    }
    return soft.isPresent() ? Verdict.MAY_OPEN : Verdict.UNKNOWN;
  }
}
