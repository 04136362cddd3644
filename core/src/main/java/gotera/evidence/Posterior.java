package gotera.evidence;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What is known of the places after some findings: the probability of every set of up to two that
 * leak, whatever the modes of their faults.
 */
public final class Posterior {
  /** Floor of a likelihood: nothing is quite impossible (our judgement, untested). */
  static final double LEAST = 1e-12;

  private final Worlds worlds;
  private final double[] probability;
  private final double[] marginals;
  private final double[] sets;
  private final int[] heavy;

  /** Probabilities of places without a finding whose likelihoods these are. */
  double[] without(double[] likelihoods) {
    double[] weight = new double[probability.length];
    double sum = 0;
    for (int k = 0; k < weight.length; k++) {
      weight[k] = probability[k] / Math.max(LEAST, likelihoods[k]);
      sum += weight[k];
    }
    double[] places = worlds.byPlace(weight);
    for (int i = 0; i < places.length; i++) {
      places[i] = Math.min(1, places[i] / sum);
    }
    return places;
  }

  /** Number of a place. */
  int number(String place) {
    return worlds.number(place);
  }

  Posterior(Worlds worlds, double[] weight) {
    this.worlds = worlds;
    this.probability = normalised(weight);
    this.marginals = worlds.byPlace(probability);
    this.sets = worlds.bySet(probability);
    this.heavy =
        IntStream.range(0, probability.length).filter(k -> probability[k] > NEGLIGIBLE).toArray();
  }

  /** What is known after these findings, in any order. */
  public static Posterior of(List<Hypothesis> places, List<Finding> findings) {
    return Weighing.of(places, findings).all();
  }

  /** What is known once these are found too. */
  public Posterior after(List<Finding> findings) {
    double[] log = logs(probability);
    for (Finding f : findings) {
      add(log, logs(worlds.likelihoods(f)));
    }
    return ofLogs(worlds, log);
  }

  /** Logarithms, none below a floor, so that no finding can rule out everything. */
  static double[] logs(double[] values) {
    double[] logs = new double[values.length];
    for (int k = 0; k < logs.length; k++) {
      logs[k] = Math.log(Math.max(LEAST, values[k]));
    }
    return logs;
  }

  static void add(double[] to, double[] what) {
    for (int k = 0; k < to.length; k++) {
      to[k] += what[k];
    }
  }

  /** In logarithms, so that many findings never underflow. */
  static Posterior ofLogs(Worlds worlds, double[] log) {
    double most = java.util.Arrays.stream(log).max().orElse(0);
    double[] weight = new double[log.length];
    for (int k = 0; k < log.length; k++) {
      weight[k] = Math.exp(log[k] - most);
    }
    return new Posterior(worlds, weight);
  }

  private static double[] normalised(double[] weights) {
    double sum = java.util.Arrays.stream(weights).sum();
    double[] p = new double[weights.length];
    for (int i = 0; i < p.length; i++) {
      p[i] = weights[i] / sum;
    }
    return p;
  }

  /** Probability that a place leaks. */
  public double marginal(String place) {
    return Math.min(1, marginals[worlds.number(place)]);
  }

  /** Probability that just these places leak, none to two of them. */
  public double probability(String... exactly) {
    return sets[worlds.set(exactly)];
  }

  /** Uncertainty about which places leak, Shannon's entropy (bit). */
  public double entropy() {
    return expected(sets);
  }

  /**
   * Probability that a check would see something.
   *
   * @param finding what it would see
   */
  public double chance(Finding finding) {
    double[] likelihood = worlds.likelihoods(finding);
    double sum = 0;
    for (int k = 0; k < probability.length; k++) {
      sum += probability[k] * likelihood[k];
    }
    return sum;
  }

  /**
   * How much less uncertain one expects to be after a check (bit), never below zero.
   *
   * @param outcomes what it can show, one of them for certain
   */
  public double gain(List<Finding> outcomes) {
    double before = entropy();
    double after = 0;
    if (outcomes.size() == 2) {
      // one of two: what the first leaves of every set is the other's
      double[] seen = weighed(outcomes.get(0));
      double[] not = sets.clone();
      for (int i = 0; i < not.length; i++) {
        not[i] = Math.max(0, not[i] - seen[i]);
      }
      after = expected(seen) + expected(not);
    } else {
      for (Finding outcome : outcomes) {
        after += expected(weighed(outcome));
      }
    }
    return Math.max(0, before - after);
  }

  /** Probability of every set of places together with an outcome. */
  private double[] weighed(Finding outcome) {
    return worlds.bySet(outcome, probability, heavy);
  }

  /** Entropy that weights of sets have once they are normalised, times their sum (bit). */
  private static double expected(double[] sets) {
    double sum = 0;
    double nats = 0;
    for (double w : sets) {
      if (w > NEGLIGIBLE) {
        sum += w;
        nats -= w * Math.log(w);
      }
    }
    return sum > 0 ? (nats + sum * Math.log(sum)) / Math.log(2) : 0;
  }

  /** Worlds below it are left out of what a check is expected to tell: together below 1e-5. */
  private static final double NEGLIGIBLE = 1e-10;

  /** Places with their probabilities, the likeliest first. */
  public List<Suspect> suspects() {
    return IntStream.range(0, marginals.length)
        .mapToObj(i -> new Suspect(worlds.places.get(i).place(), Math.min(1, marginals[i])))
        .sorted(Comparator.comparingDouble(Suspect::probability).reversed())
        .toList();
  }

  /**
   * A place under suspicion.
   *
   * @param place its name
   * @param probability probability that it leaks
   */
  public record Suspect(String place, double probability) {}

  /**
   * How much a finding moved a place.
   *
   * @param finding its name
   * @param logRatio natural logarithm of the factor on the place's odds; above zero it speaks for
   *     the place
   */
  public record Reason(Label finding, double logRatio) {}

  /** The findings that moved a place, those that moved it most first. */
  public static List<Reason> reasons(
      List<Hypothesis> places, List<Finding> findings, String place) {
    return Weighing.of(places, findings).reasons(place);
  }

  /** Lowest and highest probability of a place when its prior is halved and doubled. */
  public static double[] range(List<Hypothesis> places, List<Finding> findings, String place) {
    double[] range = new double[2];
    for (int k = 0; k < 2; k++) {
      double factor = k == 0 ? 0.5 : 2;
      List<Hypothesis> moved =
          places.stream()
              .map(
                  h ->
                      h.place().equals(place) ? h.withPrior(Math.min(0.99, factor * h.prior())) : h)
              .toList();
      range[k] = of(moved, findings).marginal(place);
    }
    return range;
  }

  static double logOdds(double p) {
    double held = Math.min(1 - LEAST, Math.max(LEAST, p));
    return Math.log(held / (1 - held));
  }
}
