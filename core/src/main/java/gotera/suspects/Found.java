package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.Condition;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Observation.Looked;
import java.util.HashSet;
import java.util.Set;

/**
 * The places that are found: a state, and no probability. Coolant was seen to leave them, in a
 * state in which they leak, and it did not come down from above.
 */
final class Found {
  /**
   * From here on two kinds of checks that agree condemn an inner place (our judgement, untested).
   */
  private static final double INSIDE = 0.6;

  /** From here on one that nothing else explains does (our judgement, untested). */
  private static final double DECISIVE = 0.75;

  private Found() {}

  /**
   * Those that no likelihood is asked about: drops were counted, a wall lets coolant through, a cap
   * fails on its tester.
   */
  static Set<String> certain(Case job) {
    Set<String> certain = new HashSet<>(job.measured());
    job.counting(Felt.class).stream()
        .filter(f -> f.saw().leaves() || f.saw() == Condition.LETS_LIQUID_THROUGH)
        .forEach(f -> certain.add(f.place()));
    for (CapTried cap : job.counting(CapTried.class)) {
      if (cap.passed()) {
        certain.remove(cap.place());
      } else {
        certain.add(cap.place());
      }
    }
    certain.removeAll(AfterRepair.mended(job));
    return certain;
  }

  /** All of them; those repaired since are none. */
  static Set<String> places(Case job, Posterior known) {
    Set<String> found = new HashSet<>(certain(job));
    job.wet().stream().filter(Looked::driedBefore).forEach(l -> found.add(l.place()));
    inside(job, known, found);
    found.removeAll(AfterRepair.mended(job));
    return found;
  }

  private static void inside(Case job, Posterior known, Set<String> found) {
    boolean fluid =
        job.counting(FluidSeen.class).stream().anyMatch(f -> f.saw() != Checked.Look.CLEAN);
    boolean falls = Rules.fallsAndIsDryOutside(job);
    long kinds = InsideSeen.of(job).kinds() + (fluid ? 1 : 0) + (falls ? 1 : 0);
    for (Posterior.Suspect s : known.suspects()) {
      boolean within =
          Case.VOCABULARY.facts(s.place()).kind() == PlaceKind.INSIDE
              || s.place().endsWith("-cooler.core");
      boolean shown =
          kinds >= 2 && InsideSeen.of(job).kinds() + (fluid ? 1 : 0) > 0
              ? s.probability() > INSIDE
              : kinds == 1 && fluid && s.probability() > DECISIVE;
      if (within && shown) {
        found.add(s.place());
      }
    }
  }
}
