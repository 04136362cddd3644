package gotera.evidence;

import gotera.evidence.Worlds.Effect;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What is known of the places after some findings: the probability of every set of up to two that
 * leak, whatever the modes of their faults.
 */
public final class Posterior {
  private final Worlds worlds;
  private final double[] probability;
  private final double[] marginals;

  /** Probability of every set of places, and the sum of p·ln p over them. */
  private final double[] sets;

  private final double order;

  /**
   * What is known.
   *
   * @param log logarithms of the weights of the worlds, so that many findings never underflow
   */
  Posterior(Worlds worlds, double[] log) {
    this.worlds = worlds;
    this.probability = normalised(log);
    this.marginals = worlds.byPlace(probability);
    this.sets = worlds.bySet(probability);
    double sum = 0;
    for (double p : sets) {
      sum += ordered(p);
    }
    this.order = sum;
  }

  private static double[] normalised(double[] log) {
    double most = java.util.Arrays.stream(log).max().orElse(0);
    double[] p = new double[log.length];
    double sum = 0;
    for (int k = 0; k < p.length; k++) {
      p[k] = Math.exp(log[k] - most);
      sum += p[k];
    }
    for (int k = 0; k < p.length; k++) {
      p[k] /= sum;
    }
    return p;
  }

  /** p·ln p, nothing of nothing. */
  private static double ordered(double p) {
    return p > 0 ? p * Math.log(p) : 0;
  }

  /** What is known after these findings, in any order. */
  public static Posterior of(List<Hypothesis> places, List<Evidence> findings) {
    return Weighing.of(places, findings).all();
  }

  /** What is known once this is found too: the probability of one place. */
  public double marginal(String place, Evidence found) {
    return with(worlds.effect(found), false)[worlds.number(place)];
  }

  /** Probabilities of the places without a finding that had this effect. */
  double[] without(Effect effect) {
    return with(effect, true);
  }

  /** Probabilities of the places once an effect is there too, or taken off. */
  private double[] with(Effect effect, boolean off) {
    double[] places = marginals.clone();
    double sum = 1;
    for (int i = 0; i < effect.moved().length; i++) {
      int k = effect.moved()[i];
      double factor = off ? 1 / effect.ratio()[i] : effect.ratio()[i];
      double more = probability[k] * (factor - 1);
      sum += more;
      worlds.add(places, k, more);
    }
    for (int i = 0; i < places.length; i++) {
      places[i] = Math.min(1, Math.max(0, places[i] / sum));
    }
    return places;
  }

  /** Number of a place. */
  int number(String place) {
    return worlds.number(place);
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
    return -order / Math.log(2);
  }

  /**
   * Probability that a check would see something.
   *
   * @param finding what it would see
   */
  public double chance(Evidence finding) {
    Effect effect = worlds.effect(finding);
    double sum = 1;
    for (int i = 0; i < effect.moved().length; i++) {
      sum += probability[effect.moved()[i]] * (effect.ratio()[i] - 1);
    }
    return effect.none() * sum;
  }

  /**
   * How much less uncertain one expects to be after a check (bit), never below zero.
   *
   * @param outcomes what it can show, one of them for certain
   */
  public double gain(List<Evidence> outcomes) {
    double after = 0;
    double[] more = new double[sets.length];
    for (Evidence outcome : outcomes) {
      after += expected(worlds.effect(outcome), more);
    }
    return Math.max(0, entropy() - after);
  }

  /**
   * Entropy after an outcome, times its probability (bit). Of the sets that it does not move only
   * the sum is needed.
   *
   * @param more room for what every set gains; empty again afterwards
   */
  private double expected(Effect effect, double[] more) {
    double sum = 1;
    for (int i = 0; i < effect.moved().length; i++) {
      int k = effect.moved()[i];
      double gained = probability[k] * (effect.ratio()[i] - 1);
      more[worlds.set[k]] += gained;
      sum += gained;
    }
    double ordered = order;
    for (int k : effect.moved()) {
      int s = worlds.set[k];
      if (more[s] != 0) {
        ordered += ordered(Math.max(0, sets[s] + more[s])) - ordered(sets[s]);
        more[s] = 0;
      }
    }
    // the weights are the outcome's likelihood where nothing leaks times these
    return sum > 0 ? effect.none() * (sum * Math.log(sum) - ordered) / Math.log(2) : 0;
  }

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
   * @param label its name
   * @param logRatio natural logarithm of the factor on the place's odds; above zero it speaks for
   *     the place
   */
  public record Reason(Label label, double logRatio) {}

  /** The findings that moved a place, those that moved it most first. */
  public static List<Reason> reasons(
      List<Hypothesis> places, List<Evidence> findings, String place) {
    return Weighing.of(places, findings).reasons(place);
  }

  /** Lowest and highest probability of a place when its prior is halved and doubled. */
  public static double[] range(List<Hypothesis> places, List<Evidence> findings, String place) {
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
    double held = Math.min(1 - Worlds.LEAST, Math.max(Worlds.LEAST, p));
    return Math.log(held / (1 - held));
  }
}
