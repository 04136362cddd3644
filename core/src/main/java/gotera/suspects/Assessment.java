package gotera.suspects;

import gotera.evidence.Evidence;
import gotera.evidence.FaultCount;
import gotera.evidence.Hypothesis;
import gotera.evidence.Posterior;
import gotera.evidence.Weighing;
import gotera.suspects.Flag.Kind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What is suspected on a job, which rules apply, and what to do next.
 *
 * @param of everything observed
 * @param posterior what is known
 * @param suspects places under suspicion, the likeliest first; none once it is proven tight
 * @param flags rules of the trade that apply
 * @param next what to do next, the first one first; none once it is proven tight
 */
public record Assessment(
    Case job, Posterior posterior, List<Suspect> suspects, List<Flag> flags, List<Proposal> next) {
  private static final int MOST_REASONS = 3;
  private static final int MOST_SUSPECTS = 8;

  /** What moves a place less is no reason (log odds) (our judgement, untested). */
  private static final double LEAST_REASON = 0.1;

  /** Below this probability a place is not worth a line (1) (our judgement, untested). */
  private static final double WORTH_A_LINE = 0.04;

  /** What is less likely than not is not repaired (1). */
  private static final double EVEN = 0.5;

  /**
   * A place under suspicion.
   *
   * @param place its name
   * @param probability probability that it leaks
   * @param reasons the findings that moved it most
   */
  public record Suspect(String place, double probability, List<Posterior.Reason> reasons) {}

  /**
   * Whether a place is found: coolant was seen to leave it after it had been dried, or so much that
   * drops were counted; its wall lets coolant through, its cap fails on the tester; or within, two
   * kinds of checks say so.
   */
  public boolean isFound(Suspect suspect) {
    return Found.places(job, posterior).contains(suspect.place());
  }

  /**
   * The places that are found, and likelier than not: what may be offered for repair. Of wet places
   * one below another the upper leads, and the lower is none of them.
   */
  public List<String> found() {
    Set<String> certain = Found.certain(job);
    return suspects.stream()
        .filter(s -> certain.contains(s.place()) || s.probability() > EVEN && isFound(s))
        .map(Suspect::place)
        .toList();
  }

  /** Assesses a job. */
  public static Assessment of(Case job) {
    List<Hypothesis> places = job.open().stream().map(PlaceFacts::hypothesis).toList();
    FaultCount count = job.measured().isEmpty() ? FaultCount.BROUGHT_IN : FaultCount.BESIDES;
    Weighing weighing = Weighing.of(places, count, rest(job, job.measured()));
    Posterior known = weighing.all();
    List<Flag> flags = Rules.of(job, known);
    Set<Kind> kinds = EnumSet.noneOf(Kind.class);
    flags.forEach(f -> kinds.add(f.kind()));
    return new Assessment(
        job,
        known,
        job.isProven() ? List.of() : suspects(job, weighing),
        flags,
        job.isProven() ? List.of() : NextSteps.of(job, known, kinds));
  }

  /**
   * What is left to be explained once the places whose flow was measured are known to leak: their
   * own looks are used up, and what they cause needs no other place.
   */
  private static List<Evidence> rest(Case job, Set<String> measured) {
    List<Evidence> rest = new ArrayList<>();
    for (Evidence f : CaseEvidence.of(job)) {
      if (!(f instanceof Evidence.AtPlace at && measured.contains(at.place()))) {
        Evidence given = f;
        for (String place : measured) {
          given = given.given(place);
        }
        rest.add(given);
      }
    }
    return rest;
  }

  /** The places that were measured, and behind them those that may leak besides. */
  private static List<Suspect> suspects(Case job, Weighing weighing) {
    List<Suspect> suspects = new ArrayList<>();
    Set<String> mended = AfterRepair.mended(job);
    for (PlaceFacts p : job.places()) {
      if (job.measured().contains(p.place()) && !mended.contains(p.place())) {
        suspects.add(measured(job, p));
      }
    }
    suspects.sort(Comparator.comparingDouble(Suspect::probability).reversed());
    weighing.all().suspects().stream()
        .filter(s -> !mended.contains(s.place()))
        .limit(MOST_SUSPECTS)
        .map(s -> new Suspect(s.place(), s.probability(), reasons(weighing, s.place())))
        .forEach(suspects::add);
    return List.copyOf(suspects);
  }

  /** A place whose flow was counted, by its own looks alone. */
  private static Suspect measured(Case job, PlaceFacts place) {
    List<Evidence> own =
        CaseEvidence.of(job).stream()
            .filter(f -> f instanceof Evidence.AtPlace at && at.place().equals(place.place()))
            .toList();
    List<Evidence> all = new ArrayList<>(own);
    Clue counted = new Clue.Seen(Clue.Sighting.COUNTED, place.place());
    all.add(Case.VOCABULARY.check("count-drops").at(counted, place.place(), true));
    Weighing weighing = Weighing.of(List.of(place.hypothesis()), all);
    return new Suspect(
        place.place(), weighing.all().marginal(place.place()), reasons(weighing, place.place()));
  }

  private static List<Posterior.Reason> reasons(Weighing weighing, String place) {
    return weighing.reasons(place).stream()
        .filter(r -> Math.abs(r.logRatio()) > LEAST_REASON)
        .limit(MOST_REASONS)
        .toList();
  }

  /** Those that are worth a line on a page. */
  public List<Suspect> worthALine() {
    return suspects.stream().filter(this::isWorthALine).toList();
  }

  /** Whether a place is likely enough for a line. */
  public boolean isWorthALine(Suspect suspect) {
    return suspect.probability() >= WORTH_A_LINE;
  }

  /** Whether the next thing to do is the repair. */
  public boolean repairComesNext() {
    return next.stream().findFirst().filter(p -> p.what().is(Action.Whole.REPAIR)).isPresent();
  }

  /** Probability that nothing leaks: none of the places that were measured, nor any other. */
  public double nothingLeaks() {
    double measured =
        suspects.stream()
            .filter(s -> job.measured().contains(s.place()))
            .mapToDouble(s -> 1 - s.probability())
            .min()
            .orElse(1);
    return Math.min(posterior.probability(), measured);
  }
}
