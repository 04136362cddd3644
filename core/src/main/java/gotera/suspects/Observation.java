package gotera.suspects;

import gotera.balance.SiteFlow;
import gotera.circuit.DripSpot;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that was told, done, seen or measured on a job. Several of them stand in the order of
 * time.
 */
public sealed interface Observation {
  /** What was seen at one place; it does not count on a vehicle that does not have the place. */
  sealed interface AtPlace extends Observation {
    /** The place. */
    String place();
  }

  /**
   * A sign that was told or noticed.
   *
   * @param sign its name in the vocabulary
   */
  record Sign(String sign) implements Observation {}

  /**
   * A part that was replaced before.
   *
   * @param part what it was called
   * @param daysAgo how long ago (d)
   */
  record Replaced(String part, double daysAgo) implements Observation {}

  /**
   * A look at a place.
   *
   * @param place the place
   * @param state in which state
   * @param saw what was seen
   * @param gauge the pressure at that moment (kPa), if it was noted
   * @param dropsPerMinute drops counted there
   */
  record Looked(
      String place, LookState state, Sight saw, OptionalDouble gauge, OptionalDouble dropsPerMinute)
      implements AtPlace {
    /** Whether coolant was seen. */
    public boolean wet() {
      return saw == Sight.WET;
    }

    /** The flow that was counted here, if it was. */
    public Optional<SiteFlow> flow() {
      if (!wet() || dropsPerMinute.isEmpty()) {
        return Optional.empty();
      }
      return Optional.of(
          new SiteFlow.Drops(
              dropsPerMinute.getAsDouble(),
              gauge.stream().mapToObj(GaugePressure::new).findFirst()));
    }
  }

  /** It drips from a spot, while the engine ran or not. */
  record Dripped(DripSpot spot, boolean running) implements Observation {}

  /**
   * The lamp was held to a place where dye has been.
   *
   * @param place the place
   * @param glow what it showed
   */
  record Scanned(String place, Glow glow) implements AtPlace {}

  /**
   * Paper was pressed to a dried place: it shows what the eye does not.
   *
   * @param place the place
   * @param damp whether it came away damp
   */
  record Blotted(String place, boolean damp) implements AtPlace {}

  /**
   * A hold was measured.
   *
   * @param verdict what it says
   * @param outcome what it measured
   * @param ratedKpa pressure its rate is quoted at (kPa)
   * @param loop the loop that was tested, where there are several; else empty
   * @param afterRepair whether it is the test of a repair
   * @param caught what was caught inside meanwhile, where it says a flow
   */
  record Held(
      VerdictKind verdict,
      Outcome outcome,
      double ratedKpa,
      String loop,
      boolean afterRepair,
      List<SiteFlow> caught)
      implements Observation {
    /** Rated pressure where nobody says one (kPa) (our judgement, untested). */
    public static final double USUAL_RATED = 100;

    /**
     * As a pressure test says it: what does not count tells nothing, and air tells nothing of
     * coolant.
     */
    public static Held of(
        PressureTestResult result,
        HoldConditions conditions,
        String loop,
        boolean afterRepair,
        List<SiteFlow> caught) {
      return new Held(
          result.verdict(),
          outcome(result),
          conditions.rated().kilopascals(),
          loop,
          afterRepair,
          caught);
    }

    private static Outcome outcome(PressureTestResult result) {
      if (result.lowerBound().isPresent()) {
        return new Outcome.AtLeast(result.lowerBound().getAsDouble());
      }
      Optional<Outcome> rate =
          result
              .rate()
              .filter(r -> result.verdict() != VerdictKind.NOT_COUNTED)
              .filter(r -> r.asCoolant().isEmpty())
              .map(r -> new Outcome.Rate(r.rate(), r.u(), r.law()));
      return rate.orElse(new Outcome.Nothing());
    }

    /** Keeps its own copy. */
    public Held {
      caught = List.copyOf(caught);
    }
  }

  /** What a hold measured of coolant. */
  sealed interface Outcome {
    /** Nothing: it does not count, or air was lost and not coolant. */
    record Nothing() implements Outcome {}

    /**
     * A rate.
     *
     * @param rate at the rated pressure (mL/min)
     * @param u its standard uncertainty (mL/min), positive
     * @param law law by which a flow is scaled to another pressure
     */
    record Rate(double rate, double u, LeakLaw law) implements Outcome {}

    /** So much at least: a gross leak (mL/min). */
    record AtLeast(double rate) implements Outcome {
      /** Refuses a bound that says nothing. */
      public AtLeast {
        if (!(rate > 0)) {
          throw new IllegalArgumentException("a gross leak loses something, not " + rate);
        }
      }
    }
  }

  /**
   * A check for combustion gas in the system.
   *
   * @param colour what the fluid turned to
   * @param notCounted conditions that were not met, so that it says nothing
   */
  record GasChecked(GasColour colour, List<String> notCounted) implements Observation {
    /** Keeps its own copy. */
    public GasChecked {
      notCounted = List.copyOf(notCounted);
    }
  }

  /** What the fluid of a gas check turns to. */
  enum GasColour implements Worded {
    /** As it was: no gas. */
    BLUE,
    /** Gas of a petrol engine. */
    YELLOW,
    /** Gas of a diesel. */
    GREEN
  }

  /** Something was repaired. Once a test of the repair runs, what was seen before is history. */
  record Repaired() implements Observation {}
}
