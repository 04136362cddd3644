package gotera.retest;

import gotera.look.DryLook;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * What all that was repeated after a repair proves together. A repair is proven when every
 * circumstance in which the leak showed is covered: by a hold with its bound within what is
 * accepted, at the pressure at which it dripped; by a dry run of three times the time it took to
 * show; by a drive; by marks of the level, which cover every circumstance that they contain. The
 * statement carries the weakest bound and names it.
 *
 * @param lines one for each circumstance in which the leak showed
 * @param failed circumstances under which it leaked again since
 */
public record CombinedProof(List<Shows> lines, List<Circumstance> failed) {
  /** Share of repairs that miss the leak (1) (our judgement, untested). */
  static final double MISSED = 0.1;

  /** A hold that ends so near the pressure at which it dripped repeats it (1) (our judgement). */
  static final double NEAR = 0.95;

  /** Share of leaks at its bound that a repeat misses (1): bounds are of 95 %. */
  static final double OVERLOOKED = 0.05;

  /** Share that a drive and a look after it overlook (1) (our judgement, untested). */
  static final double OVERLOOKED_ON_THE_ROAD = 0.3;

  /** Keeps its own copies. */
  public CombinedProof {
    lines = List.copyOf(lines);
    failed = List.copyOf(failed);
  }

  /**
   * A circumstance and what covers it.
   *
   * @param shown the circumstance, with what a repeat must reach
   * @param by what covers it; empty while nothing does
   * @param nearest what repeats it and is not enough, the best of it; empty where something covers
   *     it or nothing repeats it
   * @param minutes how long it must be repeated, where it is running (min)
   */
  public record Shows(
      Shown shown, Optional<Repeat> by, Optional<Repeat> nearest, OptionalDouble minutes) {}

  /**
   * What is proven.
   *
   * @param shown circumstances in which the leak showed, in any order, more than once or not at all
   * @param repeats what was repeated since, and was tight or dry
   * @param failed what was repeated since, and leaked
   * @param accepted the rate that is accepted (mL/min), above 0
   */
  public static CombinedProof of(
      List<Shown> shown, List<Repeat> repeats, List<Circumstance> failed, double accepted) {
    if (!(accepted > 0)) {
      throw new IllegalArgumentException("an accepted rate of " + accepted);
    }
    Map<Circumstance, Shown> each = new EnumMap<>(Circumstance.class);
    shown.forEach(s -> each.merge(s.when(), s, Shown::and));
    List<Shows> lines = new ArrayList<>();
    for (Shown s : each.values()) {
      double minutes = minutes(s, accepted);
      Optional<Repeat> by = best(repeats, r -> covers(r, s, minutes, accepted));
      lines.add(
          new Shows(
              s,
              by,
              by.isPresent()
                  ? Optional.empty()
                  : best(repeats, r -> r.contains().contains(s.when())),
              s.when() == Circumstance.RUNNING
                  ? OptionalDouble.of(minutes)
                  : OptionalDouble.empty()));
    }
    return new CombinedProof(lines, failed.stream().distinct().toList());
  }

  private static Optional<Repeat> best(List<Repeat> repeats, Predicate<Repeat> which) {
    return repeats.stream()
        .filter(which)
        .min(Comparator.comparingDouble(r -> r.bound().orElse(Double.MAX_VALUE)));
  }

  /** Three times the time it took to show, and never less than the accepted rate asks for. */
  private static double minutes(Shown shown, double accepted) {
    double bounded = DryLook.minutesFor(accepted);
    return shown.after().isPresent()
        ? Math.max(bounded, DryLook.minutesAfter(shown.after().getAsDouble()))
        : Math.max(bounded, DryLook.USUAL);
  }

  private static boolean covers(Repeat repeat, Shown shown, double minutes, double accepted) {
    if (!repeat.contains().contains(shown.when())) {
      return false;
    }
    if (repeat instanceof Repeat.Hold h) {
      return h.rate() <= accepted && h.upTo() >= NEAR * shown.gauge().orElse(0);
    }
    if (repeat instanceof Repeat.Marks m) {
      boolean parked = shown.when() == Circumstance.PARKED;
      return (parked ? m.standing() : m.hotOrStanding()) <= accepted;
    }
    return !(repeat instanceof Repeat.DryRun r) || r.minutes() >= minutes;
  }

  /** Whether it is proven: something showed, all of it is covered, nothing leaked since. */
  public boolean proven() {
    return failed.isEmpty() && !lines.isEmpty() && lines.stream().allMatch(l -> l.by().isPresent());
  }

  /** The line with the weakest bound, of those that bound a rate. */
  public Optional<Shows> weakest() {
    return lines.stream()
        .filter(l -> l.by().flatMap(CombinedProof::rate).isPresent())
        .max(Comparator.comparingDouble(l -> l.by().flatMap(CombinedProof::rate).orElse(0.0)));
  }

  private static Optional<Double> rate(Repeat repeat) {
    return repeat.bound().stream().boxed().findFirst();
  }

  /** Circumstances that are not covered. */
  public List<Shows> open() {
    return lines.stream().filter(l -> l.by().isEmpty()).toList();
  }

  /**
   * Probability that it leaks still: the repair missed it and every repeat overlooked it (1). A
   * circumstance that is open may hide all of it; one repeat that covers several counts once.
   */
  public double leaksStill() {
    if (!failed.isEmpty()) {
      return 1;
    }
    if (!proven()) {
      return MISSED;
    }
    return lines.stream()
        .flatMap(l -> l.by().stream())
        .distinct()
        .mapToDouble(r -> r instanceof Repeat.Drive ? OVERLOOKED_ON_THE_ROAD : OVERLOOKED)
        .reduce(MISSED, (p, q) -> p * q);
  }
}
