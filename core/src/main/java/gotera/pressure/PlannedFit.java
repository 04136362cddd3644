package gotera.pressure;

import gotera.fitting.Information;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TemperatureTrack;

/**
 * What the readings of a planned hold will tell of the rate.
 *
 * <p>At each of three time constants of settling the information of the readings about (offset,
 * rate, settling, ln τ), with the priors on settling and τ added, gives the variance of the rate;
 * the three are averaged as Gauss and Hermite would (M. Abramowitz, I. A. Stegun, Handbook of
 * Mathematical Functions, table 25.10, for three points).
 */
record PlannedFit(TestPlan plan) {
  private static final double[] POINTS = {-Math.sqrt(3), 0, Math.sqrt(3)};
  private static final double[] WEIGHTS = {1.0 / 6, 2.0 / 3, 1.0 / 6};
  private static final int MOST_ROWS = 60;

  /** Standard uncertainty of the fit alone after so many minutes (mL/min). */
  double u(double minutes) {
    int readings = (int) Math.floor(minutes / plan.intervalMinutes() + 1e-9) + 1;
    double variance = 0;
    for (int k = 0; k < POINTS.length; k++) {
      double tau = Math.exp(Settling.LOG_TAU + Settling.LOG_TAU_SD * POINTS[k]) / 60;
      for (SlowCreep.Shape shape : SlowCreep.Shape.values()) {
        variance += WEIGHTS[k] * shape.prior() * variance(readings, tau, shape);
      }
    }
    return Math.sqrt(variance);
  }

  /** The same where settling has one time constant (min) and the slow creep one shape. */
  private double variance(int readings, double tau, SlowCreep.Shape shape) {
    double scale =
        Settling.scale(
            plan.system().hose(), plan.system().trappedAir().millilitres(), plan.pressureStep());
    int taken = Math.min(readings, MOST_ROWS);
    double[][] rows = rows(readings, taken, tau, shape, scale * Math.sqrt(2 / Math.PI));
    // of what cannot be negative the spread is less; but whether hoses creep at all is open too
    double half = 1 / (1 - 2 / Math.PI);
    double timePrior = 1 / (Settling.LOG_TAU_SD * Settling.LOG_TAU_SD);
    return Information.variance(
        rows,
        plan.system().total(plan.dry())
            * plan.gauge().noise()
            * Math.sqrt((double) taken / readings),
        new double[] {0, 0, half / (scale * scale), timePrior, 1, 1, 1},
        1);
  }

  /**
   * What each reading tells of offset, rate, settling, ln τ, creep, the drift's bend and the
   * probe's lag; many readings are taken together, as the estimate does.
   */
  private double[][] rows(
      int readings, int taken, double tau, SlowCreep.Shape shape, double settles) {
    double length = Math.max(1, readings - 1) * plan.intervalMinutes();
    double creeps = shape.scale(plan.system().hose(), plan.pressureStep());
    double c = plan.system().total(plan.dry());
    double theta = plan.thermalSensitivity();
    TemperatureTrack.Unseen unseen = unseen(length, readings);
    SlowCreep creep = SlowCreep.of(-60 * plan.pressedMinutes(), plan.pressureStep());
    double[][] rows = new double[taken][];
    for (int i = 0; i < taken; i++) {
      double t = length * i / Math.max(1, taken - 1);
      double decay = Math.exp(-t / tau);
      rows[i] =
          new double[] {
            c,
            -t,
            -(1 - decay),
            settles * (t / tau) * decay,
            -creeps * creep.at(shape, 60 * t),
            theta * unseen.bend() * t * (t - length),
            theta * unseen.behind() * (1 - Math.exp(-t / TemperatureTrack.LAGS))
          };
    }
    return rows;
  }

  /** What the temperature's track will not show. */
  private TemperatureTrack.Unseen unseen(double minutes, int readings) {
    return plan.thermometer()
        .map(t -> TemperatureTrack.unseen(plan.drift(), t, minutes, readings))
        .orElse(new TemperatureTrack.Unseen(plan.driftU() / (2 * Soak.TIME_CONSTANT), 0));
  }
}
