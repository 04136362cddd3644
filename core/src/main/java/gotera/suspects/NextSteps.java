package gotera.suspects;

import gotera.evidence.Check;
import gotera.evidence.Evidence;
import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Action.OfTheWhole;
import gotera.suspects.Action.Whole;
import gotera.suspects.Candidates.Candidate;
import gotera.suspects.Flag.Kind;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Proposal.Why;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What to do next: checks by what they tell per minute of work; a rule of the trade that asks for a
 * check puts it first, and where one place is all but certain, the check that would refute it
 * cheapest comes first, or the repair.
 */
final class NextSteps {
  /** From this probability on a place is all but certain (our judgement, untested). */
  static final double CERTAIN = 0.8;

  /** Below it nothing is under suspicion yet (our judgement, untested). */
  private static final double UNKNOWN = 0.25;

  /** A check refutes a place where an outcome lowers its odds to this share (our judgement). */
  private static final double REFUTES = 0.4;

  /** A check that tells less is none (bit). */
  private static final double TELLS_NOTHING = 1e-4;

  /** A place below it is no reason to run the engine (our judgement, untested). */
  private static final double WORTH_A_LOOK = 0.04;

  /**
   * What tells less than this share of the best does not come first, however quick (1) (our
   * judgement, untested).
   */
  private static final double WORTH_ITS_WALK = 0.15;

  private final Case job;
  private final Posterior known;
  private final Set<Kind> flags;
  private final List<Candidate> candidates;
  private final List<Proposal> ranked;

  private NextSteps(Case job, Posterior known, Set<Kind> flags) {
    this.job = job;
    this.known = known;
    this.flags = flags;
    this.candidates = Candidates.of(job, known);
    List<Proposal> telling =
        candidates.stream().map(this::proposal).filter(p -> p.bits() > TELLS_NOTHING).toList();
    double most = telling.stream().mapToDouble(Proposal::bits).max().orElse(0);
    this.ranked =
        telling.stream()
            .sorted(
                Comparator.comparing((Proposal p) -> p.bits() < WORTH_ITS_WALK * most)
                    .thenComparing(Comparator.comparingDouble(Proposal::perMinute).reversed()))
            .toList();
  }

  /** The proposals, the first one first; none where nothing tells anything more. */
  static List<Proposal> of(Case job, Posterior known, Set<Kind> flags) {
    if (AfterRepair.awaitsProof(job)) {
      return List.of(
          new Proposal(new OfTheWhole(Whole.RE_TEST), 0, 0, List.of(), List.of(), Why.REPAIRED));
    }
    if (job.isExplained()) {
      return List.of(repair());
    }
    NextSteps steps = new NextSteps(job, known, flags);
    List<Proposal> all = new ArrayList<>();
    steps.first().ifPresent(all::add);
    steps.ranked.stream()
        .filter(p -> all.stream().noneMatch(f -> f.what().equals(p.what())))
        .forEach(all::add);
    return all;
  }

  private static Proposal repair() {
    return new Proposal(new OfTheWhole(Whole.REPAIR), 0, 0, List.of(), List.of(), Why.FOUND);
  }

  private Proposal proposal(Candidate c) {
    return new Proposal(
        c.what(),
        c.check().minutes(),
        c.check().gain(known),
        c.first(),
        c.settles(),
        Why.TELLS_MOST);
  }

  private Optional<Proposal> first() {
    if (flags.contains(Kind.GAS_CHECK_FIRST)) {
      return best(p -> p.is(Whole.COMBUSTION_GAS), Why.SAME_PART);
    }
    return certain().or(this::again).or(this::byFlag).or(this::byTrace);
  }

  /** A check that did not count is made again; a first pool is emptied and waited for anew. */
  private Optional<Proposal> again() {
    if (flags.contains(Kind.COMBUSTION_GAS_DOES_NOT_COUNT)) {
      return best(p -> p.is(Whole.COMBUSTION_GAS), Why.AGAIN);
    }
    if (flags.contains(Kind.BUBBLES_DO_NOT_COUNT)) {
      return best(p -> p.is(Whole.BUBBLES), Why.AGAIN);
    }
    return flags.contains(Kind.POOLED_FOR_WEEKS)
        ? best(p -> p.is(Whole.CYLINDER), Why.SECOND_AMOUNT)
        : Optional.empty();
  }

  private Optional<Proposal> byFlag() {
    if (flags.contains(Kind.FALLS_AND_DRY_OUTSIDE)) {
      return best(Action::inside, Why.INSIDE);
    }
    if (flags.contains(Kind.GROSS_LEAK)) {
      return best(p -> look(p) && in(p, LookState.PRESSED), Why.TELLS_MOST);
    }
    if (OtherCandidates.partLeftOut(job)) {
      return best(p -> p.is(Whole.PRESSURE_TEST), Why.NOT_IN_THE_TEST);
    }
    if (flags.contains(Kind.NOTHING_FOUND)) {
      return best(p -> p.is(Whole.DYE), Why.NOTHING_SEEN);
    }
    return flags.contains(Kind.STEADY_YET_LOST) ? steady() : Optional.empty();
  }

  /** What the likeliest place needs that can be looked at while it runs, or was not in the test. */
  private Optional<Proposal> steady() {
    return likeliest(this::ofSteady, Why.STEADY);
  }

  /** The best check of its kind at the likeliest place that has one. */
  private Optional<Proposal> likeliest(Predicate<Action> which, Why why) {
    return known.suspects().stream()
        .filter(s -> s.probability() >= WORTH_A_LOOK)
        .flatMap(
            s ->
                best(p -> p.place().filter(s.place()::equals).isPresent() && which.test(p), why)
                    .stream())
        .findFirst();
  }

  /** While it runs, or what the tester replaced; parked where only that was told. */
  private boolean ofSteady(Action what) {
    Set<String> signs = Signs.counting(job);
    boolean parked =
        signs.contains("puddle-overnight")
            && !signs.contains("loss-while-running")
            && !signs.contains("loss-after-drive");
    boolean then = in(what, LookState.RUNNING) || parked && in(what, LookState.PARKED);
    return look(what) && then || what instanceof Action.TryCap;
  }

  /** Where the inside is suspected most, what tells of that place; its rate, once it was wet. */
  private Optional<Proposal> inside() {
    boolean wet = job.counting(Checked.InCylinder.class).stream().anyMatch(c -> c.wet());
    Optional<Proposal> test = best(p -> p.is(Whole.PRESSURE_TEST), Why.BALANCE);
    if (wet && test.isPresent()) {
      return test;
    }
    Posterior.Suspect top = known.suspects().get(0);
    boolean suspected = isInside(top.place()) && top.probability() >= UNKNOWN;
    return suspected
        ? ranked.stream()
            .filter(p -> p.what().inside() && p.settles().contains(top.place()))
            .findFirst()
            .map(p -> p.because(Why.INSIDE))
        : Optional.empty();
  }

  /** Where something leads, the likeliest places are looked at; else pressure comes first. */
  private Optional<Proposal> byTrace() {
    Optional<Proposal> inside = inside();
    if (inside.isPresent()) {
      return inside;
    }
    if (Trails.lead(job)) {
      return likeliest(NextSteps::look, Why.TRACE);
    }
    boolean unknown = known.suspects().stream().noneMatch(s -> s.probability() >= UNKNOWN);
    return unknown || Signs.groundHides(job)
        ? best(p -> p.is(Whole.PRESSURE_TEST), Why.UNKNOWN_PLACE)
        : Optional.empty();
  }

  private static boolean look(Action what) {
    return what instanceof Action.Look;
  }

  private static boolean in(Action what, LookState state) {
    return what.state().filter(s -> s == state).isPresent();
  }

  private Optional<Proposal> best(Predicate<Action> which, Why why) {
    return ranked.stream().filter(p -> which.test(p.what())).findFirst().map(p -> p.because(why));
  }

  /** What comes next where one place is all but certain and its flow is not measured. */
  private Optional<Proposal> certain() {
    Set<String> measured = job.measured();
    Optional<Posterior.Suspect> top =
        known.suspects().stream()
            .filter(s -> !measured.contains(s.place()) && !isElsewhere(s.place()))
            .findFirst()
            .filter(s -> s.probability() >= CERTAIN || beadAt(s.place()));
    if (top.isEmpty()) {
      return Optional.empty();
    }
    String place = top.get().place();
    if (beadAt(place)) {
      return Optional.of(rateIsOpen() ? countDrops(place) : repair());
    }
    Proposal otherwise = oneCheckAlone(place).orElse(repair());
    return Optional.of(
        refuting(place, top.get().probability()).map(p -> p.because(Why.REFUTE)).orElse(otherwise));
  }

  private static boolean isInside(String place) {
    return Case.VOCABULARY.facts(place).kind() == PlaceKind.INSIDE;
  }

  private static boolean isElsewhere(String place) {
    return Case.VOCABULARY.facts(place).kind() == PlaceKind.ELSEWHERE;
  }

  /** Of the inside no check alone condemns a head: another kind of it comes first. */
  private Optional<Proposal> oneCheckAlone(String place) {
    return isInside(place) && InsideSeen.of(job).kinds() < 2
        ? best(Action::inside, Why.ONE_ALONE)
        : Optional.empty();
  }

  private boolean beadAt(String place) {
    return job.latest().stream()
        .filter(Looked::wet)
        .anyMatch(l -> l.place().equals(place) && l.driedBefore());
  }

  /** Whether a leak was measured, and no site's flow. */
  private boolean rateIsOpen() {
    return job.held(false)
            .filter(h -> h.verdict() == VerdictKind.LEAK && h.outcome() instanceof Outcome.Rate)
            .isPresent()
        && job.measured().isEmpty();
  }

  private static Proposal countDrops(String place) {
    Action count = new Action.CountDrops(place);
    return new Proposal(
        count, Case.VOCABULARY.minutes(count.word()), 0, List.of(), List.of(place), Why.BALANCE);
  }

  /** The cheapest check of which an outcome would lower the odds of a place by much. */
  private Optional<Proposal> refuting(String place, double p) {
    return candidates.stream()
        .filter(c -> c.settles().contains(place) && refutes(c.check(), place, p))
        .min(
            Comparator.comparingDouble((Candidate c) -> c.check().minutes())
                .thenComparing(c -> c.what() instanceof Action.Look l && l.dried() ? 0 : 1))
        .map(this::proposal);
  }

  private boolean refutes(Check check, String place, double p) {
    double now = p / (1 - p);
    for (Evidence outcome : check.outcomes()) {
      double then = known.marginal(place, outcome);
      if (then / (1 - then) < REFUTES * now) {
        return true;
      }
    }
    return false;
  }
}
