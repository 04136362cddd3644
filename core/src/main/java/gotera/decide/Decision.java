package gotera.decide;

import gotera.decide.RepairKind.Shared;
import gotera.decide.RepairOrder.Costs;
import gotera.evidence.Posterior;
import gotera.look.Condition;
import gotera.suspects.Assessment;
import gotera.suspects.Assessment.Suspect;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Flag;
import gotera.suspects.Observation;
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
import java.util.stream.Stream;

/**
 * What could be repaired on a job, and the ways to go about it by what each costs to expect.
 *
 * <p>Where places are found, the ways are theirs alone, and they leak for certain. Where none is,
 * they are tries at the likeliest, for a lead to choose.
 *
 * <p>A fault at the end of a hose is its clamp's or the hose's: {@value #CLAMPS} of them are the
 * clamp's, more where the clamp was found bad, fewer where the hose was (our judgement, untested).
 * Sets of places that are tried come from the posterior.
 *
 * @param repairs what could be repaired, the likeliest first
 * @param faults probability of every set of faults
 * @param ways the ways, the cheapest to expect first
 * @param found the places that are found; empty where the ways are tries
 * @param neighbours what is worth renewing while the first step of the first way has it open
 * @param besides what is no leak and is to be done all the same: what it ran hot for
 */
public record Decision(
    List<Option> repairs,
    Map<Set<String>, Double> faults,
    List<RepairOrder> ways,
    List<String> found,
    List<Option> neighbours,
    List<Option> besides) {
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
    List<String> found = assessment.found().stream().filter(Decision::isMended).toList();
    List<String> places =
        found.isEmpty() ? tried(assessment) : found.stream().limit(MOST_PLACES).toList();
    Map<Set<String>, Double> faults =
        found.isEmpty() ? faults(assessment, places) : certain(assessment, places);
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
    return new Decision(
        options,
        faults,
        List.copyOf(ways),
        found,
        neighbours(assessment, ways, options, shop),
        besides(assessment, shop));
  }

  private static boolean isMended(String place) {
    return !RepairKind.mending(place).isEmpty();
  }

  /** All the places that were found, each end of a hose by its clamp or by the hose. */
  private static Map<Set<String>, Double> certain(Assessment assessment, List<String> places) {
    Map<Set<String>, Double> sets = new HashMap<>();
    add(sets, new TreeSet<>(places), 1, assessment, places);
    return sets;
  }

  private static List<Option> neighbours(
      Assessment assessment, List<RepairOrder> ways, List<Option> options, Shop shop) {
    Map<Done, Boolean> near = new LinkedHashMap<>();
    List<Repair> first = ways.isEmpty() ? List.of() : ways.get(0).bundles().get(0).repairs();
    for (Option o : options) {
      if (first.contains(o.repair())) {
        Neighbours.of(o.kind(), o.at(), assessment.job().circuit())
            .forEach(n -> near.putIfAbsent(new Done(n.kind(), n.at()), n.labour()));
      }
    }
    options.stream()
        .filter(o -> first.contains(o.repair()))
        .forEach(o -> near.remove(new Done(o.kind(), o.at())));
    return near.entrySet().stream().map(e -> beside(e.getKey(), e.getValue(), shop)).toList();
  }

  /** A thermostat that does not open, a needle that rose: what overheated is cured too. */
  private static List<Option> besides(Assessment assessment, Shop shop) {
    boolean thermostat =
        assessment.flags().stream()
            .map(Flag::kind)
            .anyMatch(k -> k == Flag.Kind.THERMOSTAT_SHUT || k == Flag.Kind.THERMOSTAT_STUCK_OPEN);
    boolean hot =
        assessment.job().observed().stream()
            .anyMatch(o -> o instanceof Observation.Sign s && s.sign().equals(TOO_HOT));
    List<RepairKind> kinds = new ArrayList<>();
    if (thermostat || hot) {
      kinds.add(RepairKind.THERMOSTAT);
    }
    if (hot) {
      kinds.add(RepairKind.CAP);
      kinds.add(RepairKind.FLUSH);
    }
    return kinds.stream()
        .map(k -> beside(new Done(k, HOT.getOrDefault(k, k.word())), true, shop))
        .toList();
  }

  /** What is done beside a repair, with labour of its own or without. */
  private static Option beside(Done done, boolean labour, Shop shop) {
    double cost = shop.parts(done.kind()) + (labour ? shop.hours(done.kind()) * shop.hour() : 0);
    return new Option(new Repair(done.name(), Set.of(), cost, Set.of()), done.kind(), done.at(), 0);
  }

  /** The sign that it ran too hot. */
  private static final String TOO_HOT = "needle-rises";

  /** Where what cures overheating is done. */
  private static final Map<RepairKind, String> HOT =
      Map.of(
          RepairKind.THERMOSTAT, "thermostat-housing",
          RepairKind.CAP, "cap",
          RepairKind.FLUSH, "radiator");

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

  /** The places worth a try: the likeliest. */
  private static List<String> tried(Assessment assessment) {
    Set<String> places = new LinkedHashSet<>();
    for (Suspect s : assessment.suspects()) {
      boolean worth = s.probability() >= WORTH_IT || places.size() < AT_LEAST;
      if (worth && isMended(s.place())) {
        places.add(s.place());
      }
    }
    return places.stream().limit(MOST_PLACES).toList();
  }

  /** Probabilities of the sets of faults, given that something leaks. */
  private static Map<Set<String>, Double> faults(Assessment assessment, List<String> places) {
    Posterior known = assessment.posterior();
    List<String> open = known.suspects().stream().map(Posterior.Suspect::place).toList();
    Map<Set<String>, Double> sets = new HashMap<>();
    for (int i = 0; i < open.size(); i++) {
      String one = open.get(i);
      add(sets, Set.of(one), known.probability(one), assessment, places);
      for (int j = i + 1; j < open.size(); j++) {
        double both = known.probability(one, open.get(j));
        add(sets, new TreeSet<>(List.of(one, open.get(j))), both, assessment, places);
      }
    }
    double sum = sets.values().stream().mapToDouble(Double::doubleValue).sum();
    sets.replaceAll((set, p) -> sum > 0 ? p / sum : p);
    return sets;
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

  /** What is offered beside the ways. */
  public List<Option> offered() {
    return Stream.concat(neighbours.stream(), besides.stream()).toList();
  }

  /** The option of a repair. */
  public Option option(Repair repair) {
    return repairs.stream().filter(o -> o.repair().equals(repair)).findFirst().orElseThrow();
  }
}
