package gotera.suspects;

import gotera.evidence.Evidence;
import gotera.evidence.Label;

/**
 * How well a check sees a fault, whatever the place and the mode of its fault.
 *
 * @param check its name
 * @param sees probability of seeing something where a place leaks
 * @param falseAlarm probability of seeing it where it does not
 */
public record CheckFacts(String check, double sees, double falseAlarm) {
  /** What the check says about a place. */
  Evidence at(Label label, String place, boolean seen) {
    return seen(label, place, seen);
  }

  /** The same, as a sighting of a track. */
  Evidence.AtPlace seen(Label label, String place, boolean seen) {
    return new Evidence.AtPlace(label, place, seen, sees, falseAlarm);
  }
}
