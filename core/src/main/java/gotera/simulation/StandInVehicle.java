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
   * @param shutsBelow pressure below which it closes (kPa)
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

    double at(double gauge) {
      return gauge <= shutsBelow ? 0 : atRated * Math.pow(gauge / rated, exponent);
    }
  }

  /**
   * Gauge and thermometer.
   *
   * @param gaugeStep resolution of the gauge (kPa)
   * @param gaugeNoise standard deviation of its readings (kPa)
   * @param thermometerStep resolution of the thermometer (K); 0 for none
   * @param thermometerNoise standard deviation of its readings (K)
   */
  public record Instruments(
      double gaugeStep, double gaugeNoise, double thermometerStep, double thermometerNoise) {}

  /**
   * A hold to simulate.
   *
   * @param pumpTo gauge pressure to pump to (kPa)
   * @param pumpSeconds how long pumping takes (s)
   * @param holdSeconds how long the valve stays shut (s)
   * @param every time between readings (s)
   * @param celsius temperature at the start (°C)
   * @param kelvinPerMinute drift (K/min)
   */
  public record Hold(
      double pumpTo,
      double pumpSeconds,
      double holdSeconds,
      double every,
      double celsius,
      double kelvinPerMinute) {}

  /** What happened, and what truly left: the trace and the truth behind it. */
  public record Outcome(Trace trace, double lost, double gasAtHold, double truePressure) {}

  /** Runs a hold. */
  public Outcome run(Hold hold, Random random) {
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
      if (t >= nextReading - 1e-9) {
        trace.reading(
            t,
            shown(state.gauge, instruments.gaugeNoise(), instruments.gaugeStep(), random),
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
    return new Outcome(trace.build(), state.lost - lostAtHold, gasAtHold, state.gauge);
  }

  /**
   * Lets a measured volume out of the system at the end of a hold; returns gauge before and after.
   */
  public double[] draw(Hold hold, double millilitres, Random random) {
    State state = new State(system, hold.celsius());
    for (double t = 0; t <= hold.pumpSeconds(); t += STEP) {
      state.pumpTo(hold.pumpTo() * Math.min(1, t / hold.pumpSeconds()), system);
      state.advance(system, leaks, hold.kelvinPerMinute());
    }
    for (double t = 0; t < hold.holdSeconds(); t += STEP) {
      state.advance(system, leaks, hold.kelvinPerMinute());
    }
    double before = shown(state.gauge, instruments.gaugeNoise(), instruments.gaugeStep(), random);
    state.lost += millilitres;
    state.settle(system);
    double after = shown(state.gauge, instruments.gaugeNoise(), instruments.gaugeStep(), random);
    return new double[] {before, after};
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
      double low = -90;
      double high = 1000;
      for (int i = 0; i < 60; i++) {
        double p = (low + high) / 2;
        double wanted = moles * gasKelvin() / (p + ATMOSPHERE - vapour(system));
        if (wanted > room(system, p)) {
          low = p;
        } else {
          high = p;
        }
      }
      gauge = (low + high) / 2;
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
