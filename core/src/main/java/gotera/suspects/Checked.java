package gotera.suspects;

import gotera.bubble.BubbleCondition;
import gotera.bubble.Funnel;
import gotera.look.Condition;
import gotera.warming.Thermostat;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a check of the whole or of the inside showed. */
public sealed interface Checked extends Observation {

  /**
   * A place was found in a condition that is no wetness.
   *
   * @param place the place
   * @param saw the condition
   */
  record Felt(String place, Condition saw) implements Checked, AtPlace {}

  /**
   * A cap was tried on its tester.
   *
   * @param place the cap
   * @param passed whether it opens and holds as it should
   */
  record CapTried(String place, boolean passed) implements Checked, AtPlace {
    /** The caps that fit a tester. */
    public static final List<String> CAPS = List.of("cap.neck", "tank.cap", "second-tank.cap");

    /** Whether a place is a cap that fits a tester. */
    public static boolean isCap(String place) {
      return CAPS.contains(place);
    }

    /** How often a cap failed since it passed last: a seal that is dry may fail once. */
    static long fails(Case job, String place) {
      long fails = 0;
      for (CapTried cap : job.counting(CapTried.class)) {
        if (cap.place().equals(place)) {
          fails = cap.passed() ? 0 : fails + 1;
        }
      }
      return fails;
    }
  }

  /**
   * Bubbles in a funnel on the neck.
   *
   * @param result what they are
   * @param gas gas that comes (mL/min)
   * @param notCounted conditions that were not met, so that it says nothing
   */
  record Bubbled(Bubbles result, OptionalDouble gas, List<String> notCounted) implements Checked {
    /** Keeps its own copy. */
    public Bubbled {
      notCounted = List.copyOf(notCounted);
    }

    /**
     * What a funnel has shown; nothing while it may still be told.
     *
     * @param ended whether nobody watches it any more
     */
    public static Optional<Bubbled> of(Funnel funnel, boolean ended) {
      if (funnel.says().counts()) {
        Bubbles result = Worded.of(Bubbles.class, funnel.says().word()).orElseThrow();
        boolean gas = result == Bubbles.GAS_ENTERING;
        OptionalDouble rate = gas ? OptionalDouble.of(funnel.bubbles()) : OptionalDouble.empty();
        return Optional.of(new Bubbled(result, rate, List.of()));
      }
      Bubbles seen = funnel.bubbles() > 0 ? Bubbles.GAS_ENTERING : Bubbles.QUIET;
      return ended
          ? Optional.of(new Bubbled(seen, OptionalDouble.empty(), List.of(because(funnel).word())))
          : Optional.empty();
    }

    private static BubbleCondition because(Funnel funnel) {
      return switch (funnel.says()) {
        case NOT_HOT -> BubbleCondition.NOT_WARM;
        case NOT_STEADY, READ_AGAIN -> BubbleCondition.NOT_STEADY;
        default -> BubbleCondition.TOO_SHORT;
      };
    }
  }

  /** What bubbles are, net of warming and topping up. */
  enum Bubbles implements Worded {
    /** None, and the level stands. */
    QUIET,
    /** Air leaves: the level falls by as much. */
    AIR_LEAVING,
    /** Gas comes in: bubbles go on while the level stands. */
    GAS_ENTERING,
    /** Gas gathers: the level rises, serious. */
    GAS_COLLECTING;

    /** Whether gas came. */
    boolean gas() {
      return this == GAS_ENTERING || this == GAS_COLLECTING;
    }
  }

  /**
   * A look into a cylinder after pressure.
   *
   * @param number which cylinder
   * @param wet whether coolant was there
   * @param caught what was drawn off (mL)
   * @param minutes under pressure meanwhile (min)
   * @param pooled whether it gathered before the test: it says nothing of the rate
   */
  record InCylinder(
      int number, boolean wet, OptionalDouble caught, OptionalDouble minutes, boolean pooled)
      implements Checked {}

  /**
   * A fluid was looked at.
   *
   * @param at which
   * @param saw what it looked like
   */
  record FluidSeen(Fluid at, Look saw) implements Checked {}

  /** Where a fluid is looked at. */
  enum Fluid implements Worded {
    /** Under the oil filler's cap. */
    OIL_CAP,
    /** On the dipstick. */
    DIPSTICK,
    /** In the gearbox. */
    GEARBOX,
    /** On the coolant. */
    COOLANT_SURFACE
  }

  /** What a fluid looks like. */
  enum Look implements Worded {
    /** As it should. */
    CLEAN,
    /** Pale emulsion: water in oil. */
    PALE_EMULSION,
    /** Pink froth: coolant and gearbox fluid. */
    PINK,
    /** A film of oil. */
    OIL_FILM
  }

  /**
   * Temperatures of the upper and the lower hose.
   *
   * @param upper of the upper (°C)
   * @param lower of the lower (°C)
   * @param idling for how long it had idled (min)
   */
  record TwoTemperatures(double upper, double lower, double idling) implements Checked {
    /** What they say of the thermostat. */
    public Thermostat says() {
      return Thermostat.of(upper, lower, idling);
    }
  }

  /**
   * What was heard when the system was opened.
   *
   * @param saw which way it hissed
   * @param coolant how warm it was (°C)
   */
  record Hissed(Hiss saw, OptionalDouble coolant) implements Checked {}

  /** Which way it hissed at opening. */
  enum Hiss implements Worded {
    /** It sucked: it held while it cooled. */
    INWARD,
    /** Nothing was heard. */
    NOTHING,
    /** It blew: pressure was left. */
    OUTWARD
  }

  /**
   * A watch of the level over days.
   *
   * @param lost what is gone, at equal temperature (mL)
   * @param days over so long (d), positive
   * @param hotHours of it hot (h), positive
   * @param u standard uncertainty of what is gone (mL), positive
   */
  record LevelWatched(double lost, double days, double hotHours, double u) implements Checked {
    /** The rate while hot (mL/min). */
    double rate() {
      return lost / (60 * hotHours);
    }

    /** Its standard uncertainty (mL/min). */
    double rateU() {
      return u / (60 * hotHours);
    }
  }
}
