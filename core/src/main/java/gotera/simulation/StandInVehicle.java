package gotera.simulation;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A stand-in for a filled cooling system with a gauge on it: the physics forward in small steps,
 * with more of it than the estimator assumes. Every trace it makes is simulated, never measured.
 *
 * <p>Hoses answer at once and creep (standard linear solid); pumped-in air is warmer than the
 * coolant and cools within seconds; vapour pressure follows the coolant; leaks follow their own
 * laws; gauge and thermometer have noise and steps.
 *
 * @param system sizes and materials
 * @param leaks what leaves
 * @param instruments gauge and thermometer
 * @param otherwise what it does otherwise than the estimator has it
 */
public record StandInVehicle(
    SystemUnderTest system, List<Leak> leaks, Instruments instruments, Otherwise otherwise) {
  /** A vehicle that does nothing otherwise. */
  public StandInVehicle(SystemUnderTest system, List<Leak> leaks, Instruments instruments) {
    this(system, leaks, instruments, Otherwise.NOTHING);
  }

  private static final double STIFF_AT = 150; // kPa
  static final double STEP = 0.1; // s
  static final double AIR_COOLS = 6; // s
  static final double ATMOSPHERE = 101.325; // kPa
  private static final double SQUEEZE = 6; // kPa
  private static final double SQUEEZED_FOR = 8; // s

  /**
   * The filled system.
   *
   * @param freeAir air in it before pumping, at the pressure of the room (mL)
   * @param liquid liquid in it (mL)
   * @param hoseAtOnce compliance that answers at once (mL/kPa)
   * @param hoseCreeping compliance that creeps (mL/kPa)
   * @param creepSeconds time constant of the creep (s)
   * @param expansion expansion of liquid against castings (1/K)
   * @param vapourShare mole fraction of water above the liquid (1)
   */
  public record SystemUnderTest(
      double freeAir,
      double liquid,
      double hoseAtOnce,
      double hoseCreeping,
      double creepSeconds,
      double expansion,
      double vapourShare) {}

  /**
   * What a vehicle and its instruments may do otherwise than the estimator has it.
   *
   * @param rubber its hoses
   * @param probe its thermometer's probe
   * @param air the air pumped into it
   * @param bendsIn time constant with which the drift dies away (min), infinite: it does not
   * @param hysteresis play of the gauge: how much more it shows while the pressure falls (kPa)
   */
  public record Otherwise(
      Rubber rubber, Probe probe, PumpedIn air, double bendsIn, double hysteresis) {
    /** Nothing. */
    public static final Otherwise NOTHING =
        new Otherwise(Rubber.USUAL, Probe.TRUE, PumpedIn.USUAL, Double.POSITIVE_INFINITY, 0);
  }

  /**
   * Hoses that do more than give at once and creep with one time constant.
   *
   * @param slowCreep compliance that creeps slowly, beside the other (mL/kPa)
   * @param slowSeconds its time constant (s)
   * @param perDecade share of what gives at once that is added in every decade of time, from a
   *     second to a day: rubber creeps about in the logarithm of time (1)
   * @param stiffening by what share hoses give less at 150 kPa than at rest (1)
   */
  public record Rubber(double slowCreep, double slowSeconds, double perDecade, double stiffening) {
    /** None of it. */
    public static final Rubber USUAL = new Rubber(0, 1, 0, 0);

    /** Time constants of what creeps in the logarithm of time: two in every decade (s). */
    static final double[] SPECTRUM = {
      1, 3.2, 10, 32, 100, 320, 1000, 3200, 10_000, 32_000, 100_000
    };

    /** Compliance that one of the {@link #SPECTRUM} creeps by (mL/kPa). */
    double each(double atOnce) {
      return atOnce * perDecade / 2;
    }

    /** Compliance of hoses that give this much at rest, at a gauge pressure (mL/kPa). */
    public double hose(double atRest, double gauge) {
      return atRest * (1 - stiffening * gauge / STIFF_AT);
    }

    double volume(double atRest, double gauge) {
      return atRest * gauge * (1 - stiffening * gauge / (2 * STIFF_AT));
    }
  }

  /**
   * A probe that is not the coolant.
   *
   * @param lag time constant with which it follows the coolant (s), zero: at once
   * @param share share of the coolant's drift that reaches it (1)
   */
  public record Probe(double lag, double share) {
    /** It shows the coolant. */
    public static final Probe TRUE = new Probe(0, 1);
  }

  /**
   * Air that is pumped in.
   *
   * @param warmer how much warmer it gets with each kilopascal (K/kPa)
   * @param most it gets no warmer than that (K)
   * @param coolsIn time constant of its cooling (s)
   */
  public record PumpedIn(double warmer, double most, double coolsIn) {
    /** A hand pump's. */
    public static final PumpedIn USUAL = new PumpedIn(0.05, 8, AIR_COOLS);
  }

  /**
   * A leak.
   *
   * @param atRated rate at the rated pressure (mL/min)
   * @param rated the rated pressure (kPa)
   * @param exponent 1 for a seep, 0.5 for an orifice
   * @param shutsBelow pressure below which it closes, its rate following what is above (kPa)
   */
  public record Leak(double atRated, double rated, double exponent, double shutsBelow) {
    /** A seep: rate in proportion to pressure. */
    public static Leak seep(double atRated, double rated) {
      return new Leak(atRated, rated, 1, 0);
    }

    /** An orifice: rate as the root of the pressure. */
    public static Leak orifice(double atRated, double rated) {
      return new Leak(atRated, rated, 0.5, 0);
    }

    /** A leak that shuts with falling pressure: a cap, a valve, a lip. */
    public static Leak shutting(double atRated, double rated, double below) {
      return new Leak(atRated, rated, 1, below);
    }

    double at(double gauge) {
      return gauge <= shutsBelow
          ? 0
          : atRated * Math.pow((gauge - shutsBelow) / (rated - shutsBelow), exponent);
    }
  }

  /**
   * Gauge and thermometer.
   *
   * @param gaugeStep resolution of the gauge (kPa)
   * @param gaugeNoise standard deviation of its readings (kPa)
   * @param thermometerStep resolution of the thermometer (K); 0 for none
   * @param thermometerNoise standard deviation of its readings (K)
   * @param sticks how far the pressure must have moved before the needle follows (kPa); 0: it does
   */
  public record Instruments(
      double gaugeStep,
      double gaugeNoise,
      double thermometerStep,
      double thermometerNoise,
      double sticks) {
    /** Instruments whose needle is free. */
    public Instruments(
        double gaugeStep, double gaugeNoise, double thermometerStep, double thermometerNoise) {
      this(gaugeStep, gaugeNoise, thermometerStep, thermometerNoise, 0);
    }
  }

  /**
   * A hold to simulate.
   *
   * @param pumpTo gauge pressure to pump to (kPa)
   * @param pumpSeconds how long pumping takes (s)
   * @param holdSeconds how long the valve stays shut (s)
   * @param every time between readings (s)
   * @param celsius temperature at the start (°C)
   * @param kelvinPerMinute drift (K/min)
   * @param squeezedAt when someone leans on a hose for some seconds (s); infinite: nobody does
   */
  public record Hold(
      double pumpTo,
      double pumpSeconds,
      double holdSeconds,
      double every,
      double celsius,
      double kelvinPerMinute,
      double squeezedAt) {
    /** A hold that nobody disturbs. */
    public Hold(
        double pumpTo,
        double pumpSeconds,
        double holdSeconds,
        double every,
        double celsius,
        double kelvinPerMinute) {
      this(
          pumpTo,
          pumpSeconds,
          holdSeconds,
          every,
          celsius,
          kelvinPerMinute,
          Double.POSITIVE_INFINITY);
    }
  }

  /**
   * What happened, and the truth behind it.
   *
   * @param trace what the instruments showed
   * @param lost what truly left during the hold (mL)
   * @param gasAtHold trapped gas when the valve was shut (mL)
   * @param truePressure gauge pressure at the end (kPa)
   * @param draws what the gauge showed before and after each draw (kPa)
   */
  public record Outcome(
      Trace trace, double lost, double gasAtHold, double truePressure, double[][] draws) {}

  /**
   * Pumping and a time with the valve shut.
   *
   * @param pumpTo gauge pressure to pump to (kPa)
   * @param pumpSeconds how long pumping takes (s)
   * @param holdSeconds how long the valve stays shut (s)
   */
  public record Stage(double pumpTo, double pumpSeconds, double holdSeconds) {}

  /** Runs a hold and lets measured volumes out after it, one after the other (mL). */
  public Outcome run(Hold hold, Random random, double... draws) {
    return run(List.of(), hold, random, draws);
  }

  /** Runs a hold after one at next to no pressure (kPa, s). */
  public Outcome runAfterPreHold(Hold hold, double gauge, double seconds, Random random) {
    return run(List.of(new Stage(gauge, hold.pumpSeconds(), seconds)), hold, random);
  }

  /** Runs a hold, pumps up again without letting anything off, and holds as long again. */
  public Outcome runTwice(Hold hold, Random random) {
    return run(
        List.of(new Stage(hold.pumpTo(), hold.pumpSeconds(), hold.holdSeconds())), hold, random);
  }

  /**
   * Runs holds one after the other on one trace.
   *
   * @param before holds before the last, on the same system without letting anything off
   * @param hold the last, with how often the gauge is read
   * @param draws volumes let out at the end (mL)
   */
  public Outcome run(List<Stage> before, Hold hold, Random random, double... draws) {
    Needle needle = new Needle(instruments, otherwise.hysteresis(), random);
    SystemState state = new SystemState(system, otherwise, hold.celsius());
    Trace.Builder trace = Trace.builder();
    List<Stage> stages = new ArrayList<>(before);
    stages.add(new Stage(hold.pumpTo(), hold.pumpSeconds(), hold.holdSeconds()));
    Reader reader = new Reader(hold, needle, trace, random);
    double begun = 0;
    double gasAtHold = 0;
    double lostAtHold = 0;
    for (Stage stage : stages) {
      double shut = begun + stage.pumpSeconds();
      trace.event(TraceEvent.at(begun, TraceEvent.Kind.PUMPED));
      trace.event(TraceEvent.at(shut, TraceEvent.Kind.VALVE_SHUT));
      double from = state.gauge;
      long steps = Math.round((stage.pumpSeconds() + stage.holdSeconds()) / STEP);
      boolean last = stage == stages.get(stages.size() - 1);
      for (long n = 0; last ? n <= steps : n < steps; n++) {
        double t = begun + n * STEP;
        if (t <= shut) {
          double share = Math.min(1, (t - begun) / stage.pumpSeconds());
          state.pumpTo(from + (stage.pumpTo() - from) * share, system);
          gasAtHold = state.gas;
          lostAtHold = state.lost;
        }
        // whoever shuts the valve reads the gauge
        reader.look(t, t >= shut && t < shut + STEP, state);
        state.advance(system, leaks, hold.kelvinPerMinute());
      }
      begun = begun + stage.pumpSeconds() + stage.holdSeconds();
    }
    double lost = state.lost - lostAtHold;
    double end = state.gauge;
    double[][] shown = new double[draws.length][];
    for (int i = 0; i < draws.length; i++) {
      double gauge = needle.shows(state.gauge);
      state.lost += draws[i];
      state.settle(system);
      shown[i] = new double[] {gauge, needle.shows(state.gauge)};
    }
    return new Outcome(trace.build(), lost, gasAtHold, end, shown);
  }

  /** Whoever reads the instruments at even times. */
  private final class Reader {
    private final Hold hold;
    private final Needle needle;
    private final Trace.Builder trace;
    private final Random random;
    private double next;

    Reader(Hold hold, Needle needle, Trace.Builder trace, Random random) {
      this.hold = hold;
      this.needle = needle;
      this.trace = trace;
      this.random = random;
    }

    void look(double t, boolean now, SystemState state) {
      if (now) {
        next = t;
      }
      if (t < next - 1e-9) {
        return;
      }
      trace.reading(
          t,
          needle.shows(state.gauge + squeezed(hold, t)),
          instruments.thermometerStep() > 0
              ? Needle.shown(
                  state.probeCelsius,
                  instruments.thermometerNoise(),
                  instruments.thermometerStep(),
                  random)
              : Double.NaN);
      next += hold.every();
    }
  }

  /** Someone leans on a hose: so much more pressure (kPa). */
  private static double squeezed(Hold hold, double t) {
    return t >= hold.squeezedAt() && t < hold.squeezedAt() + SQUEEZED_FOR ? SQUEEZE : 0;
  }

  /**
   * Lets a measured volume out of the system at the end of a hold; returns gauge before and after.
   */
  public double[] draw(Hold hold, double millilitres, Random random) {
    return run(hold, random, millilitres).draws()[0];
  }
}
