package gotera.evidence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Every set of up to two faults that may be there together, each fault a place and a mode. More
 * than two places at once are left out, which is exact for what is seen of vehicles and keeps sixty
 * places to 1831 sets of places.
 *
 * <p>A finding is about a few places: in all other worlds it is as likely as where nothing leaks.
 * So only the worlds that it moves are reckoned, each by its ratio to that ({@link Effect}); sixty
 * places in two modes each make some 7000 worlds, of which a look moves a few hundred.
 */
final class Worlds {
  /** Floor of a likelihood: nothing is quite impossible (our judgement, untested). */
  static final double LEAST = 1e-12;

  /** A fault: a place's number and a mode. */
  record Fault(int place, Mode mode) {}

  /**
   * What a finding does to the worlds.
   *
   * @param none its likelihood where nothing leaks, and in every world that is not named
   * @param moved worlds in which it is likelier or less likely
   * @param ratio by how much, in the order of these worlds, above 0
   */
  record Effect(double none, int[] moved, double[] ratio) {}

  final List<Hypothesis> places;
  private final List<Fault> faults = new ArrayList<>();
  private final Map<String, Integer> numbers = new HashMap<>();

  /** Numbers of the faults of each world, −1 where there is none. */
  private final int[] first;

  private final int[] second;

  /** Numbers of the places of these faults, −1 where there is none. */
  private final int[] firstPlace;

  private final int[] secondPlace;

  /** Number of the set of places of each world: worlds that differ by modes only share it. */
  final int[] set;

  /** How many sets of places there are. */
  final int sets;

  /** The worlds that a fault is in. */
  private final int[][] worldsOf;

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
    List<List<Integer>> of = new ArrayList<>();
    faults.forEach(f -> of.add(new ArrayList<>()));
    worlds.add(new int[] {-1, -1, 0});
    for (int a = 0; a < faults.size(); a++) {
      int one = faults.get(a).place();
      of.get(a).add(worlds.size());
      worlds.add(new int[] {a, -1, 1 + one});
      for (int b = a + 1; b < faults.size(); b++) {
        int other = faults.get(b).place();
        if (other != one) {
          of.get(a).add(worlds.size());
          of.get(b).add(worlds.size());
          worlds.add(new int[] {a, b, pair(one, other)});
        }
      }
    }
    first = worlds.stream().mapToInt(w -> w[0]).toArray();
    second = worlds.stream().mapToInt(w -> w[1]).toArray();
    set = worlds.stream().mapToInt(w -> w[2]).toArray();
    firstPlace = Arrays.stream(first).map(f -> f < 0 ? -1 : faults.get(f).place()).toArray();
    secondPlace = Arrays.stream(second).map(f -> f < 0 ? -1 : faults.get(f).place()).toArray();
    worldsOf =
        of.stream()
            .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
            .toArray(int[][]::new);
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

  /** The same, where the number of places that leak has odds of its own. */
  double[] prior(FaultCount count) {
    double[] prior = prior();
    double one = 0;
    double two = 0;
    for (int k = 1; k < prior.length; k++) {
      one += second[k] < 0 ? prior[k] : 0;
      two += second[k] < 0 ? 0 : prior[k];
    }
    for (int k = 0; k < prior.length; k++) {
      prior[k] =
          k == 0
              ? count.none()
              : second[k] < 0 ? prior[k] * count.one() / one : prior[k] * count.two() / two;
    }
    return prior;
  }

  /** What a finding does to the worlds. */
  Effect effect(Evidence finding) {
    double none = finding.none();
    double[] one = new double[faults.size()];
    boolean[] moves = new boolean[faults.size()];
    int worlds = 0;
    for (int i = 0; i < one.length; i++) {
      Fault f = faults.get(i);
      one[i] = finding.one(places.get(f.place()).place(), f.mode());
      moves[i] = one[i] != none;
      worlds += moves[i] ? worldsOf[i].length : 0;
    }
    double least = Math.max(LEAST, none);
    int[] moved = new int[worlds];
    double[] ratio = new double[worlds];
    int n = 0;
    for (int i = 0; i < one.length; i++) {
      for (int w = 0; moves[i] && w < worldsOf[i].length; w++) {
        int k = worldsOf[i][w];
        int other = first[k] == i ? second[k] : first[k];
        // a world that both of its faults move is told of once
        if (other < 0 || !moves[other] || i < other) {
          double likelihood = other < 0 ? one[i] : finding.both(one[i], one[other]);
          moved[n] = k;
          ratio[n++] = Math.max(LEAST, likelihood) / least;
        }
      }
    }
    return new Effect(none, Arrays.copyOf(moved, n), Arrays.copyOf(ratio, n));
  }

  /** Sum of a weight over the worlds in which each place leaks. */
  double[] byPlace(double[] weight) {
    double[] sums = new double[places.size()];
    for (int k = 1; k < weight.length; k++) {
      add(sums, k, weight[k]);
    }
    return sums;
  }

  /** Adds a weight to the places that leak in a world. */
  void add(double[] sums, int world, double weight) {
    if (firstPlace[world] >= 0) {
      sums[firstPlace[world]] += weight;
    }
    if (secondPlace[world] >= 0) {
      sums[secondPlace[world]] += weight;
    }
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
