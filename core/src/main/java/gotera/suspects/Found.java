package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Observation.GasChecked;
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
  private static final double DECISIVE = 0.8;

  /** A cap that fails once, where all else speaks for it too (our judgement, untested). */
  private static final double SURE = 0.97;

  private Found() {}

  /**
   * Those that no likelihood is asked about: drops were counted, a wall lets coolant through, a cap
   * fails on its tester twice.
   */
  static Set<String> certain(Case job) {
    Set<String> certain = new HashSet<>(job.measured());
    job.counting(Felt.class).stream()
        .filter(f -> f.saw().leaves() || f.saw() == Condition.LETS_LIQUID_THROUGH)
        .forEach(f -> certain.add(f.place()));
    for (CapTried cap : job.counting(CapTried.class)) {
      if (cap.passed()) {
        certain.remove(cap.place());
      } else if (CapTried.fails(job, cap.place()) > 1) {
        certain.add(cap.place());
      }
    }
    // what was seen to drip drips, whatever its tester says
    certain.addAll(job.measured());
    job.contradictions().forEach(c -> c.place().ifPresent(certain::remove));
    certain.removeAll(AfterRepair.mended(job));
    return certain;
  }

  /** All of them; those repaired since are none. */
  static Set<String> places(Case job, Posterior known) {
    Set<String> found = new HashSet<>(certain(job));
    job.wet().stream()
        .filter(l -> l.fresh() && l.flow().isEmpty())
        .filter(l -> leavesHere(job, known, l))
        .forEach(l -> found.add(l.place()));
    job.open().stream()
        .map(PlaceFacts::place)
        .filter(p -> CapTried.fails(job, p) == 1 && known.marginal(p) > SURE)
        .forEach(found::add);
    job.contradictions().forEach(c -> c.place().ifPresent(found::remove));
    inside(job, known, found);
    found.removeAll(AfterRepair.mended(job));
    return found;
  }

  /** From here on a first bead while it runs is one of its own place (our judgement, untested). */
  private static final double OF_ITS_OWN = 0.95;

  private static final double EVEN = 0.5;

  /**
   * Whether what beads there came out there: that is likelier than not, and what is wet above was
   * dried and stayed dry. A first bead while it runs must be all but certain.
   */
  private static boolean leavesHere(Case job, Posterior known, Looked bead) {
    String place = bead.place();
    Set<String> above = job.above(place, bead.state()).keySet();
    boolean open = Watching.pending(job).keySet().stream().anyMatch(above::contains);
    long times =
        Watching.beads(job, place).values().stream()
            .mapToLong(b -> b.stream().filter(x -> x).count())
            .sum();
    boolean runs = bead.saw() == Sight.RUNS;
    boolean plain = runs || times > 1 || bead.state() == LookState.PRESSED;
    double enough = plain ? EVEN : OF_ITS_OWN;
    return !open && known.marginal(place) >= enough && (plain || Watching.showed(job, place));
  }

  private static void inside(Case job, Posterior known, Set<String> found) {
    boolean fluid =
        job.counting(FluidSeen.class).stream().anyMatch(f -> f.saw() != Checked.Look.CLEAN);
    long kinds = InsideSeen.of(job).kinds() + (fluid ? 1 : 0);
    // what stands in a cylinder under pressure came in there, once another kind was tried too
    boolean tried =
        job.counting(GasChecked.class).stream().anyMatch(g -> g.notCounted().isEmpty())
            || job.counting(Bubbled.class).stream().anyMatch(b -> b.notCounted().isEmpty());
    boolean stands =
        tried && InsideSeen.of(job).wet() && job.held(false).filter(Rules::falls).isPresent();
    boolean falls = stands || job.hidden().isEmpty() && Rules.fallsAndIsDryOutside(job);
    double all = 0;
    String first = "";
    for (Posterior.Suspect s : known.suspects()) {
      if (Case.VOCABULARY.facts(s.place()).kind() == PlaceKind.INSIDE) {
        all += s.probability();
        first = first.isEmpty() ? s.place() : first;
      } else if (s.place().endsWith("-cooler.core")
          && fluid
          && s.probability() > (kinds >= 2 ? INSIDE : DECISIVE)) {
        found.add(s.place());
      }
    }
    // whichever of them it is, the head comes off
    if (kinds >= 2 && all > INSIDE || kinds == 1 && falls && all > DECISIVE) {
      found.add(first);
    }
  }
}
