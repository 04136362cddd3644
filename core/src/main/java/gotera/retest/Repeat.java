package gotera.retest;

import gotera.look.DryLook;
import java.util.EnumSet;
import java.util.OptionalDouble;
import java.util.Set;

/** A circumstance was repeated after the repair, and nothing leaked within a bound. */
public sealed interface Repeat {
  /** Shortest level watch that says something of weeks (d) (our judgement, untested). */
  double WEEK = 7;

  /** The circumstances it contains. */
  Set<Circumstance> contains();

  /** Highest rate that is possible, 95 % (mL/min); empty where it bounds none. */
  OptionalDouble bound();

  /**
   * A hold that was tight.
   *
   * @param rate its bound (mL/min)
   * @param upTo gauge pressure up to which it is proven (kPa)
   */
  record Hold(double rate, double upTo) implements Repeat {
    @Override
    public Set<Circumstance> contains() {
      return EnumSet.of(Circumstance.PRESSED);
    }

    @Override
    public OptionalDouble bound() {
      return OptionalDouble.of(rate);
    }
  }

  /**
   * It ran, and no drop fell where one would have been seen.
   *
   * @param minutes for so long (min), above 0
   */
  record DryRun(double minutes) implements Repeat {
    @Override
    public Set<Circumstance> contains() {
      return EnumSet.of(Circumstance.RUNNING);
    }

    @Override
    public OptionalDouble bound() {
      return OptionalDouble.of(DryLook.most(minutes));
    }
  }

  /** It was driven, the needle stood, and the look after it was dry: that bounds no rate. */
  record Drive() implements Repeat {
    @Override
    public Set<Circumstance> contains() {
      return EnumSet.of(Circumstance.DRIVEN);
    }

    @Override
    public OptionalDouble bound() {
      return OptionalDouble.empty();
    }
  }

  /**
   * Marks of the level.
   *
   * @param hot bound over the hours hot (mL/min); without such hours infinite
   * @param standing bound over all hours (mL/min)
   * @param days for so long (d)
   */
  record Marks(double hot, double standing, double days) implements Repeat {
    @Override
    public Set<Circumstance> contains() {
      Set<Circumstance> contained = EnumSet.of(Circumstance.PARKED);
      // a week on the yard repeats no week on the road
      if (Double.isFinite(hot)) {
        contained.addAll(
            EnumSet.of(Circumstance.PRESSED, Circumstance.RUNNING, Circumstance.DRIVEN));
        if (days >= WEEK) {
          contained.add(Circumstance.OVER_WEEKS);
        }
      }
      return contained;
    }

    @Override
    public OptionalDouble bound() {
      return OptionalDouble.of(hotOrStanding());
    }

    /** The bound over the hours hot, else over all hours (mL/min). */
    double hotOrStanding() {
      return Double.isFinite(hot) ? hot : standing;
    }
  }
}
