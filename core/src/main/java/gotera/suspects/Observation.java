package gotera.suspects;

import gotera.balance.SiteFlow;
import gotera.circuit.Branch;
import gotera.circuit.DripSpot;
import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Something that was told, done, seen or measured on a job. Several of them stand in the order of
 * time.
 */
public interface Observation {
  /** What was seen at one place; it does not count on a vehicle that does not have the place. */
  interface AtPlace extends Observation {
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
   * @param counted the flow that was counted or measured there
   * @param driedBefore whether it had been dried, so that what is seen is fresh
   * @param removed what was taken off to see it; empty where nothing
   */
  record Looked(
      String place,
      LookState state,
      Sight saw,
      OptionalDouble gauge,
      Optional<SiteFlow> counted,
      boolean driedBefore,
      String removed)
      implements AtPlace {
    /** A look at a place as it was, drops counted there or not. */
    public Looked(
        String place,
        LookState state,
        Sight saw,
        OptionalDouble gauge,
        OptionalDouble dropsPerMinute) {
      this(place, state, saw, gauge, drops(dropsPerMinute, gauge), false, "");
    }

    /** Drops that were counted, at a pressure where that was noted (kPa). */
    public static Optional<SiteFlow> drops(OptionalDouble perMinute, OptionalDouble gauge) {
      return perMinute.stream()
          .mapToObj(d -> (SiteFlow) new SiteFlow.Drops(d, pressure(gauge)))
          .findFirst();
    }

    /** The pressure of a gauge where it was noted (kPa). */
    public static Optional<GaugePressure> pressure(OptionalDouble gauge) {
      return gauge.stream().mapToObj(GaugePressure::new).findFirst();
    }

    /** Whether coolant was seen. */
    public boolean wet() {
      return saw.wet();
    }

    /** Whether what is seen came out just now: it had been dried, or sprays or runs. */
    public boolean fresh() {
      return driedBefore || saw == Sight.RUNS;
    }

    /** The flow that was measured here, if coolant was seen and it was. */
    public Optional<SiteFlow> flow() {
      return wet() ? counted : Optional.empty();
    }

    /** Drops that were counted, if they were. */
    public OptionalDouble dropsPerMinute() {
      return counted
          .filter(SiteFlow.Drops.class::isInstance)
          .map(f -> OptionalDouble.of(((SiteFlow.Drops) f).perMinute()))
          .orElse(OptionalDouble.empty());
    }

    /** The same after the place had been dried. */
    public Looked dried() {
      return new Looked(place, state, saw, gauge, counted, true, removed);
    }
  }

  /** It drips from a spot, in a state of the vehicle. */
  record Dripped(DripSpot spot, LookState state) implements Observation {
    /** Whether the engine ran: its fan blows drops back. */
    public boolean running() {
      return state == LookState.RUNNING;
    }
  }

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
   * @param scope what was in it
   * @param afterRepair whether it is the test of a repair
   * @param caught what was caught inside meanwhile, where it says a flow
   */
  record Held(
      VerdictKind verdict,
      Outcome outcome,
      double ratedKpa,
      Scope scope,
      boolean afterRepair,
      List<SiteFlow> caught)
      implements Observation {
    /** A hold on the cold system, of one loop where there are several. */
    public Held(
        VerdictKind verdict,
        Outcome outcome,
        double ratedKpa,
        String loop,
        boolean afterRepair,
        List<SiteFlow> caught) {
      this(verdict, outcome, ratedKpa, Scope.of(loop), afterRepair, caught);
    }

    /** The same with the heater's valve shut or not. */
    public Held withHeaterShut(boolean shut) {
      Scope other = new Scope(scope.loop(), scope.hot(), scope.cutOff(), shut);
      return new Held(verdict, outcome, ratedKpa, other, afterRepair, caught);
    }

    /** Whether it says anything of coolant, or that a place was seen. */
    public boolean counts() {
      return verdict != VerdictKind.NOT_COUNTED
          && (verdict == VerdictKind.STOPPED || !(outcome instanceof Outcome.Nothing));
    }

    /** The loop that was tested, where there are several; else empty. */
    public String loop() {
      return scope.loop();
    }

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
          Scope.of(loop),
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

  /**
   * What was in a hold.
   *
   * @param loop the loop that was tested, where there are several; else empty
   * @param hot whether the engine ran hot; else the system was cold
   * @param cutOff branches that were cut off for it
   * @param heaterValveShut whether the heater's valve was shut for it
   */
  record Scope(String loop, boolean hot, Set<Branch> cutOff, boolean heaterValveShut) {
    /** Keeps its own copy. */
    public Scope {
      cutOff = Set.copyOf(cutOff);
    }

    /** A cold system, or one loop of it, nothing cut off. */
    public static Scope of(String loop) {
      return new Scope(loop, false, Set.of(), false);
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

  /**
   * Something was repaired. Once a test of the repair runs, what was seen before is history.
   *
   * @param place word of the place; empty where none was named
   */
  record Repaired(String place) implements Observation {
    /** Without a place. */
    public Repaired() {
      this("");
    }
  }
}
