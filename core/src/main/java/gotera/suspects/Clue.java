package gotera.suspects;

import gotera.circuit.DripSpot;
import gotera.evidence.Label;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.word.Worded;
import java.util.Optional;

/** What moved a suspicion, as it is told among the reasons. */
public sealed interface Clue extends Label {
  /** Its word, as files and messages have it. */
  String word();

  /** The place it was seen at; empty where it is of none, or of a spot. */
  default Optional<String> place() {
    return Optional.empty();
  }

  /** The state of the vehicle meanwhile. */
  default Optional<LookState> state() {
    return Optional.empty();
  }

  /**
   * Something seen at a place.
   *
   * @param what what
   * @param at the place
   * @param state in which state, where it is of one
   */
  record Seen(Sighting what, String at, Optional<LookState> state) implements Clue {
    /** One that is of no state. */
    Seen(Sighting what, String at) {
      this(what, at, Optional.empty());
    }

    @Override
    public String word() {
      return what.word();
    }

    @Override
    public Optional<String> place() {
      return Optional.of(at);
    }

    @Override
    public String toString() {
      return word() + ":" + at;
    }
  }

  /** What is seen at a place. */
  enum Sighting implements Worded {
    WET,
    DRY,
    /** The first drop after it was dried. */
    BEAD,
    /** It sprays or runs. */
    RUNS,
    STAYS_DRY,
    STAIN,
    DAMP_PAPER,
    DRY_PAPER,
    GLOW,
    NO_GLOW,
    /** Drops were counted there. */
    COUNTED,
    /** On its tester a cap does not do what it should. */
    CAP_FAILS,
    CAP_PASSES
  }

  /** A place was found in a condition. */
  record InCondition(Condition condition, String at) implements Clue {
    @Override
    public String word() {
      return condition.word();
    }

    @Override
    public Optional<String> place() {
      return Optional.of(at);
    }

    @Override
    public String toString() {
      return word() + ":" + at;
    }
  }

  /** It drips from a spot. */
  record Drip(DripSpot spot, LookState then) implements Clue {
    @Override
    public String word() {
      return "drip";
    }

    @Override
    public Optional<LookState> state() {
      return Optional.of(then);
    }

    @Override
    public String toString() {
      return word() + ":" + spot.word();
    }
  }

  /**
   * A sign that was told.
   *
   * @param word its word in the vocabulary
   */
  record Told(String word) implements Clue {
    @Override
    public String toString() {
      return word;
    }
  }

  /** What a check of the whole showed. */
  record Result(Showed what) implements Clue {
    @Override
    public String word() {
      return what.word();
    }

    @Override
    public String toString() {
      return word();
    }
  }

  /** What checks of the whole show. */
  enum Showed implements Worded {
    GAS,
    NO_GAS,
    GAS_BUBBLES,
    NO_BUBBLES,
    WET_CYLINDER,
    DRY_CYLINDERS,
    HISS_OUTWARD,
    HISS_INWARD,
    HISS_NOTHING,
    OIL_CAP_EMULSION,
    OIL_CAP_CLEAN,
    DIPSTICK_EMULSION,
    DIPSTICK_CLEAN,
    PINK_GEARBOX,
    GEARBOX_CLEAN,
    PINK_COOLANT,
    OIL_FILM,
    COOLANT_CLEAN,
    HOLD_FALLS,
    HOLD_STEADY,
    /** It neither falls beyond its uncertainty, nor can it be called steady. */
    HOLD_UNCLEAR,
    /** With a branch cut off less is lost. */
    BRANCH_LOSES,
    /** With a branch cut off as much is lost. */
    BRANCH_HOLDS,
    /** What is left of a hold's rate once the sites are taken off. */
    HOLD_REST,
    HOLD_EXPLAINED,
    HOT_HOLD_FALLS,
    HOT_HOLD_STEADY,
    LEVEL_FALLS,
    LEVEL_STANDS,
    MORE_IS_LOST,
    LOST_AT_ALL
  }
}
