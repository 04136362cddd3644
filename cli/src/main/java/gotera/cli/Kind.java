package gotera.cli;

import gotera.simulation.StandInVehicle.Otherwise;
import gotera.simulation.StandInVehicle.Probe;
import gotera.simulation.StandInVehicle.PumpedIn;
import gotera.simulation.StandInVehicle.Rubber;

/**
 * What a simulated vehicle and its instruments do otherwise than the estimator has it, of a size
 * that is seen (our judgement, untested).
 */
enum Kind {
  AS_MODELLED("as modelled"),
  LOG_RUBBER("rubber creeps in the logarithm of time"),
  TWO_CREEPS("a second, slow creep"),
  STIFFENING("hoses stiffen with pressure"),
  LAGGING_PROBE("the probe lags and sees a part"),
  BENDING_DRIFT("the drift dies away"),
  PLAY("the gauge has play"),
  WARM_AIR("pumped-in air is warm for longer"),
  LEANING("someone leans on a hose"),
  OWN_SEEP("the tester seeps, measured at its plug"),
  ALL("all of it at once");

  final String words;

  Kind(String words) {
    this.words = words;
  }

  private boolean has(Kind kind) {
    return this == kind || this == ALL;
  }

  /** Whether someone leans on a hose. */
  boolean leans() {
    return has(LEANING);
  }

  /** What the tester leaks itself (mL/min). */
  double ownSeep(Chance chance) {
    return has(OWN_SEEP) ? chance.between(0.01, 0.03) : 0;
  }

  /**
   * What else it does.
   *
   * @param hose what the hoses give (mL/kPa)
   * @param step step of the gauge (kPa)
   */
  Otherwise of(double hose, double step, Chance chance) {
    if (this == AS_MODELLED) {
      return Otherwise.NOTHING;
    }
    double slow = has(TWO_CREEPS) ? chance.between(0.01, 0.05) * hose / 0.3 : 0;
    double slowSeconds = has(TWO_CREEPS) ? chance.logBetween(300, 1500) : 1;
    Rubber rubber =
        new Rubber(
            slow,
            slowSeconds,
            has(LOG_RUBBER) ? chance.between(0.02, 0.08) : 0,
            has(STIFFENING) ? chance.between(0, 0.3) : 0);
    Probe probe =
        has(LAGGING_PROBE)
            ? new Probe(chance.between(30, 180), chance.between(0.75, 1))
            : Probe.TRUE;
    PumpedIn air =
        has(WARM_AIR) ? new PumpedIn(0.1, 12, chance.logBetween(10, 60)) : PumpedIn.USUAL;
    return new Otherwise(
        rubber,
        probe,
        air,
        has(BENDING_DRIFT) ? chance.between(15, 60) : Double.POSITIVE_INFINITY,
        has(PLAY) ? step * chance.between(0.2, 1) : 0);
  }
}
