package gotera.decide;

import java.util.Set;

/**
 * A repair that may be done.
 *
 * @param name what it is called
 * @param fixes faults that it mends, by name
 * @param cost of parts and labour of its own (any currency), 0 or above
 * @param shared labour that it shares with others done at the same time: draining, a cover
 */
public record Repair(String name, Set<String> fixes, double cost, Set<String> shared) {
  /** Keeps its own copies. */
  public Repair {
    if (!(cost >= 0 && Double.isFinite(cost))) {
      throw new IllegalArgumentException(name + " costs " + cost);
    }
    fixes = Set.copyOf(fixes);
    shared = Set.copyOf(shared);
  }
}
