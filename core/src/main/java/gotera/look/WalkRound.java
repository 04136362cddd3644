package gotera.look;

import java.util.Collection;

/**
 * What the walk-round may claim: "dry everywhere" only once every place that can be seen was looked
 * at.
 *
 * @param places places of the circuit
 * @param open places nobody has looked at
 * @param hidden places that cannot be seen as they are
 * @param wet wet places
 * @param stained stained places
 */
public record WalkRound(int places, int open, int hidden, int wet, int stained) {
  /** What was last said of a place. */
  public enum Seen {
    DRY,
    WET,
    STAINED,
    /** Cleaned and dried, not looked at since. */
    CLEANED,
    /** Cannot be seen as it is. */
    HIDDEN
  }

  /**
   * Counts.
   *
   * @param places places of the circuit
   * @param seen what was last said of each place anything was said of
   */
  public static WalkRound of(int places, Collection<Seen> seen) {
    int hidden = count(seen, Seen.HIDDEN);
    int wet = count(seen, Seen.WET);
    int stained = count(seen, Seen.STAINED);
    int looked = wet + stained + count(seen, Seen.DRY);
    return new WalkRound(places, places - looked - hidden, hidden, wet, stained);
  }

  private static int count(Collection<Seen> seen, Seen what) {
    return (int) seen.stream().filter(s -> s == what).count();
  }

  /** Whether every place was looked at and is dry. */
  public boolean dryEverywhere() {
    return open == 0 && hidden == 0 && wet == 0 && stained == 0;
  }
}
