package gotera.suspects;

import gotera.evidence.Label;
import gotera.look.LookState;
import gotera.suspects.Checked.Fluid;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;

/** Something that can be done next: a check, or the repair. */
public sealed interface Action extends Label {
  /** Its word, as files and messages have it. */
  String word();

  /** The place it is done at; empty where it is of the whole. */
  default Optional<String> place() {
    return Optional.empty();
  }

  /** The state it is done in. */
  default Optional<LookState> state() {
    return Optional.empty();
  }

  /** Whether it is of the inside. */
  default boolean inside() {
    return false;
  }

  /** Whether it is this one of the whole. */
  default boolean is(Whole whole) {
    return this instanceof OfTheWhole o && o.what() == whole;
  }

  /**
   * A look at a place.
   *
   * @param at the place
   * @param then in which state
   * @param dried whether it is dried before
   */
  record Look(String at, LookState then, boolean dried) implements Action {
    @Override
    public String word() {
      return dried ? "dry-and-look" : "look";
    }

    @Override
    public Optional<String> place() {
      return Optional.of(at);
    }

    @Override
    public Optional<LookState> state() {
      return Optional.of(then);
    }

    @Override
    public String toString() {
      return word() + ":" + at;
    }
  }

  /**
   * A round of looks: every place that can be seen as it is.
   *
   * @param then in which state
   * @param likely places to begin with, in order
   */
  record LookRound(LookState then, List<String> likely) implements Action {
    /** Keeps its own copy. */
    public LookRound {
      likely = List.copyOf(likely);
    }

    @Override
    public String word() {
      return "look-round";
    }

    @Override
    public Optional<LookState> state() {
      return Optional.of(then);
    }

    @Override
    public String toString() {
      return word() + ":" + then.word();
    }
  }

  /** Drops are counted at a place. */
  record CountDrops(String at) implements Action {
    @Override
    public String word() {
      return "count-drops";
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

  /** The cap is tried on its tester. */
  record TryCap(String at) implements Action {
    @Override
    public String word() {
      return "cap-test";
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

  /** A fluid is looked at. */
  record LookAtFluid(Fluid fluid) implements Action {
    @Override
    public String word() {
      return "fluid";
    }

    @Override
    public boolean inside() {
      return true;
    }

    @Override
    public String toString() {
      return word() + ":" + fluid.word();
    }
  }

  /** Something of the whole. */
  record OfTheWhole(Whole what) implements Action {
    @Override
    public String word() {
      return what.word();
    }

    @Override
    public boolean inside() {
      return what == Whole.COMBUSTION_GAS || what == Whole.BUBBLES || what == Whole.CYLINDER;
    }

    @Override
    public String toString() {
      return word();
    }
  }

  /** What is done to the whole. */
  enum Whole implements Worded {
    REPAIR,
    /** The test of a repair, and whatever else repeats how it leaked. */
    RE_TEST,
    PRESSURE_TEST,
    DYE,
    COMBUSTION_GAS,
    BUBBLES,
    CYLINDER,
    /** Left as it is, and looked at the next morning. */
    PARKED_OVERNIGHT,
    /** Marks of the level over days: nothing that can be done here tells more. */
    LEVEL_WATCH,
    /** Nothing is wrong. */
    DONE
  }
}
