package gotera.suspects;

import gotera.balance.LeakBalance;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Clue.Showed;
import gotera.suspects.Clue.Sighting;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.uncertainty.DecisionLimits;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Two entries that cannot both be true. Both are named, one of the two is asked for again, and
 * until then neither drives a repair.
 *
 * @param kind how they contradict each other
 * @param one an entry
 * @param other the one that contradicts it
 */
public record Contradiction(Kind kind, Clue one, Clue other) {
  /** How two entries contradict each other. */
  public enum Kind implements Worded {
    /** More was counted at the places than the hold can lose. */
    MORE_CAUGHT,
    /** Drops were counted at a place that was dry later in the same state. */
    DRIPS_AND_DRY,
    /** A hold is called tight, or a leak, against its own rate. */
    VERDICT_AGAINST_RATE
  }

  /**
   * So many standard uncertainties below nothing is more than was lost: once in a hundred by chance
   * (our judgement, untested).
   */
  private static final double BEYOND = 2.33;

  /** All of a job, the places first. */
  static List<Contradiction> of(Case job) {
    List<Contradiction> all = new ArrayList<>(drips(job));
    caught(job).ifPresent(all::add);
    job.held(false).flatMap(Contradiction::verdict).ifPresent(all::add);
    return all;
  }

  /** The place that it is about, where it is about one. */
  Optional<String> place() {
    return one.place();
  }

  private record Spot(String place, LookState state) {}

  /** Of the two newest looks; repaired in between, both may be true. */
  private static List<Contradiction> drips(Case job) {
    Map<Spot, List<Looked>> spots = new LinkedHashMap<>();
    for (Observation o : job.observed()) {
      if (o instanceof Observation.Repaired) {
        spots.clear();
      } else if (o instanceof Looked look && (look.wet() || look.saw() == Sight.DRY)) {
        spots
            .computeIfAbsent(new Spot(look.place(), look.state()), s -> new ArrayList<>())
            .add(look);
      }
    }
    List<Contradiction> all = new ArrayList<>();
    spots.forEach(
        (spot, looks) -> {
          int n = looks.size();
          boolean dry = n > 1 && !looks.get(n - 1).wet();
          boolean ran = dry && looks.get(n - 2).saw() == Sight.RUNS;
          if (dry && (ran || looks.get(n - 2).flow().isPresent())) {
            all.add(
                new Contradiction(
                    Kind.DRIPS_AND_DRY,
                    new Clue.Seen(ran ? Sighting.RUNS : Sighting.COUNTED, spot.place()),
                    new Clue.Seen(Sighting.DRY, spot.place(), Optional.of(spot.state()))));
          }
        });
    return all;
  }

  /** Counted again and held again, it stays as it is. */
  private static Optional<Contradiction> caught(Case job) {
    Optional<Held> held = job.held(false).filter(h -> h.outcome() instanceof Outcome.Rate);
    Optional<Looked> most =
        job.wet().stream()
            .filter(l -> l.flow().isPresent())
            .filter(l -> held.filter(h -> !job.out(h).contains(l.place())).isPresent())
            .max(Comparator.comparingDouble(Contradiction::flow));
    if (held.isEmpty() || most.isEmpty() || settled(job, most.get().place())) {
      return Optional.empty();
    }
    LeakBalance left =
        job.balance((Outcome.Rate) held.get().outcome(), held.get(), Set.of(most.get().place()));
    return left.unexplained() < -BEYOND * left.unexplainedU()
        ? Optional.of(
            new Contradiction(
                Kind.MORE_CAUGHT,
                new Clue.Seen(Sighting.COUNTED, most.get().place()),
                hold(held.get())))
        : Optional.empty();
  }

  private static boolean settled(Case job, String place) {
    long counted =
        job.counting(Looked.class).stream()
            .filter(l -> l.place().equals(place) && l.flow().isPresent())
            .count();
    return counted > 1 && job.counting(Held.class).size() > 1;
  }

  private static double flow(Looked look) {
    return look.flow().map(f -> f.rate().millilitresPerMinute()).orElse(0.0);
  }

  private static Clue hold(Held held) {
    boolean falls = held.verdict() == VerdictKind.LEAK;
    return new Clue.Result(falls ? Showed.HOLD_FALLS : Showed.HOLD_STEADY);
  }

  private static Optional<Contradiction> verdict(Held held) {
    if (!(held.outcome() instanceof Outcome.Rate r)) {
      return Optional.empty();
    }
    double least = r.rate() - DecisionLimits.K * r.u();
    boolean tight = held.verdict() == VerdictKind.TIGHT && least > Purpose.REPAIR.usual();
    boolean leak = held.verdict() == VerdictKind.LEAK && least <= 0;
    Clue rate = new Clue.Result(tight ? Showed.HOLD_FALLS : Showed.HOLD_UNCLEAR);
    return tight || leak
        ? Optional.of(new Contradiction(Kind.VERDICT_AGAINST_RATE, hold(held), rate))
        : Optional.empty();
  }
}
