package gotera.simulation;

import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Otherwise;
import gotera.simulation.StandInVehicle.Rubber;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.List;

/** The system of a stand-in vehicle at one moment. */
final class SystemState {
  /** A pressure that moves less is found (kPa). */
  private static final double SETTLED = 1e-10;

  double gauge;
  double gas;
  double gasExcess; // K
  double liquidCelsius;
  double crept;
  double creptSlowly;
  double creptInDecades;
  final double[] decades = new double[Rubber.SPECTRUM.length];
  double probeCelsius;
  double seconds;
  double lost;
  double moles; // (P − p_v)·V/T of the trapped air, kPa·mL/K
  final double startCelsius;
  final Otherwise otherwise;

  SystemState(SystemUnderTest system, Otherwise otherwise, double celsius) {
    this.otherwise = otherwise;
    startCelsius = celsius;
    probeCelsius = celsius;
    liquidCelsius = celsius;
    gas = system.freeAir();
    moles = (StandInVehicle.ATMOSPHERE - vapour(system)) * gas / (celsius + 273.15);
  }

  /**
   * Pumps air in until the gauge shows a pressure, some kelvins warmer, or lets air out until it
   * does.
   */
  void pumpTo(double target, SystemUnderTest system) {
    warmed(target - gauge);
    gauge = target;
    gas = room(system, target);
    moles = (target + StandInVehicle.ATMOSPHERE - vapour(system)) * gas / gasKelvin();
  }

  /**
   * One stroke of a pump: so much air of the room comes in, some kelvins warmer.
   *
   * @param millilitres volume of the stroke, in room air (mL)
   */
  void stroke(double millilitres, SystemUnderTest system) {
    double before = gauge;
    moles += StandInVehicle.ATMOSPHERE * millilitres / (liquidCelsius + 273.15);
    settle(system);
    warmed(gauge - before);
    settle(system);
  }

  /** Each part creeps towards its share. */
  private void creepInDecades(double share) {
    creptInDecades = 0;
    for (int i = 0; i < decades.length; i++) {
      decades[i] += (share - decades[i]) * StandInVehicle.STEP / Rubber.SPECTRUM[i];
      creptInDecades += decades[i];
    }
  }

  /** By pumping the air gets warmer. */
  private void warmed(double by) {
    gasExcess =
        Math.min(otherwise.air().most(), gasExcess + otherwise.air().warmer() * Math.max(0, by));
  }

  void advance(SystemUnderTest system, List<Leak> leaks, double drift) {
    for (Leak leak : leaks) {
      lost += leak.at(gauge) * StandInVehicle.STEP / 60;
    }
    crept += (system.hoseCreeping() * gauge - crept) * StandInVehicle.STEP / system.creepSeconds();
    gasExcess -= gasExcess * StandInVehicle.STEP / otherwise.air().coolsIn();
    Rubber rubber = otherwise.rubber();
    creptSlowly +=
        (rubber.slowCreep() * gauge - creptSlowly) * StandInVehicle.STEP / rubber.slowSeconds();
    if (rubber.perDecade() > 0) {
      creepInDecades(rubber.each(system.hoseAtOnce()) * gauge);
    }
    seconds += StandInVehicle.STEP;
    liquidCelsius +=
        drift * Math.exp(-seconds / 60 / otherwise.bendsIn()) * StandInVehicle.STEP / 60;
    double reached = startCelsius + otherwise.probe().share() * (liquidCelsius - startCelsius);
    probeCelsius +=
        (reached - probeCelsius)
            * Math.min(
                1, StandInVehicle.STEP / Math.max(StandInVehicle.STEP, otherwise.probe().lag()));
    settle(system);
  }

  /** Finds the pressure at which the gas fills just the room that is left to it. */
  void settle(SystemUnderTest system) {
    // (a + h·p)·(p + A) = n·T, with a the room at gauge zero and A the dry pressure there
    double a = room(system, 0);
    double h = system.hoseAtOnce();
    double dry = StandInVehicle.ATMOSPHERE - vapour(system);
    double b = a + h * dry;
    double c = a * dry - moles * gasKelvin();
    gauge = h == 0 ? -c / a : (-b + Math.sqrt(b * b - 4 * h * c)) / (2 * h);
    for (int i = 0; otherwise.rubber().stiffening() > 0 && i < 20; i++) {
      // with hoses that stiffen the same equation is of third order: Newton from the second
      double excess = (gauge + dry) * room(system, gauge) - moles * gasKelvin();
      double moved =
          excess / (room(system, gauge) + (gauge + dry) * otherwise.rubber().hose(h, gauge));
      gauge -= moved;
      if (Math.abs(moved) < SETTLED) {
        break;
      }
    }
    gas = room(system, gauge);
  }

  /** Room for gas at a gauge pressure (mL). */
  private double room(SystemUnderTest system, double p) {
    return system.freeAir()
        + otherwise.rubber().volume(system.hoseAtOnce(), p)
        + crept
        + creptSlowly
        + creptInDecades
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
