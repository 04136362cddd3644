package gotera.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.decide.RepairOrder.Costs;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RepairOrderTests {
  private static final Repair CLAMP = new Repair("clamp", Set.of("clamp"), 12, Set.of());
  private static final Repair HOSE = new Repair("hose", Set.of("hose"), 40, Set.of());
  private static final Repair RADIATOR = new Repair("radiator", Set.of("radiator"), 300, Set.of());
  private static final Map<Set<String>, Double> ONE_OF_THREE =
      Map.of(Set.of("clamp"), 0.5, Set.of("hose"), 0.3, Set.of("radiator"), 0.2);

  private static Repair drained(Repair r) {
    return new Repair(r.name(), r.fixes(), r.cost(), Set.of("drain"));
  }

  private static List<List<String>> names(RepairOrder order) {
    return order.bundles().stream()
        .map(b -> b.repairs().stream().map(Repair::name).toList())
        .toList();
  }

  /** Worked by hand. */
  @Test
  void withoutSharedLabourItIsTheOrderOfProbabilityOverCost() {
    Costs costs = new Costs(Map.of(), 15, 0);
    RepairOrder best = RepairOrder.of(List.of(RADIATOR, HOSE, CLAMP), ONE_OF_THREE, costs);
    assertThat(names(best)).containsExactly(List.of("clamp"), List.of("hose"), List.of("radiator"));
    Close.to("cost", best.cost(), 117.5, 1e-9);
    RepairOrder together =
        RepairOrder.as(List.of(List.of(CLAMP, HOSE), List.of(RADIATOR)), ONE_OF_THREE, costs);
    Close.to("two at once", together.cost(), 130, 1e-9);
  }

  /** Worked by hand. */
  @Test
  void sharedDrainingPutsTwoTogether() {
    Costs costs = new Costs(Map.of("drain", 30.0), 15, 0);
    List<Repair> all = List.of(drained(CLAMP), drained(HOSE), drained(RADIATOR));
    RepairOrder best = RepairOrder.of(all, ONE_OF_THREE, costs);
    assertThat(names(best)).containsExactly(List.of("clamp", "hose"), List.of("radiator"));
    Close.to("cost", best.cost(), 166, 1e-9);
    RepairOrder single = RepairOrder.as(all.stream().map(List::of).toList(), ONE_OF_THREE, costs);
    Close.to("one by one", single.cost(), 168.5, 1e-9);
  }

  @Test
  void twoFaultsAtOnceNeedBothRepairs() {
    Map<Set<String>, Double> both = Map.of(Set.of("clamp", "hose"), 1.0);
    RepairOrder best = RepairOrder.of(List.of(CLAMP, HOSE), both, new Costs(Map.of(), 15, 1000));
    assertThat(names(best)).containsExactly(List.of("clamp", "hose"));
    Close.to("fixed", best.bundles().get(0).fixed(), 1, 0);
  }

  @Test
  void whatNoRepairMendsComesBack() {
    Map<Set<String>, Double> faults = Map.of(Set.of("clamp"), 0.6, Set.of("head"), 0.4);
    RepairOrder best = RepairOrder.of(List.of(CLAMP), faults, new Costs(Map.of(), 15, 100));
    Close.to("cost", best.cost(), 27 + 40, 1e-9);
    Close.to("fixed", best.bundles().get(0).fixed(), 0.6, 1e-9);
  }

  @Test
  void whatMendsNothingMoreIsLeftOut() {
    Repair withClamp = new Repair("hose", Set.of("clamp", "hose"), 40, Set.of());
    Map<Set<String>, Double> hose = Map.of(Set.of("hose"), 1.0);
    RepairOrder best =
        RepairOrder.of(List.of(CLAMP, withClamp), hose, new Costs(Map.of(), 15, 100));
    assertThat(names(best)).containsExactly(List.of("hose"));
  }

  @Test
  void refusesMoreThanItCanWeigh() {
    List<Repair> nine = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      nine.add(new Repair("r" + i, Set.of("f" + i), 1, Set.of()));
    }
    assertThatThrownBy(() -> RepairOrder.of(nine, Map.of(), new Costs(Map.of(), 0, 0)))
        .hasMessageContaining("more than 8");
  }

  /** Every ordered way to split five repairs, and every one of eight once. */
  @Test
  void equalsTheBestOfAllPlans() {
    Seeds.of(40).forEach(random -> equalsBruteForce(random, 1 + random.nextInt(5)));
    equalsBruteForce(new Random(8), 8);
  }

  private static void equalsBruteForce(Random random, int count) {
    List<Repair> repairs = new ArrayList<>();
    Map<Set<String>, Double> faults = new HashMap<>();
    double sum = 0;
    for (int i = 0; i < count; i++) {
      Set<String> shared = random.nextBoolean() ? Set.of("drain") : Set.of("cover");
      repairs.add(new Repair("r" + i, Set.of("f" + i), random.nextInt(300), shared));
      double one = random.nextDouble();
      double two = 0.2 * random.nextDouble();
      faults.put(Set.of("f" + i), one);
      sum += one;
      if (i > 0) {
        faults.put(Set.of("f" + i, "f" + random.nextInt(i)), two);
        sum += two;
      }
    }
    double total = sum;
    faults.replaceAll((set, p) -> p / total);
    Costs costs =
        new Costs(
            Map.of("drain", (double) random.nextInt(80), "cover", (double) random.nextInt(80)),
            random.nextInt(40),
            random.nextInt(500));
    double best = new Brute(repairs, faults, costs).best(0);
    Close.to("cost of " + count, RepairOrder.of(repairs, faults, costs).cost(), best, 1e-6);
  }

  /** Every plan, one after the other. */
  private record Brute(List<Repair> repairs, Map<Set<String>, Double> faults, Costs costs) {
    double best(int done) {
      int all = (1 << repairs.size()) - 1;
      if (done == all) {
        return unsolved(done) * costs.comeBack();
      }
      double least = Double.POSITIVE_INFINITY;
      for (int bundle = 1; bundle <= all; bundle++) {
        if ((bundle & done) == 0) {
          double paid = costs.retest();
          List<String> shared = new ArrayList<>();
          for (int i = 0; i < repairs.size(); i++) {
            if ((bundle >> i & 1) == 1) {
              paid += repairs.get(i).cost();
              repairs.get(i).shared().stream()
                  .filter(s -> !shared.contains(s))
                  .forEach(shared::add);
            }
          }
          for (String s : shared) {
            paid += costs.shared().get(s);
          }
          least = Math.min(least, unsolved(done) * paid + best(done | bundle));
        }
      }
      return least;
    }

    private double unsolved(int done) {
      double sum = 0;
      for (Map.Entry<Set<String>, Double> f : faults.entrySet()) {
        boolean mended = true;
        for (String fault : f.getKey()) {
          mended &= (done >> Integer.parseInt(fault.substring(1)) & 1) == 1;
        }
        sum += mended ? 0 : f.getValue();
      }
      return sum;
    }
  }
}
