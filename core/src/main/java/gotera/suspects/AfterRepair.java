package gotera.suspects;

import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
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

  /** A hold of a repair is made so often before the search goes on (our judgement, untested). */
  private static final int MOST_HOLDS = 3;

  /**
   * Whether the test of a repair says neither tight nor clearly a leak, and nothing wet is left: a
   * longer hold tells, and nothing else does.
   */
  static boolean holdsLonger(Case job) {
    long unclear = tests(job).stream().filter(AfterRepair::couldBeTight).count();
    return last(job).filter(AfterRepair::couldBeTight).isPresent()
        && unclear < MOST_HOLDS
        && nothingWet(job);
  }

  /**
   * Whether the test of a repair found it tight, and whatever was wet since stayed dry once it was
   * dried.
   */
  static boolean staysDry(Case job) {
    return last(job).filter(h -> h.verdict() == VerdictKind.TIGHT).isPresent() && nothingWet(job);
  }

  /** The same of the only hold where nobody tells of a loss. */
  static boolean unclear(Case job) {
    List<Held> holds = job.counting(Held.class);
    return holds.size() < MOST_HOLDS
        && job.held(false).filter(AfterRepair::couldBeTight).isPresent()
        && nothingWet(job);
  }

  private static List<Held> tests(Case job) {
    return job.counting(Held.class).stream().filter(Held::afterRepair).toList();
  }

  private static Optional<Held> last(Case job) {
    return job.held().filter(Held::afterRepair);
  }

  /** Nothing waits to be dried and watched, nothing beads, nothing drips. */
  private static boolean nothingWet(Case job) {
    Set<String> beads = new HashSet<>();
    for (Looked look : job.counting(Looked.class)) {
      if (look.fresh() && look.wet() || look.flow().isPresent()) {
        beads.add(look.place());
      }
    }
    return beads.isEmpty()
        && Watching.pending(job).isEmpty()
        && job.counting(Observation.Dripped.class).isEmpty();
  }

  /**
   * What is less than so many of its standard uncertainties a longer hold may find to be nothing
   * (our judgement, untested).
   */
  private static final double COULD_BE_NOTHING = 3;

  private static boolean couldBeTight(Held held) {
    return (held.verdict() == VerdictKind.NOT_PROVEN || held.verdict() == VerdictKind.LEAK)
        && held.outcome() instanceof Observation.Outcome.Rate r
        && r.rate() <= COULD_BE_NOTHING * r.u();
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
