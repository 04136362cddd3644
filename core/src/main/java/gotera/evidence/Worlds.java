package gotera.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Every set of up to two faults that may be there together, each fault a place and a mode. More
 * than two places at once are left out, which is exact for what is seen of vehicles and keeps sixty
 * places to 1831 sets of places. All of them lie in arrays, for they are weighed again and again.
 */
final class Worlds {
  /** A fault: a place's number and a mode. */
  record Fault(int place, Mode mode) {}

  final List<Hypothesis> places;
  final List<Fault> faults = new ArrayList<>();
  private final Map<String, Integer> numbers = new HashMap<>();

  /** Numbers of the faults of each world, −1 where there is none. */
  final int[] first;

  final int[] second;

  /** Numbers of the places of these faults, −1 where there is none. */
  private final int[] firstPlace;

  private final int[] secondPlace;

  /** Number of the set of places of each world: worlds that differ by modes only share it. */
  final int[] set;

  /** How many sets of places there are. */
  final int sets;

  Worlds(List<Hypothesis> places) {
    this.places = List.copyOf(places);
    for (int i = 0; i < places.size(); i++) {
      if (numbers.put(places.get(i).place(), i) != null) {
        throw new IllegalArgumentException("twice: " + places.get(i).place());
      }
      for (Mode mode : places.get(i).modes().keySet()) {
        faults.add(new Fault(i, mode));
      }
    }
    int n = places.size();
    sets = 1 + n + n * (n - 1) / 2;
    List<int[]> worlds = new ArrayList<>();
    worlds.add(new int[] {-1, -1, 0});
    for (int a = 0; a < faults.size(); a++) {
      int one = faults.get(a).place();
      worlds.add(new int[] {a, -1, 1 + one});
      for (int b = a + 1; b < faults.size(); b++) {
        int other = faults.get(b).place();
        if (other != one) {
          worlds.add(new int[] {a, b, pair(one, other)});
        }
      }
    }
    first = worlds.stream().mapToInt(w -> w[0]).toArray();
    second = worlds.stream().mapToInt(w -> w[1]).toArray();
    set = worlds.stream().mapToInt(w -> w[2]).toArray();
    firstPlace = Arrays.stream(first).map(f -> f < 0 ? -1 : faults.get(f).place()).toArray();
    secondPlace = Arrays.stream(second).map(f -> f < 0 ? -1 : faults.get(f).place()).toArray();
  }

  private int pair(int one, int other) {
    int n = places.size();
    return 1 + n + one * n - one * (one + 1) / 2 + other - one - 1;
  }

  int size() {
    return first.length;
  }

  int number(String place) {
    Integer number = numbers.get(place);
    if (number == null) {
      throw new IllegalArgumentException("no place is called " + place);
    }
    return number;
  }

  /** Number of the set of just these places, none to two of them. */
  int set(String... exactly) {
    int[] n = Arrays.stream(exactly).mapToInt(this::number).sorted().toArray();
    return n.length == 0 ? 0 : n.length == 1 ? 1 + n[0] : pair(n[0], n[1]);
  }

  /** Probability of every world before anything was found, up to a factor. */
  double[] prior() {
    double[] odds = new double[faults.size()];
    for (int i = 0; i < odds.length; i++) {
      Fault f = faults.get(i);
      Hypothesis h = places.get(f.place());
      odds[i] = h.prior() / (1 - h.prior()) * h.modes().getOrDefault(f.mode(), 0.0);
    }
    double[] prior = new double[size()];
    for (int k = 0; k < prior.length; k++) {
      prior[k] = (first[k] < 0 ? 1 : odds[first[k]]) * (second[k] < 0 ? 1 : odds[second[k]]);
    }
    return prior;
  }

  /** Likelihood of a finding in every world. */
  double[] likelihoods(Finding finding) {
    double none = finding.none();
    double[] one = ones(finding);
    double[] all = new double[size()];
    for (int k = 0; k < all.length; k++) {
      all[k] =
          first[k] < 0
              ? none
              : second[k] < 0 ? one[first[k]] : finding.both(one[first[k]], one[second[k]]);
    }
    return all;
  }

  /** Sum of a weight over the worlds in which each place leaks. */
  double[] byPlace(double[] weight) {
    double[] sums = new double[places.size()];
    for (int k = 1; k < weight.length; k++) {
      sums[firstPlace[k]] += weight[k];
      if (second[k] >= 0) {
        sums[secondPlace[k]] += weight[k];
      }
    }
    return sums;
  }

  /** Sum over the worlds of each set of places of a weight times the likelihood of a finding. */
  double[] bySet(Finding finding, double[] weight, int[] of) {
    double none = finding.none();
    double[] one = ones(finding);
    double[] sums = new double[sets];
    for (int k : of) {
      double likelihood =
          first[k] < 0
              ? none
              : second[k] < 0 ? one[first[k]] : finding.both(one[first[k]], one[second[k]]);
      sums[set[k]] += weight[k] * likelihood;
    }
    return sums;
  }

  private double[] ones(Finding finding) {
    double[] one = new double[faults.size()];
    for (int i = 0; i < one.length; i++) {
      Fault f = faults.get(i);
      one[i] = finding.one(places.get(f.place()).place(), f.mode());
    }
    return one;
  }

  /** Sum of a weight over the worlds of each set of places. */
  double[] bySet(double[] weight) {
    double[] sums = new double[sets];
    for (int k = 0; k < weight.length; k++) {
      sums[set[k]] += weight[k];
    }
    return sums;
  }
}
