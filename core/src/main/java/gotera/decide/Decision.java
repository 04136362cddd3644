package gotera.decide;

import gotera.decide.RepairKind.Shared;
import gotera.decide.RepairOrder.Costs;
import gotera.evidence.Posterior;
import gotera.look.Condition;
import gotera.suspects.Assessment;
import gotera.suspects.Assessment.Suspect;
import gotera.suspects.Checked.Felt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What could be repaired on a job, and the ways to go about it by what each costs to expect.
 *
 * <p>A fault at the end of a hose is its clamp's or the hose's: {@value #CLAMPS} of them are the
 * clamp's, more where the clamp was found bad, fewer where the hose was (our judgement, untested).
 * Sets of places come from the posterior; places whose flow was measured leak for certain.
 *
 * @param repairs what could be repaired, the likeliest first
 * @param faults probability of every set of faults
 * @param ways the ways, the cheapest to expect first
 */
public record Decision(
    List<Option> repairs, Map<Set<String>, Double> faults, List<RepairOrder> ways) {
  private static final double CLAMPS = 0.5;
  private static final double CLAMP_FOUND_BAD = 0.9;
  private static final double HOSE_FOUND_BAD = 0.1;

  /**
   * Below this probability a place is looked at rather than repaired (1) (our judgement, untested);
   * where none is above it, the likeliest few are weighed.
   */
  private static final double WORTH_IT = 0.1;

  private static final int AT_LEAST = 3;

  /** A step that is reached seldomer is not worth a word (1) (our judgement, untested). */
  public static final double SELDOM = 0.05;

  /** A step that is reached in half of the cases mostly is (1). */
  public static final double MOSTLY = 0.5;

  /**
   * How much rarer two faults at once are than the places' own probabilities have it, which are
   * those of a place in a vehicle that loses coolant: once one is found, the loss has its reason
   * (1) (our judgement, untested). What speaks for a second place outweighs it.
   */
  private static final double TWO_AT_ONCE = 0.2;

  /** Places that are weighed. */
  private static final int MOST_PLACES = 7;

  private static final String BY_CLAMP = " clamp";
  private static final String OTHER = "other";

  private static final Set<Condition> CLAMP_BAD =
      Set.of(
          Condition.CLAMP_RUSTED,
          Condition.CLAMP_LOOSE,
          Condition.CLAMP_BROKEN_DULL,
          Condition.CLAMP_BROKEN_BRIGHT);
  private static final Set<Condition> HOSE_BAD =
      Set.of(Condition.SOFT, Condition.BULGED, Condition.SPLIT_WHEN_PUSHED);

  /**
   * A repair that may be done.
   *
   * @param repair with what it costs
   * @param kind its kind
   * @param at the part or place it is done to
   * @param probability that it alone would end the leak (1)
   */
  public record Option(Repair repair, RepairKind kind, String at, double probability) {}

  /** What to decide about, as far as a job is known. */
  public static Decision of(Assessment assessment, Shop shop) {
    List<String> places = places(assessment);
    Map<Set<String>, Double> faults = faults(assessment, places);
    List<Option> options = options(places, faults, shop);
    Costs costs = costs(shop);
    List<RepairOrder> ways = new ArrayList<>();
    if (!options.isEmpty()) {
      List<Repair> all = options.stream().map(Option::repair).toList();
      RepairOrder best = RepairOrder.of(all, faults, costs);
      ways.add(best);
      other(ways, RepairOrder.as(singly(best), faults, costs));
      other(ways, RepairOrder.as(firstTogether(best), faults, costs));
      other(ways, RepairOrder.as(likeliestFirst(all), faults, costs));
      ways.sort(Comparator.comparingDouble(RepairOrder::cost));
    }
    return new Decision(options, faults, List.copyOf(ways));
  }

  private static void other(List<RepairOrder> ways, RepairOrder way) {
    boolean known = ways.stream().anyMatch(w -> repairs(w).equals(repairs(way)));
    if (!known) {
      ways.add(way);
    }
  }

  private static List<List<Repair>> repairs(RepairOrder way) {
    return way.bundles().stream().map(RepairOrder.Bundle::repairs).toList();
  }

  /** Each repair by itself, in the order of the best. */
  private static List<List<Repair>> singly(RepairOrder best) {
    return best.bundles().stream().flatMap(b -> b.repairs().stream()).map(List::of).toList();
  }

  /** The first two steps at once. */
  private static List<List<Repair>> firstTogether(RepairOrder best) {
    List<List<Repair>> steps = new ArrayList<>(repairs(best));
    if (steps.size() > 1) {
      List<Repair> first = new ArrayList<>(steps.remove(0));
      first.addAll(steps.remove(0));
      steps.add(0, first);
    }
    return steps;
  }

  private static List<List<Repair>> likeliestFirst(List<Repair> all) {
    return all.stream().map(List::of).toList();
  }

  private static Costs costs(Shop shop) {
    Map<String, Double> shared = new HashMap<>();
    for (Shared s : Shared.values()) {
      shared.put(s.word(), s.hours() * shop.hour());
    }
    return new Costs(shared, shop.retestHours() * shop.hour(), shop.comeBack());
  }

  /** The places worth a repair: those measured, and the likeliest besides. */
  private static List<String> places(Assessment assessment) {
    Set<String> places = new LinkedHashSet<>(new TreeSet<>(assessment.job().measured()));
    for (Suspect s : assessment.suspects()) {
      boolean worth = s.probability() >= WORTH_IT || places.size() < AT_LEAST;
      if (worth && !RepairKind.mending(s.place()).isEmpty()) {
        places.add(s.place());
      }
    }
    return places.stream().limit(MOST_PLACES).toList();
  }

  /** Probabilities of the sets of faults, given that something leaks. */
  private static Map<Set<String>, Double> faults(Assessment assessment, List<String> places) {
    Set<String> measured = assessment.job().measured();
    Posterior known = assessment.posterior();
    List<String> open = known.suspects().stream().map(Posterior.Suspect::place).toList();
    Map<Set<String>, Double> sets = new HashMap<>();
    double nothing = known.probability();
    if (!measured.isEmpty()) {
      add(sets, measured, nothing, assessment, places);
    }
    for (int i = 0; i < open.size(); i++) {
      String one = open.get(i);
      double more = measured.isEmpty() ? 1 : TWO_AT_ONCE;
      add(sets, with(measured, one), more * known.probability(one), assessment, places);
      for (int j = i + 1; j < open.size(); j++) {
        String other = open.get(j);
        double both = TWO_AT_ONCE * more * known.probability(one, other);
        add(sets, with(measured, one, other), both, assessment, places);
      }
    }
    double sum = sets.values().stream().mapToDouble(Double::doubleValue).sum();
    sets.replaceAll((set, p) -> sum > 0 ? p / sum : p);
    return sets;
  }

  private static Set<String> with(Set<String> measured, String... more) {
    Set<String> all = new TreeSet<>(measured);
    all.addAll(List.of(more));
    return all;
  }

  /** Adds a set of places, each end of a hose by its clamp or by the hose. */
  private static void add(
      Map<Set<String>, Double> sets,
      Set<String> leaking,
      double probability,
      Assessment assessment,
      List<String> places) {
    if (probability <= 0) {
      return;
    }
    Map<Set<String>, Double> split = new HashMap<>();
    split.put(Set.of(), probability);
    for (String place : leaking) {
      Map<Set<String>, Double> next = new HashMap<>();
      boolean weighed = places.contains(place);
      double clamp = weighed && RepairKind.CLAMP.mends(place) ? clamps(assessment, place) : 0;
      split.forEach(
          (set, p) -> {
            merge(next, set, weighed ? place : OTHER, p * (1 - clamp));
            merge(next, set, place + BY_CLAMP, p * clamp);
          });
      split = next;
    }
    split.forEach((set, p) -> sets.merge(set, p, Double::sum));
  }

  private static void merge(
      Map<Set<String>, Double> next, Set<String> set, String fault, double p) {
    if (p > 0) {
      Set<String> more = new TreeSet<>(set);
      more.add(fault);
      next.merge(Set.copyOf(more), p, Double::sum);
    }
  }

  /** Which share of a hose end's faults is the clamp's. */
  private static double clamps(Assessment assessment, String place) {
    double share = CLAMPS;
    for (Felt felt : assessment.job().counting(Felt.class)) {
      if (felt.place().equals(place)) {
        share =
            CLAMP_BAD.contains(felt.saw())
                ? CLAMP_FOUND_BAD
                : HOSE_BAD.contains(felt.saw()) ? HOSE_FOUND_BAD : share;
      }
    }
    return share;
  }

  /** A repair by its kind and what it is done to. */
  private record Done(RepairKind kind, String at) {
    String name() {
      return kind.word() + " " + at;
    }
  }

  private static List<Option> options(
      List<String> places, Map<Set<String>, Double> faults, Shop shop) {
    Map<Done, Set<String>> fixes = new LinkedHashMap<>();
    for (String place : places) {
      for (RepairKind kind : RepairKind.mending(place)) {
        Set<String> mended =
            fixes.computeIfAbsent(new Done(kind, kind.of(place)), n -> new TreeSet<>());
        mended.add(place + BY_CLAMP);
        if (kind != RepairKind.CLAMP) {
          mended.add(place);
        }
      }
    }
    return fixes.entrySet().stream()
        .map(e -> option(e.getKey(), e.getValue(), faults, shop))
        .sorted(Comparator.comparingDouble(Option::probability).reversed())
        .limit(RepairOrder.MOST)
        .toList();
  }

  private static Option option(
      Done done, Set<String> mended, Map<Set<String>, Double> faults, Shop shop) {
    RepairKind kind = done.kind();
    double cost = shop.parts(kind) + shop.hours(kind) * shop.hour();
    Set<String> shared = kind.shared().stream().map(Shared::word).collect(Collectors.toSet());
    double alone =
        faults.entrySet().stream()
            .filter(f -> mended.containsAll(f.getKey()))
            .mapToDouble(Map.Entry::getValue)
            .sum();
    return new Option(new Repair(done.name(), mended, cost, shared), kind, done.at(), alone);
  }

  /** The option of a repair. */
  public Option option(Repair repair) {
    return repairs.stream().filter(o -> o.repair().equals(repair)).findFirst().orElseThrow();
  }
}
