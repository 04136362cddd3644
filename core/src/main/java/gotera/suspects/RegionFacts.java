package gotera.suspects;

import gotera.evidence.Evidence;
import gotera.evidence.Label;
import gotera.evidence.Mode;
import java.util.Map;

/**
 * What a sign, or the result of a check, tells of the places that can cause it.
 *
 * @param name its name
 * @param causes probability that a leak at a place causes it while its fault acts
 * @param acts how far a fault acts when this is looked for, by its mode
 * @param falseAlarm probability of it without any of them
 */
public record RegionFacts(
    String name, Map<String, Double> causes, Map<Mode, Double> acts, double falseAlarm) {
  /** Keeps its own copies. */
  public RegionFacts {
    causes = Map.copyOf(causes);
    acts = Map.copyOf(acts);
  }

  /** That it was there, or that it was looked for and was not. */
  Evidence evidence(Label label, boolean seen) {
    return new Evidence.InRegion(label, seen, causes, acts, falseAlarm);
  }

  /** The same seen in another way: what it says of when the faults act is taken from there. */
  RegionFacts acting(Map<Mode, Double> other) {
    return new RegionFacts(name, causes, other, falseAlarm);
  }
}
