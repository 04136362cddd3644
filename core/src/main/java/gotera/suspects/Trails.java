package gotera.suspects;

import gotera.look.Sight;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Observation.Scanned;
import java.util.Set;

/** Whether something that was seen, smelled or told leads to places. */
final class Trails {
  private static final Set<String> LEADING =
      Set.of("drip-front", "drip-middle", "drip-rear", "sweet-smell-cabin", "wet-footwell");

  private Trails() {}

  static boolean lead(Case job) {
    return !Drips.located(job).isEmpty()
        || job.latest().stream().anyMatch(l -> l.wet() || l.saw() == Sight.STAINED)
        || job.counting(Scanned.class).stream().anyMatch(s -> s.glow().counts())
        || !job.counting(Felt.class).isEmpty()
        || job.counting(Observation.Blotted.class).stream().anyMatch(Observation.Blotted::damp)
        || !job.afterRepair() && Signs.counting(job).stream().anyMatch(LEADING::contains);
  }
}
