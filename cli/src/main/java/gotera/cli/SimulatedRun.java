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
import gotera.simulation.StandInVehicle.Stage;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.ArrayList;
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
 * @param truth what leaks
 * @param outcome what was seen
 */
record SimulatedRun(
    Cell cell,
    Filled filled,
    Read read,
    Course course,
    Purpose purpose,
    Truth truth,
    Outcome outcome) {
  /**
   * What leaks.
   *
   * @param leak of the system (mL/min)
   * @param own of the tester (mL/min)
   */
  record Truth(double leak, double own) {
    List<Leak> leaks(Cell cell, double rated, Chance chance) {
      List<Leak> leaks = new ArrayList<>(cell.leaks(leak, rated, chance));
      if (own > 0) {
        leaks.add(Leak.seep(own, rated));
      }
      return leaks;
    }
  }

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
      double step =
          switch (cell) {
            case NEEDLE -> chance.between(1.7, 3.4);
            case WORKSHOP -> 0.1;
            default -> chance.logBetween(0.01, 0.5);
          };
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

    /** With hoses that give so much at the rated pressure. */
    Filled giving(double there) {
      return new Filled(freeAir, hose, there, liquid, celsius);
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
   * @param pressed how long it was pressed before it was pumped up for the hold (min)
   */
  record Course(double rated, double minutes, double pumping, double pressed) {}

  /**
   * Makes one run of a kind of test, as the estimator has it.
   *
   * @param size the leak as a multiple of what is accepted, or of any size
   */
  static SimulatedRun of(Cell cell, double size, Chance chance) {
    return of(cell, size, cell.minutes(chance), chance);
  }

  /**
   * Makes one run of a length.
   *
   * @param minutes length of the hold (min)
   */
  static SimulatedRun of(Cell cell, double size, double minutes, Chance chance) {
    Purpose purpose = purpose(chance);
    return of(
        new Made(cell, Kind.AS_MODELLED, minutes),
        Way.LONG,
        purpose,
        leaking(size, purpose, chance),
        chance);
  }

  /**
   * Makes one run of a kind of vehicle.
   *
   * @param way how long it is held, and after what
   * @param millilitres what leaks (mL/min); empty for a multiple of what is accepted
   */
  static SimulatedRun of(
      Kind kind, Way way, double size, OptionalDouble millilitres, Chance chance) {
    Purpose purpose = purpose(chance);
    double truth = millilitres.orElseGet(() -> leaking(size, purpose, chance));
    return of(new Made(Cell.WORKSHOP, kind, way.minutes(chance)), way, purpose, truth, chance);
  }

  private static Purpose purpose(Chance chance) {
    return List.of(Purpose.SEARCH, Purpose.REPAIR, Purpose.SIGN_OFF).get(chance.below(3));
  }

  private static double leaking(double size, Purpose purpose, Chance chance) {
    return size == SimulatedTest.OTHER_SIZE ? chance.logBetween(0.03, 3) : size * purpose.usual();
  }

  /**
   * What it is made as.
   *
   * @param minutes length of the hold (min)
   */
  private record Made(Cell cell, Kind kind, double minutes) {}

  private static SimulatedRun of(Made made, Way way, Purpose purpose, double truth, Chance chance) {
    Cell cell = made.cell();
    double rated = chance.between(90, 140);
    Read read = Read.of(cell, cell.every(made.minutes(), chance), chance);
    double drift = read.drift(chance);
    double freeAir = cell.freeAir(chance);
    double hose = chance.between(0.1, 0.6);
    Filled filled =
        new Filled(
            freeAir, hose, hose, chance.between(4000, 12_000), chance.between(cell.coldest(), 30));
    SystemUnderTest system = filled.system(chance);
    Instruments instruments = instruments(cell, read, chance);
    double pumping = chance.between(15, 40);
    List<Stage> before =
        cell == Cell.RECOVERING
            ? cell.before(rated, pumping, chance)
            : way.before(rated, pumping, chance);
    double begun = before.stream().mapToDouble(b -> b.pumpSeconds() + b.holdSeconds()).sum();
    Course course =
        new Course(rated, made.minutes(), pumping, cell == Cell.RECOVERING ? 0 : begun / 60);
    Hold hold = hold(made, begun, filled, read, course, drift, chance);
    Otherwise otherwise = made.kind().of(hose, read.step(), chance);
    Truth leaking = new Truth(truth, made.kind().ownSeep(chance));
    double[] draws = cell.draws(chance);
    Outcome outcome =
        new StandInVehicle(system, leaking.leaks(cell, rated, chance), instruments, otherwise)
            .run(before, hold, chance.random(), draws);
    double there = otherwise.rubber().hose(hose, rated);
    return new SimulatedRun(cell, filled.giving(there), read, course, purpose, leaking, outcome);
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
      Made made,
      double begun,
      Filled filled,
      Read read,
      Course course,
      double drift,
      Chance chance) {
    return new Hold(
        course.rated(),
        course.pumping(),
        course.minutes() * 60,
        read.every(),
        filled.celsius(),
        drift,
        made.cell() == Cell.SQUEEZED || made.kind().leans()
            ? begun + course.pumping() + chance.between(0.2, 0.8) * course.minutes() * 60
            : Double.POSITIVE_INFINITY);
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
