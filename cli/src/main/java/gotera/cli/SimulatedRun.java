package gotera.cli;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.pressure.trace.Gauge;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.Temperature;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Otherwise;
import gotera.simulation.StandInVehicle.Outcome;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A run of a simulated vehicle: what it was made with, and what was seen.
 *
 * @param cell the kind of test
 * @param filled what is tested
 * @param read how it is read
 * @param course how it goes
 * @param purpose what it is for
 * @param truth the leak (mL/min)
 * @param outcome what was seen
 */
record SimulatedRun(
    Cell cell,
    Filled filled,
    Read read,
    Course course,
    Purpose purpose,
    double truth,
    Outcome outcome) {
  /** The closing draw (mL). */
  static final double CLOSING = 2;

  static final double ATMOSPHERE = 101.325;

  private static final double STRENGTH = 0.5;

  /**
   * How it is read.
   *
   * @param step step of the gauge (kPa)
   * @param noise noise of a reading (kPa)
   * @param every time between readings (s)
   * @param seen whether a thermometer sees the coolant
   * @param overnight whether it stood overnight
   */
  record Read(double step, double noise, double every, boolean seen, boolean overnight) {
    static Read of(Cell cell, double every, Chance chance) {
      double step = cell == Cell.NEEDLE ? chance.between(1.7, 3.4) : chance.logBetween(0.01, 0.5);
      double noise = step * chance.between(0.3, 1);
      return new Read(step, noise, every, cell != Cell.UNSEEN, chance.coin());
    }

    /** Drift of the temperature (K/min). */
    double drift(Chance chance) {
      return seen ? chance.between(-0.15, 0.15) : chance.gauss() * (overnight ? 0.01 : 0.1);
    }
  }

  /**
   * What is tested.
   *
   * @param freeAir trapped air, free (mL)
   * @param hose what the hoses give (mL/kPa)
   * @param hoseThere what they give at the rated pressure (mL/kPa)
   * @param liquid liquid (mL)
   * @param celsius its temperature (°C)
   */
  record Filled(double freeAir, double hose, double hoseThere, double liquid, double celsius) {
    static CoolantMixture coolant() {
      return new CoolantMixture(STRENGTH);
    }

    SystemUnderTest system(Chance chance) {
      double expansion =
          Expansion.againstCastings(coolant(), Temperature.ofCelsius(celsius))
              * (1 + 0.05 * chance.gauss());
      return new SystemUnderTest(
          freeAir,
          liquid,
          hose,
          hose * chance.between(0.03, 0.2),
          chance.logBetween(40, 180),
          expansion,
          0.76);
    }
  }

  /**
   * How it goes.
   *
   * @param rated the rated pressure (kPa)
   * @param minutes length of the hold (min)
   * @param pumping time of pumping (s)
   */
  record Course(double rated, double minutes, double pumping) {}

  /**
   * Makes one run.
   *
   * @param size the leak as a multiple of what is accepted, or of any size
   * @param other whether vehicle and instruments do what the estimator does not assume
   */
  static SimulatedRun of(Cell cell, double size, boolean other, Chance chance) {
    return of(cell, size, other, cell.minutes(chance), chance);
  }

  /**
   * Makes one run of a length.
   *
   * @param minutes length of the hold (min)
   */
  static SimulatedRun of(Cell cell, double size, boolean other, double minutes, Chance chance) {
    double rated = chance.between(90, 140);
    Read read = Read.of(cell, cell.every(minutes, chance), chance);
    double drift = read.drift(chance);
    double freeAir = cell.freeAir(chance);
    double hose = chance.between(0.1, 0.6);
    Filled filled =
        new Filled(freeAir, hose, hose, chance.between(4000, 12_000), chance.between(10, 30));
    SystemUnderTest system = filled.system(chance);
    Purpose purpose =
        List.of(Purpose.SEARCH, Purpose.REPAIR, Purpose.SIGN_OFF).get(chance.below(3));
    double truth =
        size == SimulatedTest.OTHER_SIZE ? chance.logBetween(0.03, 3) : size * purpose.usual();
    Instruments instruments = instruments(cell, read, chance);
    Course course = new Course(rated, minutes, chance.between(15, 40));
    Hold hold = hold(cell, filled, read, course, drift, chance);
    Otherwise otherwise = other ? otherwise(hose, read.step(), chance) : Otherwise.NOTHING;
    double[] draws = cell.draws(chance);
    Outcome outcome =
        new StandInVehicle(system, cell.leaks(truth, rated, chance), instruments, otherwise)
            .run(cell.before(rated, course.pumping(), chance), hold, chance.random(), draws);
    Filled there =
        new Filled(freeAir, hose, otherwise.hose(hose, rated), filled.liquid(), filled.celsius());
    return new SimulatedRun(cell, there, read, course, purpose, truth, outcome);
  }

  private static Instruments instruments(Cell cell, Read read, Chance chance) {
    return new Instruments(
        read.step(),
        read.noise(),
        read.seen() ? 0.1 : 0,
        read.seen() ? 0.05 : 0,
        cell == Cell.STUCK ? chance.between(1, 6) : 0);
  }

  private static Hold hold(
      Cell cell, Filled filled, Read read, Course course, double drift, Chance chance) {
    return new Hold(
        course.rated(),
        course.pumping(),
        course.minutes() * 60,
        read.every(),
        filled.celsius(),
        drift,
        cell == Cell.SQUEEZED
            ? course.pumping() + chance.between(0.2, 0.8) * course.minutes() * 60
            : Double.POSITIVE_INFINITY);
  }

  /** Things the estimator does not know of, of a size that is seen (our judgement, untested). */
  private static Otherwise otherwise(double hose, double step, Chance chance) {
    return new Otherwise(
        hose * chance.between(0.02, 0.08),
        chance.logBetween(300, 1200),
        chance.between(0, 0.3),
        chance.between(30, 180),
        chance.between(0.75, 1),
        chance.between(15, 60),
        step * chance.between(0, 0.5));
  }

  private static List<Leak> leaks(Cell cell, double truth, double rated, Chance chance) {
    if (truth == 0) {
      return List.of();
    }
    return switch (cell) {
      case ORIFICE -> List.of(Leak.orifice(truth, rated));
      case SHUTTING -> List.of(Leak.shutting(truth, rated, chance.between(0.3, 0.95) * rated));
      default -> List.of(Leak.seep(truth, rated));
    };
  }

  boolean recovering() {
    return cell == Cell.RECOVERING;
  }

  Temperature temperature() {
    return Temperature.ofCelsius(filled.celsius());
  }

  /** Pressure of the dry gas at the rated pressure. */
  AbsolutePressure dry() {
    return new AbsolutePressure(
        course.rated() + ATMOSPHERE - Filled.coolant().vapourPressure(temperature()).kilopascals());
  }

  Gauge gauge() {
    return new Gauge(read.step(), read.noise(), OptionalDouble.empty(), 0.05, true);
  }
}
