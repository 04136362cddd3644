package gotera.standing;

import gotera.retest.Repeat;
import gotera.retest.Shown;
import gotera.suspects.Observation;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Everything known of a job that its standing follows from, in any order.
 *
 * @param observed what was told, seen, done and measured; a repair stands among it
 * @param shown circumstances in which the leak showed, besides what was observed
 * @param repeated what was repeated, and was tight or dry
 * @param failed what was repeated, and leaked
 */
public record Visit(
    List<Happened<Observation>> observed,
    List<Shown> shown,
    List<Happened<Repeat>> repeated,
    List<LeaksAgain> failed) {
  /** Puts all of it in order of time. */
  public Visit {
    observed = observed.stream().sorted(Comparator.comparing(Happened::at)).toList();
    shown = List.copyOf(shown);
    repeated = repeated.stream().sorted(Comparator.comparing(Happened::at)).toList();
    failed = failed.stream().sorted(Comparator.comparing(LeaksAgain::at)).toList();
  }

  /** Apart stand things of which only the order is known. */
  public static final Duration STEP = Duration.ofSeconds(1);

  /** A visit of which only the order of what was observed is known. */
  public static Visit inOrder(List<Observation> observed) {
    List<Happened<Observation>> timed = new ArrayList<>();
    observed.forEach(
        o -> timed.add(new Happened<>(Instant.EPOCH.plus(STEP.multipliedBy(timed.size())), o)));
    return new Visit(timed, List.of(), List.of(), List.of());
  }

  /** When it was repaired last. */
  public Optional<Instant> repaired() {
    return observed.stream()
        .filter(h -> h.what() instanceof Observation.Repaired)
        .map(Happened::at)
        .max(Comparator.naturalOrder());
  }
}
