package gotera.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The sparing way gives what weighing every world by itself, without sparing, gives. */
class NaiveTests {
  static Stream<Random> generators() {
    return Seeds.of(60);
  }

  /** One world: faults by place and mode, with its weight. */
  private record World(List<String> places, List<Mode> modes, double weight) {
    double likelihood(Evidence f) {
      return switch (places.size()) {
        case 0 -> f.none();
        case 1 -> f.one(places.get(0), modes.get(0));
        default -> f.both(f.one(places.get(0), modes.get(0)), f.one(places.get(1), modes.get(1)));
      };
    }
  }

  private static List<World> worlds(List<Hypothesis> places) {
    List<World> worlds = new ArrayList<>();
    worlds.add(new World(List.of(), List.of(), 1));
    for (int i = 0; i < places.size(); i++) {
      for (Map.Entry<Mode, Double> a : places.get(i).modes().entrySet()) {
        double one = odds(places.get(i)) * a.getValue();
        worlds.add(new World(List.of(places.get(i).place()), List.of(a.getKey()), one));
        for (int j = i + 1; j < places.size(); j++) {
          for (Map.Entry<Mode, Double> b : places.get(j).modes().entrySet()) {
            worlds.add(
                new World(
                    List.of(places.get(i).place(), places.get(j).place()),
                    List.of(a.getKey(), b.getKey()),
                    one * odds(places.get(j)) * b.getValue()));
          }
        }
      }
    }
    return worlds;
  }

  private static double odds(Hypothesis h) {
    return h.prior() / (1 - h.prior());
  }

  /** Probability of each set of places after findings. */
  private static Map<Set<String>, Double> sets(List<World> worlds, List<Evidence> findings) {
    Map<Set<String>, Double> sets = new HashMap<>();
    double sum = 0;
    for (World w : worlds) {
      double p = w.weight();
      for (Evidence f : findings) {
        p *= w.likelihood(f);
      }
      sets.merge(new TreeSet<>(w.places()), p, Double::sum);
      sum += p;
    }
    double all = sum;
    sets.replaceAll((s, p) -> p / all);
    return sets;
  }

  private static double marginal(Map<Set<String>, Double> sets, String place) {
    return sets.entrySet().stream()
        .filter(e -> e.getKey().contains(place))
        .mapToDouble(Map.Entry::getValue)
        .sum();
  }

  private static double entropy(Map<Set<String>, Double> sets) {
    return -sets.values().stream()
        .filter(p -> p > 0)
        .mapToDouble(p -> p * Math.log(p) / Math.log(2))
        .sum();
  }

  @ParameterizedTest
  @MethodSource("generators")
  void probabilitiesReasonsAndGainsAreTheSame(Random random) {
    List<Hypothesis> places = places(random);
    List<Evidence> findings = new ArrayList<>();
    for (int i = random.nextInt(6); i >= 0; i--) {
      findings.add(finding(random, "f" + i));
    }
    List<World> worlds = worlds(places);
    Map<Set<String>, Double> expected = sets(worlds, findings);
    Weighing weighing = Weighing.of(places, findings);
    Posterior posterior = weighing.all();
    for (Hypothesis h : places) {
      String p = h.place();
      Close.to(p, posterior.marginal(p), marginal(expected, p), 1e-9);
      for (int i = 0; i < findings.size(); i++) {
        List<Evidence> others = new ArrayList<>(findings);
        others.remove(i);
        double without = marginal(sets(worlds, others), p);
        Close.to(
            p + " without " + i, weighing.without().get(i)[posterior.number(p)], without, 1e-9);
      }
    }
    Close.to("entropy", posterior.entropy(), entropy(expected), 1e-9);
    Close.to("nothing", posterior.probability(), expected.getOrDefault(Set.of(), 0.0), 1e-9);
    List<Evidence> outcomes = outcomes(random);
    double after = 0;
    for (Evidence outcome : outcomes) {
      double chance =
          worlds.stream().mapToDouble(w -> weight(w, findings) * w.likelihood(outcome)).sum()
              / worlds.stream().mapToDouble(w -> weight(w, findings)).sum();
      Close.to("chance", posterior.chance(outcome), chance, 1e-9);
      List<Evidence> more = new ArrayList<>(findings);
      more.add(outcome);
      Map<Set<String>, Double> then = sets(worlds, more);
      after += chance * entropy(then);
      Close.to("then", posterior.marginal("p0", outcome), marginal(then, "p0"), 1e-9);
    }
    Close.to("gain", posterior.gain(outcomes), Math.max(0, entropy(expected) - after), 1e-8);
  }

  private static double weight(World w, List<Evidence> findings) {
    double p = w.weight();
    for (Evidence f : findings) {
      p *= w.likelihood(f);
    }
    return p;
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatIsGivenIsAsIfItWereSureToLeak(Random random) {
    List<Hypothesis> places = places(random);
    List<Hypothesis> others = places.subList(1, places.size());
    Evidence drip =
        new Evidence.InRegion(Named.of("drip"), true, Map.of("p0", 0.6, "p1", 0.4), Map.of(), 0.05);
    // certain within rounding, so that the pairs with it are all that is left
    List<Hypothesis> sure = new ArrayList<>(others);
    sure.add(new Hypothesis("p0", 1 - 1e-9));
    double expected = Posterior.of(sure, List.of(drip)).marginal("p1");
    double one = 0;
    double all = 1;
    for (Hypothesis h : others) {
      double likelihood = drip.given("p0").one(h.place(), Mode.ALWAYS) / drip.given("p0").none();
      all += odds(h) * likelihood;
      one = h.place().equals("p1") ? odds(h) * likelihood : one;
    }
    Close.to("one besides it", one / all, expected, 1e-6);
    assertThat(drip.given("nowhere").none()).isEqualTo(drip.none());
  }

  private static List<Hypothesis> places(Random random) {
    List<Hypothesis> places = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Map<Mode, Double> modes = new EnumMap<>(Mode.class);
      double share = i == 0 ? 1 : Seeds.between(random, 0.2, 0.8);
      modes.put(Mode.ALWAYS, share);
      if (share < 1) {
        modes.put(random.nextBoolean() ? Mode.ROTATION : Mode.COLD, 1 - share);
      }
      places.add(new Hypothesis("p" + i, Seeds.between(random, 0.01, 0.3), modes));
    }
    return places;
  }

  private static List<Evidence> outcomes(Random random) {
    String place = "p" + random.nextInt(6);
    double sees = Seeds.between(random, 0.2, 0.9);
    return List.of(
        new Evidence.AtPlace(Named.of("wet " + place), place, true, sees, 0.03),
        new Evidence.AtPlace(Named.of("dry " + place), place, false, sees, 0.03));
  }

  private static Map<String, Double> two(String one, double p, String other, double q) {
    Map<String, Double> two = new HashMap<>(Map.of(other, q));
    two.put(one, p);
    return two;
  }

  private static Evidence finding(Random random, String name) {
    String place = "p" + random.nextInt(6);
    Label label = Named.of(name);
    Map<Mode, Double> acts = Map.of(Mode.ALWAYS, 1.0, Mode.ROTATION, 0.2, Mode.COLD, 0.4);
    return switch (random.nextInt(6)) {
      case 0 ->
          new Evidence.AtPlace(
              label,
              place,
              random.nextBoolean(),
              Map.of(Mode.ALWAYS, 0.8, Mode.ROTATION, 0.3, Mode.COLD, 0.5),
              Map.of("p1", 0.5, "p3", 0.2),
              acts,
              0.05);
      case 1 ->
          new Evidence.InRegion(
              label, random.nextBoolean(), two(place, 0.6, "p2", 0.3), acts, 0.04);
      case 2 ->
          new MeasuredRate(
              label, Seeds.between(random, -0.1, 2), 0.1, Set.copyOf(List.of(place, "p4")));
      case 3 -> new MoreIsLost(label, Seeds.between(random, 1.7, 3), (p, m) -> m == Mode.ROTATION);
      case 4 ->
          new Evidence.Shown(
              label,
              random.nextBoolean() ? Set.of() : Set.of(place),
              Map.of("p0", acts, "p1", Map.of(Mode.ALWAYS, 0.7), "p5", acts),
              0.02);
      default -> new Evidence.OfTheWhole(label, random.nextBoolean(), 0.9, 0.1);
    };
  }
}
