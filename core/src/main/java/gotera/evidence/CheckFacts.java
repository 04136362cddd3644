package gotera.evidence;

/**
 * How well a check sees a fault, whatever the place.
 *
 * @param check its name
 * @param sees probability of seeing something where a place leaks
 * @param falseAlarm probability of seeing it where it does not
 */
public record CheckFacts(String check, double sees, double falseAlarm) {
  /** What the check says about a place. */
  public Finding at(String kind, String place, boolean seen) {
    return new Finding.AtPlace(new Label(kind, place), place, seen, sees, falseAlarm);
  }
}
