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
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Turns the curve of a hold into a leak rate at the rated pressure.
 *
 * <p>Working in lost volume instead of pressure makes everything but the settling's time constant
 * linear: V_lost(t) = o + q·G(t) + A·(1 − e^(−(t − t_pump)/τ)) + noise, with G the integral of the
 * leak's drive over time. For each τ on a grid the posterior of (o, q, A) is exact, A being
 * positive unless the hoses recover from an earlier higher pressure; the grid is mixed by evidence.
 * Cost: one 3 × 3 solve per node and law and a pass over at most {@value #LONGEST} block averages.
 * Settling always stays in the model: dropping it would turn creep into a leak. Each law of leaking
 * is a further row of the grid, with the same number of parameters, and equally probable
 * beforehand.
 */
final class RateEstimator {
  /** Version stored with every verdict. */
  static final String VERSION = "laws-2";

  private static final int LONGEST = 400;
  private static final int NODES = 31;
  private static final double GRID_HALF_WIDTH = 3; // standard deviations of the prior
  // settling: time constant about 80 s (log-normal, 0.8), size 0.12·C_h·p_step + 0.004·V_g
  // (our judgement, untested)
  static final double LOG_TAU = Math.log(80);
  static final double LOG_TAU_SD = 0.8;
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
    int n = blocks.size();
    double[] lost = new double[n];
    double[] sd = new double[n];
    for (int i = 0; i < n; i++) {
      lost[i] = medium.lost(blocks.seconds()[i], blocks.gauge()[i]);
      sd[i] = blocks.noise()[i] * medium.perKilopascal(blocks.seconds()[i], blocks.gauge()[i]);
    }
    double pumped = conditions.pumping().until().orElse(window.seconds(0));
    double step = Math.max(1, blocks.gauge()[0] - conditions.pumping().from().kilopascals());
    double scale =
        settlingScale(
            conditions.airAndHoses().hose(),
            conditions.airAndHoses().trappedAir().millilitres(),
            step);
    boolean settlingPositive = conditions.disturbedMinutesBefore().isEmpty();

    Map<LeakLaw, double[]> driven = new EnumMap<>(LeakLaw.class);
    for (LeakLaw law : LeakLaw.values()) {
      driven.put(law, driven(blocks, law, conditions.rated().kilopascals()));
    }
    List<LinearPosterior> posteriors = new ArrayList<>();
    List<Part> parts = new ArrayList<>();
    double[] logPriors = new double[NODES * LeakLaw.values().length];
    for (int j = 0; j < NODES; j++) {
      double z = GRID_HALF_WIDTH * (2.0 * j / (NODES - 1) - 1);
      double tau = Math.exp(LOG_TAU + LOG_TAU_SD * z);
      double[] settling = settling(blocks.seconds(), pumped, tau);
      for (LeakLaw law : LeakLaw.values()) {
        logPriors[parts.size()] = -0.5 * z * z;
        parts.add(new Part(law, tau));
        double[][] columns = {ones(n), column(driven, law), settling};
        posteriors.add(
            LinearPosterior.of(new LinearProblem(columns, lost, sd, scale, settlingPositive)));
      }
    }
    Mixture mixture = Mixture.of(posteriors, logPriors);
    Part best = parts.get(mixture.best());
    double[][] bestColumns = {
      ones(n), column(driven, best.law()), settling(blocks.seconds(), pumped, best.tau())
    };
    Scatter scatter = Scatter.of(bestColumns, posteriors.get(mixture.best()).mean(), lost, sd);
    double minutes = (blocks.seconds()[n - 1] - blocks.seconds()[0]) / 60;
    List<LeakLaw.Weight> laws = weights(mixture, parts);
    double meanDrive = 0;
    for (LeakLaw.Weight weight : laws) {
      meanDrive += weight.probability() * column(driven, weight.law())[n - 1] / minutes;
    }
    return new RateEstimate(
        laws.get(0).law(),
        laws,
        mixture.mean(1),
        mixture.sd(1),
        mixture.mean(2) * meanSettled(mixture, parts, blocks, pumped),
        scatter,
        meanDrive,
        FittedCurve.of(
            window, blocks, medium, parts, mixture, pumped, scatter.inflation(), conditions));
  }

  /** A node of the grid. */
  record Part(LeakLaw law, double tau) {}

  /**
   * Standard deviation of the settling before it is cut at zero, 0.12·C_h·p_step + 0.004·V_g (mL).
   *
   * @param step pressure step of the pumping (kPa)
   */
  static double settlingScale(double hose, double air, double step) {
    return CREEP_SHARE * hose * step + GAS_SHARE * air;
  }

  /** Probability of each law, the most probable first. */
  private static List<LeakLaw.Weight> weights(Mixture mixture, List<Part> parts) {
    Map<LeakLaw, Double> sums = new EnumMap<>(LeakLaw.class);
    for (int i = 0; i < parts.size(); i++) {
      sums.merge(parts.get(i).law(), mixture.weights()[i], Double::sum);
    }
    return sums.entrySet().stream()
        .map(e -> new LeakLaw.Weight(e.getKey(), e.getValue()))
        .sorted(Comparator.comparingDouble(LeakLaw.Weight::probability).reversed())
        .toList();
  }

  private static double[] column(Map<LeakLaw, double[]> driven, LeakLaw law) {
    return Objects.requireNonNull(driven.get(law));
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
  private static double meanSettled(
      Mixture mixture, List<Part> parts, Blocks blocks, double pumped) {
    double share = 0;
    double first = blocks.seconds()[0];
    double last = blocks.seconds()[blocks.size() - 1];
    for (int j = 0; j < parts.size(); j++) {
      double[] s = settling(new double[] {first, last}, pumped, parts.get(j).tau());
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
