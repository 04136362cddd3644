package gotera.suspects;

import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Repaired;
import java.util.HashSet;
import java.util.Set;

/** What a repair changes before anybody has tested it. */
final class AfterRepair {
  private AfterRepair() {}

  /** Places that were repaired, and at which nothing was seen since that leaks. */
  static Set<String> mended(Case job) {
    Set<String> mended = new HashSet<>();
    for (Observation o : job.observed()) {
      if (o instanceof Repaired repaired) {
        mended.add(repaired.place());
      } else if (o instanceof Observation.AtPlace at && Case.leaks(o)) {
        mended.remove(at.place());
      }
    }
    return mended;
  }

  /** Whether it was repaired, and neither tested nor seen to leak since: that is to be proven. */
  static boolean awaitsProof(Case job) {
    boolean awaits = false;
    for (Observation o : job.observed()) {
      if (o instanceof Repaired) {
        awaits = true;
      } else if (o instanceof Held || Case.leaks(o)) {
        awaits = false;
      }
    }
    return awaits;
  }
}
