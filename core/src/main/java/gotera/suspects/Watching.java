package gotera.suspects;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Blotted;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What was seen wet or glowing, and was not dried and watched since. */
final class Watching {
  /** A place is watched so often, whatever is seen there again (our judgement, untested). */
  private static final int MOST = 3;

  /** A place that a look shows no better cannot be watched (1) (our judgement, untested). */
  static final double SHOWS_NOTHING = 0.15;

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
      } else if (o instanceof Looked look && look.fresh()) {
        if (look.saw() != Sight.HIDDEN) {
          pending.remove(look.place());
          watched.merge(look.place(), 1, Integer::sum);
        }
      } else if (o instanceof Checked.CapTried cap) {
        pending.remove(cap.place());
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

  /** Of what was dried and watched in each state, what was seen each time, in order. */
  static Map<LookState, List<Boolean>> beads(Case job, String place) {
    Map<LookState, List<Boolean>> beads = new EnumMap<>(LookState.class);
    for (Looked look : job.counting(Looked.class)) {
      boolean watched = look.fresh() && look.saw() != Sight.HIDDEN;
      if (watched && look.place().equals(place)) {
        beads.computeIfAbsent(look.state(), s -> new ArrayList<>()).add(look.wet());
      }
    }
    return beads;
  }

  /**
   * Whether a place may be watched in a state: it was not yet, or what was seen there is not of one
   * mind.
   */
  static boolean again(Case job, String place, LookState state) {
    Map<LookState, List<Boolean>> beads = beads(job, place);
    List<Boolean> here = beads.getOrDefault(state, List.of());
    boolean beaded = beads.values().stream().anyMatch(b -> b.contains(true));
    int most = here.contains(true) ? MOST : beaded || showed(job, place) ? MOST - 1 : 1;
    return here.size() < most;
  }

  /** Whether a place was seen wet as it was, its paper damp, or glowing. */
  static boolean showed(Case job, String place) {
    return job.counting(Looked.class).stream()
            .anyMatch(l -> l.wet() && !l.driedBefore() && l.place().equals(place))
        || job.counting(Scanned.class).stream()
            .anyMatch(s -> s.place().equals(place) && s.glow().counts())
        || job.counting(Blotted.class).stream().anyMatch(b -> b.damp() && b.place().equals(place));
  }

  private static LookState then(LookState state) {
    return state == LookState.RUNNING || state == LookState.WARM
        ? LookState.RUNNING
        : LookState.PRESSED;
  }

  private static void see(
      Map<String, LookState> pending, Map<String, Integer> watched, String place, LookState then) {
    boolean shows = Case.VOCABULARY.facts(place).seen().in(then) > SHOWS_NOTHING;
    if (shows && watched.getOrDefault(place, 0) < MOST) {
      pending.put(place, then);
    }
  }
}
