package gotera.standing;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.retest.Circumstance;
import gotera.standing.LeaksAgain.By;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What was seen after a repair that says it leaks: place by place, the newest look counts. */
final class SeenAgain {
  private record Spot(String place, LookState state) {}

  private final Map<Spot, LeaksAgain> seen = new LinkedHashMap<>();
  private final List<LeaksAgain> drips = new ArrayList<>();
  private final Map<String, LeaksAgain> glows = new LinkedHashMap<>();

  /** Places that were stained when they were looked at last: a stain there is no news. */
  private final Set<String> stained = new HashSet<>();

  private SeenAgain() {}

  /** All of it, of what was observed in order of time. */
  static List<LeaksAgain> of(List<Happened<Observation>> observed, Instant repaired) {
    SeenAgain again = new SeenAgain();
    observed.forEach(h -> again.add(h, h.at().isAfter(repaired)));
    List<LeaksAgain> all = new ArrayList<>(again.seen.values());
    all.addAll(again.drips);
    all.addAll(again.glows.values());
    return all;
  }

  private void add(Happened<Observation> h, boolean after) {
    if (h.what() instanceof Looked look) {
      looked(look, h.at(), after);
    } else if (after && h.what() instanceof Dripped drip) {
      drips.add(new LeaksAgain(when(drip.state()), By.DRIPS, drip.spot().word(), h.at()));
    } else if (after && h.what() instanceof Scanned scan) {
      if (scan.glow().counts()) {
        glows.put(
            scan.place(), new LeaksAgain(Circumstance.RUNNING, By.GLOWS, scan.place(), h.at()));
      } else {
        glows.remove(scan.place());
      }
    }
  }

  /**
   * A dry look takes back what was seen at the same place in the same state; cleaning takes nothing
   * back, but makes a later stain a new one.
   */
  private void looked(Looked look, Instant at, boolean after) {
    Spot spot = new Spot(look.place(), look.state());
    boolean newStain = look.saw() == Sight.STAINED && !stained.contains(look.place());
    switch (look.saw()) {
      case STAINED -> stained.add(look.place());
      case CLEANED, DRY -> stained.remove(look.place());
      case WET, RUNS, HIDDEN -> {
        // says nothing of stains
      }
    }
    if (!after) {
      return;
    }
    if (look.wet()) {
      seen.put(spot, new LeaksAgain(when(look.state()), By.WET, look.place(), at));
    } else if (newStain) {
      seen.putIfAbsent(spot, new LeaksAgain(when(look.state()), By.STAINED, look.place(), at));
    } else if (look.saw() == Sight.DRY) {
      seen.remove(spot);
    }
  }

  /** A leak that is seen while it stands cold leaks parked. */
  private static Circumstance when(LookState state) {
    return switch (state) {
      case COLD, PARKED -> Circumstance.PARKED;
      case PRESSED -> Circumstance.PRESSED;
      case WARM, RUNNING -> Circumstance.RUNNING;
    };
  }
}
