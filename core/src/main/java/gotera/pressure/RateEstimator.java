package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.fitting.LinearProblem;
import gotera.fitting.Mixture;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
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
 * Where many good readings know τ better than the grid's spacing, the grid closes in on it. Cost:
 * one 3 × 3 solve per node and law and a pass over at most {@value #LONGEST} block averages, a few
 * times over. Settling always stays in the model: dropping it would turn creep into a leak. Each
 * law of leaking is a further row of the grid, with the same number of parameters, and equally
 * probable beforehand.
 */
final class RateEstimator {
  /** Version stored with every verdict. */
  static final String VERSION = "laws-4";

  private static final int LONGEST = 400;
  private static final int NODES = 31;
  private static final double GRID_HALF_WIDTH = 3; // standard deviations of the prior
  private static final int MOST_PASSES = 4;
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
    Filling filling = Filling.of(window, conditions, temperature);
    int n = blocks.size();
    double[] lost = new double[n];
    double[] sd = new double[n];
    for (int i = 0; i < n; i++) {
      lost[i] = filling.lost(blocks.seconds()[i], blocks.gauge()[i]);
      sd[i] = blocks.noise()[i] * filling.perKilopascal(blocks.seconds()[i], blocks.gauge()[i]);
    }
    double pumped = conditions.pumping().until().orElse(window.seconds(0));
    double step =
        Math.max(1, Math.abs(blocks.gauge()[0] - conditions.pumping().from().kilopascals()));
    double scale = settlingScale(conditions, step);
    boolean settlingPositive = conditions.disturbedMinutesBefore().isEmpty();

    Map<LeakLaw, double[]> driven = new EnumMap<>(LeakLaw.class);
    for (LeakLaw law : LeakLaw.values()) {
      driven.put(law, driven(blocks, law, conditions));
    }
    Design design = new Design(blocks, driven, lost, sd, scale, settlingPositive, pumped);
    Fit fit = refined(design);
    Mixture mixture = fit.mixture();
    List<Part> parts = fit.parts();
    Part best = parts.get(mixture.best());
    double[][] bestColumns = {
      ones(n), column(driven, best.law()), settling(blocks.seconds(), pumped, best.tau())
    };
    Scatter scatter = Scatter.of(bestColumns, mixture.parts().get(mixture.best()).mean(), lost, sd);
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
        mixture.sd(2) * meanSettled(mixture, parts, blocks, pumped),
        scatter,
        meanDrive,
        FittedCurve.of(
            window, blocks, filling, parts, mixture, pumped, scatter.inflation(), conditions));
  }

  /** The fit on a grid that is fine enough where the weight lies. */
  private static Fit refined(Design design) {
    Grid grid = Grid.WHOLE;
    Fit fit = design.fit(grid);
    for (int pass = 0; pass < MOST_PASSES && fit.tooCoarse(); pass++) {
      grid = fit.around(grid);
      fit = design.fit(grid);
    }
    return fit;
  }

  /** An even grid over z, the standardised ln τ. */
  private record Grid(double from, double to) {
    static final Grid WHOLE = new Grid(-GRID_HALF_WIDTH, GRID_HALF_WIDTH);

    double node(int j) {
      return from + (to - from) * j / (NODES - 1);
    }

    double spacing() {
      return (to - from) / (NODES - 1);
    }
  }

  /** Everything about a hold that does not depend on the settling's time constant. */
  private record Design(
      Blocks blocks,
      Map<LeakLaw, double[]> driven,
      double[] lost,
      double[] sd,
      double scale,
      boolean settlingPositive,
      double pumped) {

    Fit fit(Grid grid) {
      List<LinearPosterior> posteriors = new ArrayList<>();
      List<Part> parts = new ArrayList<>();
      double[] logPriors = new double[NODES * LeakLaw.values().length];
      for (int j = 0; j < NODES; j++) {
        double z = grid.node(j);
        double tau = Math.exp(LOG_TAU + LOG_TAU_SD * z);
        double[] settling = settling(blocks.seconds(), pumped, tau);
        for (LeakLaw law : LeakLaw.values()) {
          logPriors[parts.size()] = -0.5 * z * z;
          parts.add(new Part(law, tau));
          double[][] columns = {ones(blocks.size()), column(driven, law), settling};
          posteriors.add(
              LinearPosterior.of(new LinearProblem(columns, lost, sd, scale, settlingPositive)));
        }
      }
      return new Fit(Mixture.of(posteriors, logPriors), List.copyOf(parts));
    }
  }

  /** A mixture over a grid. */
  private record Fit(Mixture mixture, List<Part> parts) {
    private static final double FEWEST_NODES = 6; // effective
    private static final double NEGLIGIBLE = 1e-6;

    /** Weight of a node, its laws together. */
    private double weight(int j) {
      int laws = LeakLaw.values().length;
      double sum = 0;
      for (int i = 0; i < laws; i++) {
        sum += mixture.weights()[j * laws + i];
      }
      return sum;
    }

    /** Whether so few nodes carry the probability that their distance shows. */
    boolean tooCoarse() {
      double square = 0;
      for (int j = 0; j < NODES; j++) {
        square += weight(j) * weight(j);
      }
      return 1 / square < FEWEST_NODES;
    }

    /** The part of a grid that carries the probability. */
    Grid around(Grid grid) {
      int first = 0;
      int last = NODES - 1;
      while (weight(first) < NEGLIGIBLE) {
        first++;
      }
      while (weight(last) < NEGLIGIBLE) {
        last--;
      }
      return new Grid(
          Math.max(grid.from(), grid.node(first) - grid.spacing()),
          Math.min(grid.to(), grid.node(last) + grid.spacing()));
    }
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

  /** As before; in an evacuated system what is left of the water evaporates and settles too. */
  private static double settlingScale(HoldConditions conditions, double step) {
    double air = conditions.airAndHoses().trappedAir().millilitres();
    double dries =
        conditions.medium() == Medium.VACUUM
            ? air
                * conditions.coolant().vapourPressure(conditions.ambient()).kilopascals()
                / Filling.ONE_ATMOSPHERE
            : 0;
    return settlingScale(conditions.airAndHoses().hose(), air, step) + dries;
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
  private static double[] driven(Blocks blocks, LeakLaw law, HoldConditions conditions) {
    double[] g = new double[blocks.size()];
    for (int i = 1; i < g.length; i++) {
      double mean =
          (conditions.share(law, blocks.smoothGauge(i - 1))
                  + conditions.share(law, blocks.smoothGauge(i)))
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
}
