package gotera.cli;

import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Stage;
import java.util.List;

/** Kinds of tests; the rest of each run is drawn at random. */
enum Cell {
  LOGGER("logger, 1 to 10 Hz, 15 to 30 min"),
  DIGITAL("digits read each minute, 12 to 30 min"),
  NEEDLE("needle of 1.7 to 3.4 kPa, 10 to 30 min"),
  FEW("two to six readings, 5 to 20 min"),
  SHORT("a reading a second, 5 to 8 min"),
  UNSEEN("no thermometer, overnight or unknown"),
  ORIFICE("leaks are orifices"),
  SHUTTING("leaks shut at 30 to 95 % of the rating"),
  STUCK("needle sticks by 1 to 6 kPa"),
  SQUEEZED("someone leans on a hose"),
  FULL("brim-full, 30 to 60 mL of air"),
  AIRY("300 to 500 mL of air"),
  RECOVERING("hoses recover from a higher pressure"),
  DRAWN("air and hoses by one or two draws"),
  COUNTED("air and hoses by counted strokes"),
  /** A tenth of a kilopascal, read each half minute: what the kinds of vehicles are tried with. */
  WORKSHOP("digits read each half minute");

  final String words;

  Cell(String words) {
    this.words = words;
  }

  double minutes(Chance chance) {
    return switch (this) {
      case LOGGER -> chance.between(15, 30);
      case DIGITAL -> chance.between(12, 30);
      case NEEDLE -> chance.between(10, 30);
      case FEW -> chance.between(5, 20);
      case SHORT -> chance.between(5, 8);
      default -> chance.between(8, 30);
    };
  }

  /** Coldest coolant (°C): the tables of expansion begin at 10, and it may cool by some kelvins. */
  double coldest() {
    return this == WORKSHOP ? 15 : 10;
  }

  /** Time between readings (s). */
  double every(double minutes, Chance chance) {
    return switch (this) {
      case LOGGER -> chance.logBetween(0.1, 1);
      case SHORT -> 1;
      case FEW -> minutes * 60 / (1 + chance.below(5));
      case DIGITAL, NEEDLE -> 60;
      case WORKSHOP -> 30;
      default -> chance.logBetween(1, 60);
    };
  }

  double freeAir(Chance chance) {
    return switch (this) {
      case FULL -> chance.between(30, 60);
      case AIRY -> chance.between(300, 500);
      case WORKSHOP -> chance.logBetween(50, 300);
      default -> chance.logBetween(30, 500);
    };
  }

  List<Leak> leaks(double truth, double rated, Chance chance) {
    if (truth == 0) {
      return List.of();
    }
    return switch (this) {
      case ORIFICE -> List.of(Leak.orifice(truth, rated));
      case SHUTTING -> List.of(Leak.shutting(truth, rated, chance.between(0.3, 0.95) * rated));
      default -> List.of(Leak.seep(truth, rated));
    };
  }

  /** Volumes drawn at the end: the closing draw, then those that measure air and hoses (mL). */
  double[] draws(Chance chance) {
    if (this != DRAWN) {
      return new double[] {SimulatedRun.CLOSING};
    }
    return chance.coin()
        ? new double[] {SimulatedRun.CLOSING, 20}
        : new double[] {SimulatedRun.CLOSING, 15, 20};
  }

  /** What came before the hold. */
  List<Stage> before(double rated, double pumping, Chance chance) {
    return this == RECOVERING
        ? List.of(new Stage(chance.between(1.2, 1.4) * rated, pumping, 300))
        : List.of();
  }
}
