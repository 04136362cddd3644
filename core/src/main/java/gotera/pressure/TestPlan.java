package gotera.pressure;

import gotera.fitting.Information;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Gauge;
import gotera.quantity.AbsolutePressure;
import gotera.uncertainty.DecisionLimits;
import java.util.OptionalDouble;

/**
 * What a hold could prove before it is made: its detection limit from gauge, interval, compliance
 * and temperature, with settling in the model. The slope alone would be far too optimistic.
 *
 * <p>At each of three time constants of settling the information of the readings about (offset,
 * rate, settling, ln τ), with the priors on settling and τ added, gives the variance of the rate;
 * the three are averaged as Gauss and Hermite would (M. Abramowitz, I. A. Stegun, Handbook of
 * Mathematical Functions, table 25.10, for three points).
 *
 * @param gauge the gauge
 * @param intervalMinutes time between readings (min), positive
 * @param system what air and hoses give
 * @param dry pressure of the trapped air without its vapour during the hold
 * @param pressureStep gauge pressure step of the pumping (kPa), positive
 * @param thermalSensitivity θ (mL/K)
 * @param drift Ṫ (K/min) expected
 * @param driftU its standard uncertainty (K/min)
 */
public record TestPlan(
    Gauge gauge,
    double intervalMinutes,
    AirAndHoses system,
    AbsolutePressure dry,
    double pressureStep,
    double thermalSensitivity,
    double drift,
    double driftU) {
  private static final double[] POINTS = {-Math.sqrt(3), 0, Math.sqrt(3)};
  private static final double[] WEIGHTS = {1.0 / 6, 2.0 / 3, 1.0 / 6};

  /**
   * Pumped-in air is still warmer when the valve is shut: 1.5 of 293 K (our judgement, untested).
   */
  private static final double PUMPED_IN_WARMER = 1.5 / 293;

  /** Longest hold that is planned (min): beyond it a vehicle is not left (our judgement). */
  public static final int LONGEST = 120;

  /** Refuses a plan without readings or pressure. */
  public TestPlan {
    if (!(intervalMinutes > 0) || !(pressureStep > 0)) {
      throw new IllegalArgumentException(
          "readings every " + intervalMinutes + " min after a step of " + pressureStep + " kPa");
    }
  }

  /** Standard uncertainty of the fit alone after so many minutes (mL/min). */
  double fitU(double minutes) {
    int readings = (int) Math.floor(minutes / intervalMinutes + 1e-9) + 1;
    double c = system.total(dry);
    double scale =
        RateEstimator.settlingScale(system.hose(), system.trappedAir().millilitres(), pressureStep);
    double typical = scale * Math.sqrt(2 / Math.PI);
    double settlingPrior = 1 / (scale * scale * (1 - 2 / Math.PI));
    double timePrior = 1 / (RateEstimator.LOG_TAU_SD * RateEstimator.LOG_TAU_SD);
    double variance = 0;
    for (int k = 0; k < POINTS.length; k++) {
      double tau = Math.exp(RateEstimator.LOG_TAU + RateEstimator.LOG_TAU_SD * POINTS[k]) / 60;
      double[][] rows = new double[readings][];
      for (int i = 0; i < readings; i++) {
        double t = i * intervalMinutes;
        double decay = Math.exp(-t / tau);
        rows[i] = new double[] {c, -t, -(1 - decay), typical * (t / tau) * decay};
      }
      variance +=
          WEIGHTS[k]
              * Information.variance(
                  rows, c * gauge.noise(), new double[] {0, 0, settlingPrior, timePrior}, 1);
    }
    return Math.sqrt(variance);
  }

  /** The decision limits after so many minutes, at least one interval (min). */
  public DecisionLimits after(double minutes) {
    int readings = (int) Math.floor(minutes / intervalMinutes + 1e-9) + 1;
    double c = system.total(dry);
    double fit = fitU(minutes);
    double thermal = thermalSensitivity * driftU;
    double steps =
        gauge.stepsStay(readings) ? c * gauge.resolution() / (Math.sqrt(6) * minutes) : 0;
    double zero = c * gauge.zeroDrift() / minutes;
    double u0 = Math.sqrt(fit * fit + thermal * thermal + steps * steps + zero * zero);
    return new DecisionLimits(
        u0, system.relativeUncertainty(), thermalSensitivity * drift, DecisionLimits.K);
  }

  /**
   * Shortest hold whose detection limit is at most a rate (min), in whole intervals; empty where
   * none up to {@value #LONGEST} min is.
   */
  public OptionalDouble shortest(double acceptance) {
    for (int i = 2; i * intervalMinutes <= LONGEST; i++) {
      if (after(i * intervalMinutes).detection() <= acceptance) {
        return OptionalDouble.of(i * intervalMinutes);
      }
    }
    return OptionalDouble.empty();
  }

  /**
   * Share of the pressure that is left after so many minutes of a tight hold: what usually settles
   * and what cooling takes. A tight verdict wants 95 %.
   */
  public double pressureLeft(double minutes) {
    double settles =
        Math.sqrt(2 / Math.PI)
            * RateEstimator.settlingScale(
                system.hose(), system.trappedAir().millilitres(), pressureStep);
    double cooled = Math.max(0, -drift) * thermalSensitivity * minutes;
    double pumpedIn = system.trappedAir().millilitres() * PUMPED_IN_WARMER;
    return 1 - (settles + cooled + pumpedIn) / system.total(dry) / pressureStep;
  }

  /** Whether a tight hold of so many minutes should prove a rate of at most {@code acceptance}. */
  public boolean enough(double minutes, double acceptance) {
    return after(minutes).detection() <= acceptance
        && pressureLeft(minutes) >= VerdictRules.END_SHARE;
  }

  /**
   * Whether temperature alone forbids a rate to be signed, however long the hold: then stand
   * longer, or measure the temperature.
   */
  public boolean temperatureForbids(double acceptance) {
    return 2 * DecisionLimits.K * thermalSensitivity * driftU > acceptance;
  }
}
