package gotera.standing;

import gotera.standing.LeaksAgain.By;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * A place that was repaired, in this job or in an earlier one of the vehicle, and leaks again:
 * before it is repaired the same way, somebody asks why it did not hold.
 *
 * @param place word of the place
 * @param repaired when it was repaired last
 * @param seen when it was seen to leak after that
 */
public record LeaksTwice(String place, Instant repaired, Instant seen) {
  /** What is seen of the place itself; a stain may be what was left of the first time. */
  private static final Set<By> SEEN = EnumSet.of(By.WET, By.GLOWS);

  /**
   * All of them, in order of their places.
   *
   * @param observed what was observed in this job, in any order
   * @param mended words of the places that were repaired on this vehicle, in any order
   */
  public static List<LeaksTwice> of(
      List<Happened<Observation>> observed, List<Happened<String>> mended) {
    List<Happened<Observation>> inOrder =
        observed.stream().sorted(Comparator.comparing(Happened::at)).toList();
    Map<String, Instant> last = new TreeMap<>();
    mended.forEach(m -> last.merge(m.what(), m.at(), (a, b) -> a.isAfter(b) ? a : b));
    List<LeaksTwice> twice = new ArrayList<>();
    last.forEach(
        (place, repaired) -> {
          List<Happened<Observation>> there =
              inOrder.stream().filter(o -> isAt(place, o.what())).toList();
          SeenAgain.of(there, repaired).stream()
              .filter(a -> SEEN.contains(a.by()))
              .map(LeaksAgain::at)
              .max(Comparator.naturalOrder())
              .ifPresent(seen -> twice.add(new LeaksTwice(place, repaired, seen)));
        });
    return twice;
  }

  private static boolean isAt(String place, Observation what) {
    return what instanceof Looked look && look.place().equals(place)
        || what instanceof Scanned scan && scan.place().equals(place);
  }
}
