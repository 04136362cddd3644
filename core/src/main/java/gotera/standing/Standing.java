package gotera.standing;

import gotera.retest.Circumstance;
import gotera.retest.CombinedProof;
import gotera.retest.Repeat;
import gotera.retest.Showings;
import gotera.retest.Shown;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is proven of a job, and what takes that back. By when things happened:
 *
 * <ul>
 *   <li>what happened before the last repair proves nothing about it;
 *   <li>whatever leaks after it takes <i>proven</i> back, until the same circumstance was repeated
 *       later and held, the same place was looked at again in the same state and was dry, or it was
 *       repaired once more.
 * </ul>
 *
 * @param proof what is proven, circumstance by circumstance
 * @param repaired when it was repaired last
 * @param again what leaks since the last repair, in order of time
 */
public record Standing(CombinedProof proof, Optional<Instant> repaired, List<LeaksAgain> again) {
  /** Keeps its own copy. */
  public Standing {
    again = List.copyOf(again);
  }

  /**
   * The standing of a job.
   *
   * @param accepted the rate that is accepted (mL/min), above 0
   */
  public static Standing of(Visit visit, double accepted) {
    Optional<Instant> repaired = visit.repaired();
    List<Shown> shown =
        new ArrayList<>(Showings.of(visit.observed().stream().map(Happened::what).toList()));
    shown.addAll(visit.shown());
    if (repaired.isEmpty()) {
      return new Standing(
          CombinedProof.of(shown, List.of(), List.of(), accepted), repaired, List.of());
    }
    Instant since = repaired.get();
    List<Happened<Repeat>> repeated =
        visit.repeated().stream().filter(r -> r.at().isAfter(since)).toList();
    List<LeaksAgain> again = new ArrayList<>(SeenAgain.of(visit.observed(), since));
    visit.failed().stream().filter(f -> f.at().isAfter(since)).forEach(again::add);
    again.removeIf(a -> refuted(a, repeated, accepted));
    again.sort(Comparator.comparing(LeaksAgain::at));
    List<Circumstance> failed = again.stream().map(LeaksAgain::when).distinct().toList();
    return new Standing(
        CombinedProof.of(shown, repeated.stream().map(Happened::what).toList(), failed, accepted),
        repaired,
        again);
  }

  /** Whether the same circumstance was repeated later, and held within what is accepted. */
  private static boolean refuted(
      LeaksAgain again, List<Happened<Repeat>> repeated, double accepted) {
    List<Repeat> later =
        repeated.stream().filter(r -> r.at().isAfter(again.at())).map(Happened::what).toList();
    return CombinedProof.of(List.of(Shown.of(again.when())), later, List.of(), accepted).proven();
  }

  /** Whether it is proven that no coolant is lost any more. */
  public boolean isProven() {
    return proof.proven();
  }

  /** Since when the repair holds, as far as anybody saw: empty before it, and while it leaks. */
  public Optional<Instant> holdsSince() {
    return repaired.filter(at -> again.isEmpty());
  }

  /** What took it back last. */
  public Optional<LeaksAgain> newest() {
    return again.stream().reduce((a, b) -> b);
  }
}
