package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.fitting.LinearProblem;
import gotera.fitting.Mixture;
import gotera.pressure.compliance.LostVolume;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.quantity.Temperature;
import java.util.ArrayList;
import java.util.List;

/**
 * Turns the curve of a hold into a leak rate at the rated pressure.
 *
 * <p>Working in lost volume instead of pressure makes everything but the settling's time constant
 * linear: V_lost(t) = o + q·G(t) + A·(1 − e^(−(t − t_pump)/τ)) + noise, with G the integral of the
 * leak's drive over time. For each τ on a grid the posterior of (o, q, A) is exact, A being
 * positive unless the hoses recover from an earlier higher pressure; the grid is mixed by evidence.
 * Cost: one 3 × 3 solve per node and a pass over at most {@value #LONGEST} block averages. Settling
 * always stays in the model: dropping it would turn creep into a leak.
 *
 * <p>This version knows one law, the seep. Other laws enter as further parts of the mixture.
 */
final class RateEstimator {
  /** Version stored with every verdict. */
  static final String VERSION = "seep-1";

  private static final int LONGEST = 400;
  private static final int NODES = 31;
  private static final double GRID_HALF_WIDTH = 3; // standard deviations of the prior
  // settling: time constant about 80 s (log-normal, 0.8), size 0.12·C_h·p_step + 0.004·V_g
  // (our judgement, untested)
  private static final double LOG_TAU = Math.log(80);
  private static final double LOG_TAU_SD = 0.8;
  private static final double CREEP_SHARE = 0.12;
  private static final double GAS_SHARE = 0.004;

  private RateEstimator() {}

  /**
   * Estimates the rate.
   *
   * @param window the readings of the hold, at least two
   * @param conditions the hold
   * @param temperature the temperature through the window
   */
  static RateEstimate estimate(
      Trace window, HoldConditions conditions, TemperatureTrack temperature) {
    Blocks blocks = Blocks.of(window, LONGEST, conditions.gauge().noise());
    Medium medium = Medium.of(window, conditions, temperature);
    LeakLaw law = LeakLaw.SEEP;
    int n = blocks.size();
    double[] lost = new double[n];
    double[] sd = new double[n];
    for (int i = 0; i < n; i++) {
      lost[i] = medium.lost(blocks.seconds()[i], blocks.gauge()[i]);
      sd[i] = blocks.noise()[i] * medium.perKilopascal(blocks.seconds()[i], blocks.gauge()[i]);
    }
    double[] driven = driven(blocks, law, conditions.rated().kilopascals());
    double pumped = conditions.pumping().until().orElse(window.seconds(0));
    double step = Math.max(1, blocks.gauge()[0] - conditions.pumping().from().kilopascals());
    double scale =
        CREEP_SHARE * conditions.airAndHoses().hose() * step
            + GAS_SHARE * conditions.airAndHoses().trappedAir().millilitres();
    boolean settlingPositive = conditions.disturbedMinutesBefore().isEmpty();

    List<LinearPosterior> parts = new ArrayList<>();
    double[] logPriors = new double[NODES];
    double[] taus = new double[NODES];
    for (int j = 0; j < NODES; j++) {
      double z = GRID_HALF_WIDTH * (2.0 * j / (NODES - 1) - 1);
      taus[j] = Math.exp(LOG_TAU + LOG_TAU_SD * z);
      logPriors[j] = -0.5 * z * z;
      double[][] columns = {ones(n), driven, settling(blocks.seconds(), pumped, taus[j])};
      parts.add(LinearPosterior.of(new LinearProblem(columns, lost, sd, scale, settlingPositive)));
    }
    Mixture mixture = Mixture.of(parts, logPriors);
    int best = mixture.best();
    double[][] bestColumns = {ones(n), driven, settling(blocks.seconds(), pumped, taus[best])};
    Scatter scatter = Scatter.of(bestColumns, parts.get(best).mean(), lost, sd);
    double minutes = (blocks.seconds()[n - 1] - blocks.seconds()[0]) / 60;
    return new RateEstimate(
        law,
        mixture.mean(1),
        mixture.sd(1),
        mixture.mean(2) * meanSettled(mixture, taus, blocks, pumped),
        scatter,
        driven[n - 1] / minutes,
        FittedCurve.of(
            window, blocks, medium, law, mixture, taus, pumped, scatter.inflation(), conditions));
  }

  /** Integral of the drive relative to the rated pressure, by the trapezoidal rule (min). */
  private static double[] driven(Blocks blocks, LeakLaw law, double rated) {
    double[] g = new double[blocks.size()];
    for (int i = 1; i < g.length; i++) {
      double mean =
          (law.share(blocks.smoothGauge(i - 1), rated) + law.share(blocks.smoothGauge(i), rated))
              / 2;
      g[i] = g[i - 1] + mean * (blocks.seconds()[i] - blocks.seconds()[i - 1]) / 60;
    }
    return g;
  }

  static double[] settling(double[] seconds, double pumped, double tau) {
    double[] s = new double[seconds.length];
    for (int i = 0; i < s.length; i++) {
      s[i] = 1 - Math.exp(-Math.max(0, seconds[i] - pumped) / tau);
    }
    return s;
  }

  /** Share of the settling that happened within the window. */
  private static double meanSettled(Mixture mixture, double[] taus, Blocks blocks, double pumped) {
    double share = 0;
    double first = blocks.seconds()[0];
    double last = blocks.seconds()[blocks.size() - 1];
    for (int j = 0; j < taus.length; j++) {
      double[] s = settling(new double[] {first, last}, pumped, taus[j]);
      share += mixture.weights()[j] * (s[1] - s[0]);
    }
    return share;
  }

  private static double[] ones(int n) {
    double[] ones = new double[n];
    java.util.Arrays.fill(ones, 1);
    return ones;
  }

  /** The filled system at any moment of the hold: what a pressure means in lost volume. */
  record Medium(LostVolume formula, TemperatureTrack temperature, HoldConditions conditions) {
    static Medium of(Trace window, HoldConditions conditions, TemperatureTrack temperature) {
      double start = window.seconds(0);
      Temperature t0 = Temperature.ofCelsius(temperature.celsius(start));
      double expansion = gotera.coolant.Expansion.againstCastings(conditions.coolant(), t0);
      return new Medium(
          new LostVolume(
              conditions.airAndHoses().trappedAir().millilitres(),
              conditions.airAndHoses().hose(),
              conditions.liquid().millilitres(),
              expansion,
              window.gauge(0),
              conditions.atmosphere().kilopascals(),
              conditions.coolant().vapourPressure(t0).kilopascals(),
              t0.kelvins()),
          temperature,
          conditions);
    }

    double lost(double seconds, double gauge) {
      return formula.at(gauge, kelvin(seconds), vapour(seconds));
    }

    double perKilopascal(double seconds, double gauge) {
      return formula.perKilopascal(gauge, kelvin(seconds), vapour(seconds));
    }

    double gauge(double seconds, double lost) {
      return formula.gauge(lost, kelvin(seconds), vapour(seconds));
    }

    private double kelvin(double seconds) {
      return Temperature.ofCelsius(temperature.celsius(seconds)).kelvins();
    }

    private double vapour(double seconds) {
      return conditions.coolant().vapourPressure(new Temperature(kelvin(seconds))).kilopascals();
    }
  }
}
