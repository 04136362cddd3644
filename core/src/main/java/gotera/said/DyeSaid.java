package gotera.said;

import gotera.dye.DyeStep;
import gotera.word.Worded;
import java.time.Instant;
import java.util.OptionalDouble;

/** What was done with dye and lamp. */
public sealed interface DyeSaid extends Said {
  /** The step it is. */
  DyeStep step(Instant at);

  /** Every place was scanned before the dye went in. */
  record ScannedBefore() implements DyeSaid {
    @Override
    public DyeStep step(Instant at) {
      return new DyeStep.ScannedBefore();
    }
  }

  /** Whether a dye is made for the coolant it is put into. */
  enum Match implements Worded {
    MATCHED,
    UNKNOWN
  }

  /**
   * The dye went in.
   *
   * @param match whether it matches the coolant
   * @param millilitres how much (mL), where it was said
   */
  record Dosed(Match match, OptionalDouble millilitres) implements DyeSaid {
    @Override
    public DyeStep step(Instant at) {
      return new DyeStep.Dosed(at);
    }
  }

  /**
   * It ran with the dye in it.
   *
   * @param minutes how long (min)
   * @param thermostatOpen whether the thermostat had opened
   * @param heaterOpen whether the heater was open
   */
  record Ran(double minutes, boolean thermostatOpen, boolean heaterOpen) implements DyeSaid {
    @Override
    public DyeStep step(Instant at) {
      return new DyeStep.Ran(minutes, thermostatOpen, heaterOpen);
    }
  }

  /** A round of scanning began. */
  record RoundBegun() implements DyeSaid {
    @Override
    public DyeStep step(Instant at) {
      return new DyeStep.Round();
    }
  }

  /**
   * A joint was scanned.
   *
   * @param joint its code
   * @param glows whether it glows
   * @param millimetres size of the glow (mm), where it was measured
   */
  record Scanned(String joint, boolean glows, OptionalDouble millimetres) implements DyeSaid {
    @Override
    public DyeStep step(Instant at) {
      return new DyeStep.Scanned(joint, glows, millimetres);
    }
  }
}
