package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.fitting.Mixture;
import gotera.fitting.PositivePair;
import gotera.fitting.Weighed;
import gotera.pressure.HoldFit.Grid;
import gotera.pressure.HoldFit.Part;
import gotera.pressure.SlowCreep.Shape;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.TemperatureTrack;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Everything about a hold that does not depend on the settling's time constant: its columns, and
 * their inner products under the noise.
 *
 * @param seconds times of the block averages (s)
 * @param driven integral of the leak's drive, by its law (min)
 * @param creeping course of the slow creep, by its shape
 * @param lost what was lost (mL)
 * @param weighed the noise of each, and what nuisances take away
 * @param scales of what settles and creeps
 * @param pumped end of the pumping (s)
 */
record HoldDesign(
    double[] seconds,
    Map<LeakLaw, double[]> driven,
    Map<Shape, double[]> creeping,
    double[] lost,
    Weighed weighed,
    Scales scales,
    double pumped) {
  private static final int MOST_PASSES = 4;

  /** What is so much less probable than the best, in logarithms, is not there. */
  private static final double NOTHING_LEFT = 25;

  /**
   * Scales of what settles and creeps.
   *
   * @param settling standard deviation of the settling before it is cut at zero (mL)
   * @param hose what the hoses give (mL/kPa)
   * @param height the pressure that stands (kPa)
   * @param positive whether neither settles backwards
   */
  record Scales(double settling, double hose, double height, boolean positive) {
    static Scales of(HoldConditions conditions, double gauge, SlowCreep creep) {
      double step = Math.max(1, Math.abs(gauge - conditions.pumping().from().kilopascals()));
      return new Scales(
          Settling.scale(conditions, step),
          conditions.airAndHoses().hose(),
          creep.height(),
          conditions.disturbedMinutesBefore().isEmpty());
    }
  }

  static HoldDesign of(
      Blocks blocks,
      Filling filling,
      HoldConditions conditions,
      TemperatureTrack temperature,
      SlowCreep creep) {
    int n = blocks.size();
    double[] seconds = blocks.seconds();
    double[] lost = new double[n];
    double[] sd = new double[n];
    for (int i = 0; i < n; i++) {
      lost[i] = filling.lost(seconds[i], blocks.gauge()[i]);
      sd[i] = blocks.noise()[i] * filling.perKilopascal(seconds[i], blocks.gauge()[i]);
    }
    Map<LeakLaw, double[]> driven = new EnumMap<>(LeakLaw.class);
    for (LeakLaw law : LeakLaw.values()) {
      driven.put(law, driven(blocks, law, conditions));
    }
    Map<Shape, double[]> creeping = new EnumMap<>(Shape.class);
    for (Shape shape : Shape.values()) {
      creeping.put(shape, creep.column(shape, seconds));
    }
    return new HoldDesign(
        seconds,
        driven,
        creeping,
        lost,
        Weighed.of(sd, unseen(blocks, filling, temperature)),
        Scales.of(conditions, blocks.gauge()[0], creep),
        conditions.pumping().until().orElse(seconds[0]));
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

  /** What the track of the temperature does not show, as volume (mL): its bend, its first lag. */
  private static double[][] unseen(Blocks blocks, Filling filling, TemperatureTrack temperature) {
    int n = blocks.size();
    double first = blocks.seconds()[0];
    double length = (blocks.seconds()[n - 1] - first) / 60;
    double[] bend = new double[n];
    double[] behind = new double[n];
    double theta = filling.thermalSensitivity(first, blocks.gauge()[0]);
    for (int i = 0; i < n; i++) {
      double minutes = (blocks.seconds()[i] - first) / 60;
      bend[i] = theta * temperature.unseen().bend() * minutes * (minutes - length);
      behind[i] =
          theta * temperature.unseen().behind() * (1 - Math.exp(-minutes / TemperatureTrack.LAGS));
    }
    return new double[][] {bend, behind};
  }

  /** The fit on a grid that is fine enough where the weight lies. */
  HoldFit fit() {
    Grid grid = Grid.WHOLE;
    HoldFit fit = fit(grid);
    for (int pass = 0; pass < MOST_PASSES && fit.tooCoarse(); pass++) {
      grid = fit.around(grid);
      fit = fit(grid);
    }
    return fit;
  }

  private HoldFit fit(Grid grid) {
    List<PositivePair> posed = new ArrayList<>();
    List<Part> parts = new ArrayList<>();
    int each = LeakLaw.values().length * Shape.values().length;
    double[] logPriors = new double[Grid.NODES * each];
    double[][] columns = columns();
    double[][] fixed = products(columns);
    for (int j = 0; j < Grid.NODES; j++) {
      double z = grid.node(j);
      double tau = Math.exp(Settling.LOG_TAU + Settling.LOG_TAU_SD * z);
      double[] with = with(Settling.column(seconds, pumped, tau), columns);
      for (LeakLaw law : LeakLaw.values()) {
        for (Shape shape : Shape.values()) {
          logPriors[parts.size()] = -0.5 * z * z + Math.log(shape.prior());
          parts.add(new Part(law, tau, shape));
          posed.add(posed(law, shape, fixed, with));
        }
      }
    }
    return new HoldFit(Mixture.of(solved(posed, logPriors), logPriors), List.copyOf(parts));
  }

  double[] driven(LeakLaw law) {
    return Objects.requireNonNull(driven.get(law));
  }

  double[] creeping(Shape shape) {
    return Objects.requireNonNull(creeping.get(shape));
  }

  /** The columns of one node, in the order of the coefficients. */
  double[][] columns(Part part) {
    return new double[][] {
      ones(),
      driven(part.law()),
      Settling.column(seconds, pumped, part.tau()),
      creeping(part.shape())
    };
  }

  private double[] ones() {
    double[] ones = new double[seconds.length];
    java.util.Arrays.fill(ones, 1);
    return ones;
  }

  /** The columns that no grid moves: ones, drives, creeps, and last what was observed. */
  private double[][] columns() {
    List<double[]> all = new ArrayList<>();
    all.add(ones());
    for (LeakLaw law : LeakLaw.values()) {
      all.add(driven(law));
    }
    for (Shape shape : Shape.values()) {
      all.add(creeping(shape));
    }
    all.add(lost);
    return all.toArray(double[][]::new);
  }

  private double[][] products(double[][] columns) {
    double[][] products = new double[columns.length][columns.length];
    for (int a = 0; a < columns.length; a++) {
      for (int b = 0; b <= a; b++) {
        products[a][b] = weighed.product(columns[a], columns[b]);
        products[b][a] = products[a][b];
      }
    }
    return products;
  }

  /** The products of a settling with each of them, and last with itself. */
  private double[] with(double[] settling, double[][] columns) {
    double[] products = new double[columns.length + 1];
    for (int a = 0; a < columns.length; a++) {
      products[a] = weighed.product(columns[a], settling);
    }
    products[columns.length] = weighed.product(settling, settling);
    return products;
  }

  /** Those that can carry weight are solved; what is left of the others does not show. */
  private static List<LinearPosterior> solved(List<PositivePair> posed, double[] logPriors) {
    int likeliest = 0;
    for (int i = 1; i < posed.size(); i++) {
      boolean likelier =
          posed.get(i).atMost() + logPriors[i]
              > posed.get(likeliest).atMost() + logPriors[likeliest];
      likeliest = likelier ? i : likeliest;
    }
    LinearPosterior best = posed.get(likeliest).solved();
    double least = best.logEvidence() + logPriors[likeliest] - NOTHING_LEFT;
    List<LinearPosterior> solved = new ArrayList<>();
    for (int i = 0; i < posed.size(); i++) {
      PositivePair pair = posed.get(i);
      boolean shows = pair.atMost() + logPriors[i] > least;
      solved.add(i == likeliest ? best : shows ? pair.solved() : pair.negligible());
    }
    return solved;
  }

  private PositivePair posed(LeakLaw law, Shape shape, double[][] fixed, double[] with) {
    int g = 1 + law.ordinal();
    int s = 1 + LeakLaw.values().length + shape.ordinal();
    int y = fixed.length - 1;
    double[][] sums = {
      {fixed[0][0], fixed[0][g], with[0], fixed[0][s]},
      {fixed[g][0], fixed[g][g], with[g], fixed[g][s]},
      {with[0], with[g], with[y + 1], with[s]},
      {fixed[s][0], fixed[s][g], with[s], fixed[s][s]}
    };
    double[] products = {fixed[0][y], fixed[g][y], with[y], fixed[s][y]};
    return PositivePair.of(
        sums,
        products,
        fixed[y][y],
        scales.settling(),
        shape.scale(scales.hose(), scales.height()),
        scales.positive());
  }
}
