package gotera.simulation;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
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
 */
public record StandInVehicle(SystemUnderTest system, List<Leak> leaks, Instruments instruments) {
  private static final double STEP = 0.25; // s
  private static final double AIR_COOLS = 6; // s
  private static final double ATMOSPHERE = 101.325; // kPa
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

  /** Runs a hold and lets measured volumes out after it, one after the other (mL). */
  public Outcome run(Hold hold, Random random, double... draws) {
    Needle needle = new Needle(instruments, random);
    State state = new State(system, hold.celsius());
    Trace.Builder trace = Trace.builder();
    double nextReading = 0;
    trace.event(TraceEvent.at(0, TraceEvent.Kind.PUMPED));
    trace.event(TraceEvent.at(hold.pumpSeconds(), TraceEvent.Kind.VALVE_SHUT));
    double total = hold.pumpSeconds() + hold.holdSeconds();
    double gasAtHold = state.gas;
    double lostAtHold = 0;
    for (long n = 0; n * STEP <= total + 1e-9; n++) {
      double t = n * STEP;
      if (t <= hold.pumpSeconds()) {
        state.pumpTo(hold.pumpTo() * Math.min(1, t / hold.pumpSeconds()), system);
        gasAtHold = state.gas;
        lostAtHold = state.lost;
      }
      if (t >= hold.pumpSeconds() && t < hold.pumpSeconds() + STEP) {
        nextReading = t; // whoever shuts the valve reads the gauge
      }
      if (t >= nextReading - 1e-9) {
        trace.reading(
            t,
            needle.shows(state.gauge + squeezed(hold, t)),
            instruments.thermometerStep() > 0
                ? shown(
                    state.liquidCelsius,
                    instruments.thermometerNoise(),
                    instruments.thermometerStep(),
                    random)
                : Double.NaN);
        nextReading += hold.every();
      }
      state.advance(system, leaks, hold.kelvinPerMinute());
    }
    double lost = state.lost - lostAtHold;
    double end = state.gauge;
    double[][] shown = new double[draws.length][];
    for (int i = 0; i < draws.length; i++) {
      double before = needle.shows(state.gauge);
      state.lost += draws[i];
      state.settle(system);
      shown[i] = new double[] {before, needle.shows(state.gauge)};
    }
    return new Outcome(trace.build(), lost, gasAtHold, end, shown);
  }

  /** Someone leans on a hose: so much more pressure (kPa). */
  private static double squeezed(Hold hold, double t) {
    return t >= hold.squeezedAt() && t < hold.squeezedAt() + SQUEEZED_FOR ? SQUEEZE : 0;
  }

  /** A needle with noise, steps, and perhaps friction. */
  private static final class Needle {
    private final Instruments instruments;
    private final Random random;
    private double stands;

    Needle(Instruments instruments, Random random) {
      this.instruments = instruments;
      this.random = random;
    }

    double shows(double gauge) {
      if (Math.abs(gauge - stands) > instruments.sticks()) {
        stands = gauge;
      }
      return shown(stands, instruments.gaugeNoise(), instruments.gaugeStep(), random);
    }
  }

  /**
   * Lets a measured volume out of the system at the end of a hold; returns gauge before and after.
   */
  public double[] draw(Hold hold, double millilitres, Random random) {
    return run(hold, random, millilitres).draws()[0];
  }

  private static double shown(double value, double noise, double step, Random random) {
    return Math.rint((value + noise * random.nextGaussian()) / step) * step;
  }

  /** The system at one moment. */
  private static final class State {
    double gauge;
    double gas;
    double gasExcess; // K
    double liquidCelsius;
    double crept;
    double lost;
    double moles; // (P − p_v)·V/T of the trapped air, kPa·mL/K
    final double startCelsius;

    State(SystemUnderTest system, double celsius) {
      startCelsius = celsius;
      liquidCelsius = celsius;
      gas = system.freeAir();
      moles = (ATMOSPHERE - vapour(system)) * gas / (celsius + 273.15);
    }

    /** Pumps air in until the gauge shows a pressure; the air comes in some kelvins warmer. */
    void pumpTo(double target, SystemUnderTest system) {
      if (target <= gauge) {
        return;
      }
      gasExcess = Math.min(8, gasExcess + 0.05 * (target - gauge));
      gauge = target;
      gas = room(system, target);
      moles = (target + ATMOSPHERE - vapour(system)) * gas / gasKelvin();
    }

    void advance(SystemUnderTest system, List<Leak> leaks, double drift) {
      for (Leak leak : leaks) {
        lost += leak.at(gauge) * STEP / 60;
      }
      crept += (system.hoseCreeping() * gauge - crept) * STEP / system.creepSeconds();
      gasExcess -= gasExcess * STEP / AIR_COOLS;
      liquidCelsius += drift * STEP / 60;
      settle(system);
    }

    /** Finds the pressure at which the gas fills just the room that is left to it. */
    void settle(SystemUnderTest system) {
      // (a + h·p)·(p + A) = n·T, with a the room at gauge zero and A the dry pressure there
      double a = room(system, 0);
      double h = system.hoseAtOnce();
      double dry = ATMOSPHERE - vapour(system);
      double b = a + h * dry;
      double c = a * dry - moles * gasKelvin();
      gauge = h == 0 ? -c / a : (-b + Math.sqrt(b * b - 4 * h * c)) / (2 * h);
      gas = room(system, gauge);
    }

    /** Room for gas at a gauge pressure (mL). */
    private double room(SystemUnderTest system, double p) {
      return system.freeAir()
          + system.hoseAtOnce() * p
          + crept
          + lost
          - system.expansion() * system.liquid() * (liquidCelsius - startCelsius);
    }

    private double gasKelvin() {
      return liquidCelsius + gasExcess + 273.15;
    }

    /** Vapour pressure of water after Magnus (kPa), good enough for a stand-in. */
    private double vapour(SystemUnderTest system) {
      double magnus = 0.61094 * Math.exp(17.625 * liquidCelsius / (liquidCelsius + 243.04));
      return system.vapourShare() * magnus;
    }
  }
}
