package gotera.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is known of the places after some findings: the probability of every set of up to two that
 * leak. More than two faults at once are left out, which is exact for what is seen of vehicles and
 * keeps sixty places to 1831 sets.
 */
public final class Posterior {
  /** Floor of a likelihood: nothing is quite impossible (our judgement, untested). */
  private static final double LEAST = 1e-12;

  private final List<Hypothesis> places;
  private final Map<String, Integer> numbers;
  private final List<FaultSet> sets;
  private final double[] probability;

  private Posterior(
      List<Hypothesis> places,
      Map<String, Integer> numbers,
      List<FaultSet> sets,
      double[] probability) {
    this.places = places;
    this.numbers = numbers;
    this.sets = sets;
    this.probability = probability;
  }

  /** What is known after these findings, in any order. */
  public static Posterior of(List<Hypothesis> places, List<Finding> findings) {
    Map<String, Integer> numbers = new HashMap<>();
    for (int i = 0; i < places.size(); i++) {
      if (numbers.put(places.get(i).place(), i) != null) {
        throw new IllegalArgumentException("twice: " + places.get(i).place());
      }
    }
    List<FaultSet> sets = new ArrayList<>();
    sets.add(FaultSet.NONE);
    for (int i = 0; i < places.size(); i++) {
      sets.add(FaultSet.one(i));
      for (int j = i + 1; j < places.size(); j++) {
        sets.add(new FaultSet(i, j));
      }
    }
    double none = places.stream().mapToDouble(h -> 1 - h.prior()).reduce(1, (a, b) -> a * b);
    double[] prior = new double[sets.size()];
    for (int k = 0; k < prior.length; k++) {
      FaultSet s = sets.get(k);
      prior[k] = none * odds(places, s.first()) * odds(places, s.second());
    }
    Posterior before = new Posterior(List.copyOf(places), numbers, sets, normalised(prior));
    return findings.isEmpty() ? before : before.after(findings);
  }

  private static double odds(List<Hypothesis> places, int place) {
    return place < 0 ? 1 : places.get(place).prior() / (1 - places.get(place).prior());
  }

  /** What is known once these are found too. */
  public Posterior after(List<Finding> findings) {
    return weighed(findings.stream().map(this::likelihoods).toList());
  }

  /** Likelihood of a finding for every set, in their order. */
  double[] likelihoods(Finding finding) {
    double[] all = new double[sets.size()];
    for (int k = 0; k < all.length; k++) {
      all[k] = likelihood(finding, sets.get(k));
    }
    return all;
  }

  /**
   * What is known once every set was weighed with a factor. In logarithms, so that many findings
   * never underflow, and no factor below a floor, so that none can rule out everything.
   */
  Posterior weighed(List<double[]> factors) {
    double[] log = new double[probability.length];
    for (int k = 0; k < log.length; k++) {
      log[k] = Math.log(Math.max(LEAST, probability[k]));
      for (double[] factor : factors) {
        log[k] += Math.log(Math.max(LEAST, factor[k]));
      }
    }
    double most = java.util.Arrays.stream(log).max().orElse(0);
    double[] weighed = new double[log.length];
    for (int k = 0; k < log.length; k++) {
      weighed[k] = Math.exp(log[k] - most);
    }
    return new Posterior(places, numbers, sets, normalised(weighed));
  }

  private double likelihood(Finding finding, FaultSet set) {
    return finding.likelihood(new World(numbers, set));
  }

  /** The vehicle as it would be if just these places leaked. */
  private record World(Map<String, Integer> numbers, FaultSet set) implements Finding.Leaks {
    @Override
    public boolean at(String place) {
      Integer number = numbers.get(place);
      return number != null && set.has(number);
    }

    @Override
    public boolean any() {
      return set.size() > 0;
    }
  }

  private static double[] normalised(double[] weights) {
    double sum = 0;
    for (double w : weights) {
      sum += w;
    }
    double[] p = new double[weights.length];
    for (int i = 0; i < p.length; i++) {
      p[i] = weights[i] / sum;
    }
    return p;
  }

  /** Probability that a place leaks. */
  public double marginal(String place) {
    Integer number = numbers.get(place);
    if (number == null) {
      throw new IllegalArgumentException("no place is called " + place);
    }
    double sum = 0;
    for (int k = 0; k < probability.length; k++) {
      sum += sets.get(k).has(number) ? probability[k] : 0;
    }
    return sum;
  }

  /** Probability that just these places leak, none to two of them. */
  public double probability(String... exactly) {
    FaultSet set = FaultSet.NONE;
    if (exactly.length > 0) {
      int[] n = java.util.Arrays.stream(exactly).mapToInt(this::number).sorted().toArray();
      set = new FaultSet(n[0], n.length > 1 ? n[1] : -1);
    }
    return probability[sets.indexOf(set)];
  }

  private int number(String place) {
    Integer number = numbers.get(place);
    if (number == null) {
      throw new IllegalArgumentException("no place is called " + place);
    }
    return number;
  }

  /** Uncertainty about which places leak, Shannon's entropy (bit). */
  public double entropy() {
    double bits = 0;
    for (double p : probability) {
      bits -= p > 0 ? p * Math.log(p) / Math.log(2) : 0;
    }
    return bits;
  }

  /**
   * Probability that a check would see something.
   *
   * @param finding what it would see
   */
  public double chance(Finding finding) {
    double sum = 0;
    for (int k = 0; k < probability.length; k++) {
      sum += probability[k] * likelihood(finding, sets.get(k));
    }
    return sum;
  }

  /** Places with their probabilities, the likeliest first. */
  public List<Suspect> suspects() {
    return places.stream()
        .map(h -> new Suspect(h.place(), marginal(h.place())))
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
    double held = Math.min(1 - 1e-12, Math.max(1e-12, p));
    return Math.log(held / (1 - held));
  }
}
