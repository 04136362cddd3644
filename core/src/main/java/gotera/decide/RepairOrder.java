package gotera.decide;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Repairs in the order whose cost is least to expect: one by one with a re-test between them, or
 * some at once where that is cheaper.
 *
 * <p>A plan is a sequence of bundles that takes every repair once which mends anything more. A
 * bundle costs its parts and labour, what it shares with others once (draining, a cover), and a
 * re-test; it is paid as long as the leak is not gone. After the last an unsolved case costs a
 * come-back. P(fixed by R) is the sum of the probabilities of the sets of faults that R mends
 * wholly. The least expected cost follows exactly from dynamic programming over the subsets of at
 * most {@value #MOST} repairs: 3⁸ = 6561 steps.
 *
 * @param bundles the repairs of each step, in order
 * @param cost expected cost of all of it, come-back included
 */
public record RepairOrder(List<Bundle> bundles, double cost) {
  /** A repair that mends less than this is left out: a new hose has its new clamps (1). */
  private static final double NOTHING = 1e-9;

  /** The most repairs that are weighed. */
  public static final int MOST = 8;

  /**
   * Repairs done at once.
   *
   * @param repairs which
   * @param paid what they cost with what they share and the re-test
   * @param reached probability that it comes to this step (1)
   * @param fixed probability that the leak is gone after it (1)
   */
  public record Bundle(List<Repair> repairs, double paid, double reached, double fixed) {}

  /**
   * What a plan is reckoned with.
   *
   * @param shared cost of labour that is shared, by name
   * @param retest cost of a re-test
   * @param comeBack cost of a case that is not solved after the last repair
   */
  public record Costs(Map<String, Double> shared, double retest, double comeBack) {}

  /**
   * The best plan.
   *
   * @param repairs at most {@value #MOST}; more are refused
   * @param faults probability of every set of faults that may be there together; the sum is 1
   */
  public static RepairOrder of(List<Repair> repairs, Map<Set<String>, Double> faults, Costs costs) {
    if (repairs.size() > MOST) {
      throw new IllegalArgumentException("more than " + MOST + " repairs: " + repairs.size());
    }
    return new Search(repairs, faults, costs).best();
  }

  /**
   * Expected cost of a given plan.
   *
   * @param plan the repairs of each step, in order
   */
  public static RepairOrder as(
      List<List<Repair>> plan, Map<Set<String>, Double> faults, Costs costs) {
    List<Repair> all = plan.stream().flatMap(List::stream).distinct().toList();
    Search search = new Search(all, faults, costs);
    List<Integer> masks = new ArrayList<>();
    for (List<Repair> step : plan) {
      masks.add(step.stream().mapToInt(r -> 1 << all.indexOf(r)).reduce(0, (a, b) -> a | b));
    }
    return search.plan(masks);
  }

  /** What is paid on average until it is tight or all is done, without what a come-back costs. */
  public double paid() {
    return bundles.stream().mapToDouble(b -> b.reached() * b.paid()).sum();
  }

  /** Probability that the leak is not gone after all of it (1). */
  public double unsolved() {
    return bundles.isEmpty() ? 1 : 1 - bundles.get(bundles.size() - 1).fixed();
  }

  /** The search over subsets of repairs, each a mask of bits. */
  private static final class Search {
    private final List<Repair> repairs;
    private final Costs costs;
    private final double[] unsolved;
    private final double[] price;

    Search(List<Repair> repairs, Map<Set<String>, Double> faults, Costs costs) {
      this.repairs = repairs;
      this.costs = costs;
      int subsets = 1 << repairs.size();
      unsolved = new double[subsets];
      price = new double[subsets];
      for (int mask = 0; mask < subsets; mask++) {
        List<Repair> done = in(mask);
        unsolved[mask] = unsolved(done, faults);
        price[mask] = price(done);
      }
    }

    private List<Repair> in(int mask) {
      List<Repair> done = new ArrayList<>();
      for (int i = 0; i < repairs.size(); i++) {
        if ((mask >> i & 1) == 1) {
          done.add(repairs.get(i));
        }
      }
      return done;
    }

    private static double unsolved(List<Repair> done, Map<Set<String>, Double> faults) {
      List<String> mended = done.stream().flatMap(r -> r.fixes().stream()).toList();
      double sum = 0;
      for (Map.Entry<Set<String>, Double> set : faults.entrySet()) {
        sum += mended.containsAll(set.getKey()) ? 0 : set.getValue();
      }
      return sum;
    }

    private double price(List<Repair> together) {
      double own = together.stream().mapToDouble(Repair::cost).sum();
      double shared =
          together.stream()
              .flatMap(r -> r.shared().stream())
              .distinct()
              .mapToDouble(s -> costs.shared().getOrDefault(s, 0.0))
              .sum();
      return own + shared + costs.retest();
    }

    RepairOrder best() {
      int all = unsolved.length - 1;
      double[] least = new double[unsolved.length];
      int[] then = new int[unsolved.length];
      for (int done = all; done >= 0; done--) {
        boolean nothingMore = unsolved[done] - unsolved[all] < NOTHING;
        least[done] = nothingMore ? unsolved[all] * costs.comeBack() : Double.POSITIVE_INFINITY;
        int rest = all & ~done;
        for (int bundle = rest; bundle > 0; bundle = (bundle - 1) & rest) {
          double cost = unsolved[done] * price[bundle] + least[done | bundle];
          if (cost < least[done] - 1e-9) {
            least[done] = cost;
            then[done] = bundle;
          }
        }
      }
      List<Integer> plan = new ArrayList<>();
      for (int done = 0; then[done] != 0; done |= then[done]) {
        plan.add(then[done]);
      }
      return plan(plan);
    }

    RepairOrder plan(List<Integer> masks) {
      List<Bundle> bundles = new ArrayList<>();
      double cost = 0;
      int done = 0;
      for (int mask : masks) {
        double reached = unsolved[done];
        cost += reached * price[mask];
        done |= mask;
        bundles.add(new Bundle(in(mask), price[mask], reached, 1 - unsolved[done]));
      }
      return new RepairOrder(
          Collections.unmodifiableList(bundles), cost + unsolved[done] * costs.comeBack());
    }
  }
}
