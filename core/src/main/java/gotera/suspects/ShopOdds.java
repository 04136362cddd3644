package gotera.suspects;

import gotera.circuit.Circuit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a workshop's own closed jobs say of the odds of each kind of part beside the model's priors.
 *
 * <p>The shares in which parts leak have a Dirichlet prior whose mean is the model's and whose
 * weight is {@value #PSEUDO_JOBS} jobs; the places that were found leaking and repaired are counted
 * (Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.4). The ratio of the posterior share
 * to the prior share multiplies the odds of every place of that part: a workshop without jobs
 * changes nothing, one with many speaks for itself.
 *
 * @param parts each part with what was counted of it
 */
public record ShopOdds(Map<String, Part> parts) {
  /** Nothing is known of a workshop. */
  public static final ShopOdds NONE = new ShopOdds(Map.of());

  /** Weight of the model's priors (jobs) (our judgement, untested). */
  public static final int PSEUDO_JOBS = 30;

  /** The newest jobs that are learned from: vehicles change (our judgement, untested). */
  public static final int MOST_JOBS = 300;

  /** Keeps its own copy, in order. */
  public ShopOdds {
    parts = java.util.Collections.unmodifiableMap(new TreeMap<>(parts));
  }

  /**
   * A part.
   *
   * @param expected leaks of it that the model expects among those found
   * @param found leaks of it that were found
   * @param factor by which its odds are multiplied
   */
  public record Part(double expected, int found, double factor) {}

  /**
   * A closed job whose leak was found and repaired.
   *
   * @param circuit the circuit of the vehicle
   * @param leaked the places that leaked
   */
  public record Closed(Circuit circuit, Set<String> leaked) {
    /** Keeps its own copy. */
    public Closed {
      leaked = Set.copyOf(leaked);
    }
  }

  /** What closed jobs say. */
  public static ShopOdds of(List<Closed> jobs) {
    Map<String, Double> expected = new HashMap<>();
    Map<String, Integer> found = new HashMap<>();
    int all = 0;
    for (Closed job : jobs) {
      List<PlaceFacts> places = Vocabulary.published().places(job.circuit());
      double sum = places.stream().mapToDouble(PlaceFacts::prior).sum();
      int leaked = job.leaked().size();
      places.forEach(
          p -> expected.merge(Case.part(p.place()), leaked * p.prior() / sum, Double::sum));
      job.leaked().forEach(place -> found.merge(Case.part(place), 1, Integer::sum));
      all += leaked;
    }
    Map<String, Part> parts = new HashMap<>();
    double share = (double) PSEUDO_JOBS / Math.max(1, all);
    expected.forEach(
        (part, e) -> {
          int n = found.getOrDefault(part, 0);
          if (e > 0) {
            parts.put(part, new Part(e, n, (share * e + n) / (share * e + e)));
          }
        });
    return new ShopOdds(parts);
  }

  /** What is known of a place beforehand, in this workshop. */
  PlaceFacts of(PlaceFacts place) {
    Part part = parts.get(Case.part(place.place()));
    return part == null ? place : place.likelier(part.factor());
  }
}
