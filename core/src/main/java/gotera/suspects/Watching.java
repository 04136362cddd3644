package gotera.suspects;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Blotted;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;

/** What was seen wet or glowing, and was not dried and watched since. */
final class Watching {
  /** A place is watched so often, whatever is seen there again (our judgement, untested). */
  private static final int MOST = 3;

  private Watching() {}

  /** Each place with the state to watch it in: hot where it was wet hot, else under pressure. */
  static Map<String, LookState> pending(Case job) {
    Map<String, LookState> pending = new LinkedHashMap<>();
    Map<String, Integer> watched = new HashMap<>();
    for (Observation o : job.observed()) {
      if (o instanceof Observation.Repaired) {
        // what was wet before may have been wet by what was mended
        pending.clear();
        watched.clear();
      } else if (o instanceof Looked look && look.driedBefore()) {
        if (look.saw() != Sight.HIDDEN) {
          pending.remove(look.place());
          watched.merge(look.place(), 1, Integer::sum);
        }
      } else if (o instanceof Looked look && look.wet() && look.flow().isEmpty()) {
        see(pending, watched, look.place(), then(look.state()));
      } else if (o instanceof Scanned scan && scan.glow().counts()) {
        see(pending, watched, scan.place(), LookState.RUNNING);
      } else if (o instanceof Blotted paper && paper.damp()) {
        see(pending, watched, paper.place(), LookState.PRESSED);
      }
    }
    return pending;
  }

  private static LookState then(LookState state) {
    return state == LookState.RUNNING || state == LookState.WARM
        ? LookState.RUNNING
        : LookState.PRESSED;
  }

  private static void see(
      Map<String, LookState> pending, Map<String, Integer> watched, String place, LookState then) {
    if (watched.getOrDefault(place, 0) < MOST) {
      pending.put(place, then);
    }
  }
}
