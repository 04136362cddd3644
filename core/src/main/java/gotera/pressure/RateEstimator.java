package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.pressure.HoldFit.Part;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Turns the curve of a hold into a leak rate at the rated pressure.
 *
 * <p>Working in lost volume instead of pressure makes everything but the time constants linear:
 * V_lost(t) = o + q·G(t) + A·(1 − e^(−(t − t_pump)/τ)) + b·s(t) + noise, with G the integral of the
 * leak's drive over time and s the slow creep of the hoses. For each τ on a grid, each law of
 * leaking and each shape of the slow creep the posterior of (o, q, A, b) is exact, A and b being
 * positive unless the hoses recover from an earlier higher pressure; they are mixed by evidence.
 * Where many good readings know τ better than the grid's spacing, the grid closes in on it. Cost:
 * one pass over at most {@value #LONGEST} block averages for each τ, and a 3 × 3 solve for each
 * node, a few times over. Settling always stays in the model: dropping it would turn creep into a
 * leak.
 */
final class RateEstimator {
  /** Version stored with every verdict. */
  static final String VERSION = "creep-5";

  private static final int LONGEST = 200;

  private RateEstimator() {}

  /**
   * Estimates the rate.
   *
   * @param window the readings of the hold, at least two
   * @param conditions the hold
   * @param temperature the temperature through the window
   * @param creep how the hoses go on creeping
   */
  static RateEstimate estimate(
      Trace window, HoldConditions conditions, TemperatureTrack temperature, SlowCreep creep) {
    Blocks blocks = Blocks.of(window, LONGEST, conditions.gauge().noise());
    Filling filling = Filling.of(window, conditions, temperature);
    HoldDesign design = HoldDesign.of(blocks, filling, conditions, temperature, creep);
    HoldFit fit = design.fit();
    Scatter scatter =
        Scatter.of(
            design.columns(fit.best()),
            fit.mixture().parts().get(fit.mixture().best()).mean(),
            design.lost(),
            design.weighed());
    List<LeakLaw.Weight> laws = weights(fit);
    Moments settled = settled(fit, design);
    return new RateEstimate(
        laws.get(0).law(),
        laws,
        fit.mixture().mean(1),
        fit.mixture().sd(1),
        fit.creepU(),
        settled.mean(),
        settled.sd(),
        scatter,
        meanDrive(laws, design),
        FittedCurve.of(
            window,
            blocks,
            filling,
            new FittedCurve.Fitted(fit, design.pumped(), creep, scatter.inflation()),
            conditions));
  }

  private static double meanDrive(List<LeakLaw.Weight> laws, HoldDesign design) {
    int last = design.seconds().length - 1;
    double minutes = (design.seconds()[last] - design.seconds()[0]) / 60;
    double mean = 0;
    for (LeakLaw.Weight weight : laws) {
      mean += weight.probability() * design.driven(weight.law())[last] / minutes;
    }
    return mean;
  }

  /** Mean and standard deviation. */
  private record Moments(double mean, double sd) {}

  /** What settled and crept within the window. */
  private static Moments settled(HoldFit fit, HoldDesign design) {
    int last = design.seconds().length - 1;
    double mean = 0;
    double square = 0;
    for (int j = 0; j < fit.parts().size(); j++) {
      Part part = fit.parts().get(j);
      double a =
          Settling.at(design.seconds()[last], design.pumped(), part.tau())
              - Settling.at(design.seconds()[0], design.pumped(), part.tau());
      double b = design.creeping(part.shape())[last];
      LinearPosterior posterior = fit.mixture().parts().get(j);
      double[][] c = posterior.covariance();
      double value = a * posterior.mean()[2] + b * posterior.mean()[3];
      double variance = a * a * c[2][2] + 2 * a * b * c[2][3] + b * b * c[3][3];
      mean += fit.mixture().weights()[j] * value;
      square += fit.mixture().weights()[j] * (variance + value * value);
    }
    return new Moments(mean, Math.sqrt(Math.max(0, square - mean * mean)));
  }

  /** Probability of each law, the most probable first. */
  private static List<LeakLaw.Weight> weights(HoldFit fit) {
    Map<LeakLaw, Double> sums = new EnumMap<>(LeakLaw.class);
    for (int i = 0; i < fit.parts().size(); i++) {
      sums.merge(fit.parts().get(i).law(), fit.mixture().weights()[i], Double::sum);
    }
    return sums.entrySet().stream()
        .map(e -> new LeakLaw.Weight(e.getKey(), e.getValue()))
        .sorted(Comparator.comparingDouble(LeakLaw.Weight::probability).reversed())
        .toList();
  }
}
