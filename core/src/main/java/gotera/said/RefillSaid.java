package gotera.said;

import gotera.coolant.Chemistry;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.refill.FillSteps.Does;
import gotera.refill.FillSteps.School;
import gotera.word.Worded;
import java.util.Optional;

/** What was decided and done at a refill. */
public sealed interface RefillSaid extends Said {
  /** From where it is known what is in. */
  enum Source implements Worded {
    LABEL,
    LOG,
    HISTORY,
    CALL
  }

  /**
   * What is in.
   *
   * @param chemistry which
   * @param source from where that is known; empty where nobody said
   */
  record CoolantIn(Chemistry chemistry, Optional<Source> source) implements RefillSaid {}

  /** What goes in. */
  record CoolantPoured(Chemistry chemistry) implements RefillSaid {}

  /**
   * The mix that is wanted.
   *
   * @param glycol of which glycol
   * @param strength how strong (1)
   * @param jug what a jug holds (mL)
   */
  record MixWanted(Glycol glycol, double strength, double jug) implements RefillSaid {}

  /** How it is filled. */
  record SchoolChosen(School school) implements RefillSaid {}

  /** Whether dry air is held before it is filled. */
  record AirFirst(boolean first) implements RefillSaid {}

  /**
   * A step was done.
   *
   * @param does what
   * @param at code of the joint or part; empty for the whole
   */
  record StepDone(Does does, String at) implements RefillSaid {}

  /** What can be said while it is purged: pairs, of which the last counts. */
  enum PurgeSign implements Worded {
    CABIN_HOT,
    CABIN_COLD,
    NEEDLE_STEADY,
    NEEDLE_MOVES;

    /** What it says of the same thing. */
    public PurgeSign opposite() {
      return switch (this) {
        case CABIN_HOT -> CABIN_COLD;
        case CABIN_COLD -> CABIN_HOT;
        case NEEDLE_STEADY -> NEEDLE_MOVES;
        case NEEDLE_MOVES -> NEEDLE_STEADY;
      };
    }
  }

  /** Something was said while it was purged. */
  record Purged(PurgeSign sign) implements RefillSaid {}
}
