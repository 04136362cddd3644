package gotera.repair;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * What came off, in the order in which it came off. Turned round it is the refit list.
 *
 * @param lines what came off, the first first
 */
public record StripList(List<TakenOff> lines) {
  /** Keeps its own copy. */
  public StripList {
    lines = List.copyOf(lines);
  }

  /**
   * Something that came off.
   *
   * @param id its identifier
   * @param what what it is
   * @param fasteners how many screws, bolts, clips hold it, 0 or more
   * @param back how many of them are back, 0 or more
   * @param refitted whether it is back
   */
  public record TakenOff(String id, String what, int fasteners, int back, boolean refitted) {
    /** Refuses what cannot be counted. */
    public TakenOff {
      if (fasteners < 0 || back < 0) {
        throw new IllegalArgumentException("fasteners of " + what + ": " + fasteners + ", " + back);
      }
    }

    /** Whether it stands in the way of being done. */
    public boolean open() {
      return !refitted || back != fasteners;
    }

    /** Fasteners too few, above zero, or left over, below zero, once it is said to be back. */
    public int missing() {
      return refitted ? fasteners - back : 0;
    }
  }

  /** In which order it goes back: the last first. */
  public List<TakenOff> refit() {
    List<TakenOff> refit = new ArrayList<>(lines);
    Collections.reverse(refit);
    return List.copyOf(refit);
  }

  /** What stands in the way of being done, in the order of refitting. */
  public List<TakenOff> open() {
    return refit().stream().filter(TakenOff::open).toList();
  }

  /** Whether everything is back and every count matches. */
  public boolean complete() {
    return open().isEmpty();
  }
}
