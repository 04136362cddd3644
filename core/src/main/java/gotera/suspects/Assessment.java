package gotera.suspects;

import gotera.evidence.Check;
import gotera.evidence.Diagnosis;
import gotera.evidence.Diagnosis.Suspect;
import java.util.List;

/**
 * What is suspected on a job, and what to do next.
 *
 * @param of everything observed
 * @param diagnosis it weighed
 */
public record Assessment(Case of, Diagnosis diagnosis) {
  /** Below this probability a place is not worth a line (1) (our judgement, untested). */
  private static final double WORTH_A_LINE = 0.04;

  /** Assesses a job. */
  public static Assessment of(Case observed) {
    return new Assessment(observed, Diagnosis.of(observed.places(), observed.found()));
  }

  /** The places under suspicion, the likeliest first; none once it is proven tight. */
  public List<Suspect> suspects() {
    return of.isProven() ? List.of() : diagnosis.suspects();
  }

  /** Those that are worth a line on a page. */
  public List<Suspect> worthALine() {
    return suspects().stream().filter(s -> s.probability() >= WORTH_A_LINE).toList();
  }

  /** Whether the next thing to do is the repair: the places found explain the rate. */
  public boolean repairComesNext() {
    return of.isExplained();
  }

  /**
   * The checks that can be made, the best first; none once it is proven tight, or where the repair
   * comes next.
   */
  public List<Check.Ranked> next() {
    if (of.isProven() || repairComesNext()) {
      return List.of();
    }
    return diagnosis.next().stream()
        .filter(r -> !of.hidden().contains(r.check().label().at()))
        .toList();
  }
}
