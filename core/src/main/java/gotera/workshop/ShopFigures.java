package gotera.workshop;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What a workshop's visits come to.
 *
 * @param open visits that are open
 * @param closed visits that are closed
 * @param repaired closed visits in which something was repaired
 * @param proven of those, the ones that ended proven
 * @param comeBacks visits of a vehicle that had been repaired not long before
 * @param repeats repairs of a joint that had been repaired on the same vehicle in an earlier visit
 * @param daysToProof median time from the beginning to the proof (d)
 * @param byPlace repaired joints, by joint, the most frequent first
 * @param byType visits with a repair, by engine type, the most frequent first
 */
public record ShopFigures(
    int open,
    int closed,
    int repaired,
    int proven,
    int comeBacks,
    int repeats,
    OptionalDouble daysToProof,
    List<Count> byPlace,
    List<Count> byType) {
  /** A vehicle that is there again within this time came back (our judgement, untested). */
  public static final Duration COME_BACK = Duration.ofDays(90);

  /** How often something was. */
  public record Count(String what, int times) {}

  /** Reckons them. */
  public static ShopFigures of(List<Visit> visits) {
    List<Visit> inOrder = visits.stream().sorted(Comparator.comparing(Visit::begun)).toList();
    List<Visit> repaired =
        inOrder.stream().filter(v -> v.closed().isPresent() && !v.repaired().isEmpty()).toList();
    return new ShopFigures(
        (int) inOrder.stream().filter(v -> v.closed().isEmpty()).count(),
        (int) inOrder.stream().filter(v -> v.closed().isPresent()).count(),
        repaired.size(),
        (int) repaired.stream().filter(Visit::proven).count(),
        comeBacks(inOrder),
        repeats(inOrder),
        daysToProof(repaired),
        counted(inOrder.stream().flatMap(v -> new HashSet<>(v.repaired()).stream()).toList()),
        counted(repaired.stream().map(Visit::type).toList()));
  }

  private static int comeBacks(List<Visit> inOrder) {
    Map<String, List<Instant>> repaired = new TreeMap<>();
    inOrder.stream()
        .filter(v -> !v.repaired().isEmpty())
        .forEach(
            v ->
                v.closed()
                    .ifPresent(
                        at ->
                            repaired.computeIfAbsent(v.vehicle(), k -> new ArrayList<>()).add(at)));
    return (int)
        inOrder.stream()
            .filter(
                v ->
                    repaired.getOrDefault(v.vehicle(), List.of()).stream()
                        .anyMatch(
                            at -> !at.isAfter(v.begun()) && v.begun().isBefore(at.plus(COME_BACK))))
            .count();
  }

  private static int repeats(List<Visit> inOrder) {
    Map<String, Set<String>> done = new TreeMap<>();
    int repeats = 0;
    for (Visit v : inOrder) {
      Set<String> before = done.computeIfAbsent(v.vehicle(), k -> new HashSet<>());
      Set<String> now = new HashSet<>(v.repaired());
      repeats += (int) now.stream().filter(before::contains).count();
      before.addAll(now);
    }
    return repeats;
  }

  private static OptionalDouble daysToProof(List<Visit> repaired) {
    List<Double> days = new ArrayList<>();
    for (Visit v : repaired) {
      if (v.proven()) {
        Instant closed = v.closed().orElseThrow();
        days.add(Duration.between(v.begun(), closed).toMinutes() / 1440.0);
      }
    }
    if (days.isEmpty()) {
      return OptionalDouble.empty();
    }
    List<Double> sorted = days.stream().sorted().toList();
    int middle = sorted.size() / 2;
    return OptionalDouble.of(
        sorted.size() % 2 == 1
            ? sorted.get(middle)
            : (sorted.get(middle - 1) + sorted.get(middle)) / 2);
  }

  private static List<Count> counted(List<String> of) {
    return of.stream()
        .filter(s -> !s.isEmpty())
        .collect(Collectors.groupingBy(s -> s, TreeMap::new, Collectors.summingInt(s -> 1)))
        .entrySet()
        .stream()
        .map(e -> new Count(e.getKey(), e.getValue()))
        .sorted(Comparator.comparing(Count::times).reversed())
        .toList();
  }
}
