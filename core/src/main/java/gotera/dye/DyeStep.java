package gotera.dye;

import java.time.Instant;
import java.util.OptionalDouble;

/** Something done with dye and lamp. */
public sealed interface DyeStep {
  /** Every place was scanned before the dye went in; what glowed was noted. */
  record ScannedBefore() implements DyeStep {}

  /** The dye went in. */
  record Dosed(Instant at) implements DyeStep {}

  /**
   * It ran.
   *
   * @param minutes how long (min)
   * @param thermostatOpen whether the thermostat had opened
   * @param heaterOpen whether the heater was open
   */
  record Ran(double minutes, boolean thermostatOpen, boolean heaterOpen) implements DyeStep {}

  /** A round of scanning began. */
  record Round() implements DyeStep {}

  /**
   * A joint was scanned.
   *
   * @param joint its code
   * @param glows whether it glows
   * @param millimetres size of the glow (mm), if it was measured
   */
  record Scanned(String joint, boolean glows, OptionalDouble millimetres) implements DyeStep {}

  /**
   * A joint was repaired: what glows there now is what is left of before.
   *
   * @param joint its code
   */
  record Repaired(String joint) implements DyeStep {}
}
