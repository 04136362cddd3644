package gotera.look;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How far the looks in one state are, and what may be claimed of them: "dry everywhere" only once
 * every place of the circuit as it is now was looked at in that state, and lately. Looks of other
 * states stand beside it; a warm look does not hide a cold one.
 *
 * @param state the state
 * @param places places of the circuit as it is
 * @param open places nobody has looked at in this state, or not lately
 * @param hidden places that cannot be seen as they are
 * @param wet wet places
 * @param stained stained places
 */
public record VisualCheck(LookState state, int places, int open, int hidden, int wet, int stained) {
  /** A look says something of today for so long (our judgement, untested). */
  public static final Duration LATELY = Duration.ofHours(24);

  /**
   * A look.
   *
   * @param place the place
   * @param state in which state
   * @param seen what was seen
   * @param at when
   */
  public record Look(String place, LookState state, Sight seen, Instant at) {}

  /**
   * Counts.
   *
   * @param places places of the circuit as it is now; looks at others do not count
   * @param looks every look, in order of time; the last of a place and state counts
   * @param since looks before it do not count: what they saw was repaired
   */
  public static VisualCheck of(
      LookState state, Set<String> places, List<Look> looks, Instant since, Instant now) {
    Map<String, Sight> seen = new HashMap<>();
    for (Look look : looks) {
      if (look.state() == state
          && places.contains(look.place())
          && look.at().isAfter(since)
          && !look.at().isBefore(now.minus(LATELY))) {
        seen.put(look.place(), look.seen());
      }
    }
    int hidden = count(seen.values(), Sight.HIDDEN);
    int wet = count(seen.values(), Sight.WET) + count(seen.values(), Sight.RUNS);
    int stained = count(seen.values(), Sight.STAINED);
    int looked = wet + stained + count(seen.values(), Sight.DRY);
    return new VisualCheck(
        state, places.size(), places.size() - looked - hidden, hidden, wet, stained);
  }

  private static int count(Collection<Sight> seen, Sight what) {
    return (int) seen.stream().filter(s -> s == what).count();
  }

  /** Places that were looked at and are dry. */
  public int dry() {
    return places - open - hidden - wet - stained;
  }

  /** Whether every place was looked at and is dry, in this state. */
  public boolean dryThroughout() {
    return places > 0 && open == 0 && hidden == 0 && wet == 0 && stained == 0;
  }

  /**
   * Whether it may be said that it is dry everywhere: a leak shows under pressure, or while it runs
   * hot; a cold look without pressure sees only what has dried.
   */
  public boolean dryEverywhere() {
    return dryThroughout() && (state == LookState.PRESSED || state == LookState.RUNNING);
  }
}
