package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.suspects.Action.OfTheWhole;
import gotera.suspects.Action.Whole;
import gotera.suspects.Candidates.Candidate;
import gotera.suspects.Flag.Kind;
import gotera.suspects.Proposal.Why;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What to do next. What is found is repaired, and nothing else is; what is wet is dried and
 * watched; else the check that tells most for its minutes, with what must come first in them. Where
 * nothing leaks that is said, and where nothing here tells more it is watched over days.
 */
final class NextSteps {
  /** From this probability on a place is all but certain (our judgement, untested). */
  static final double CERTAIN = 0.8;

  /** A check that tells less is none (bit) (our judgement, untested). */
  private static final double TELLS_NOTHING = 0.01;

  /** A minute that tells less is better spent otherwise (bit/min) (our judgement, untested). */
  private static final double WORTH_A_MINUTE = 0.001;

  /**
   * What tells less than this share of the best does not come first, however quick (1) (our
   * judgement, untested).
   */
  private static final double WORTH_ITS_WALK = 0.05;

  /** From here on nothing is wrong, where nobody complains of a loss (our judgement, untested). */
  private static final double NOTHING_WRONG = 0.3;

  private final Case job;
  private final Posterior known;
  private final Set<Kind> flags;
  private final Set<String> found;
  private final List<Candidate> candidates;
  private final List<Proposal> ranked;

  private NextSteps(Case job, Posterior known, Set<Kind> flags) {
    this.job = job;
    this.known = known;
    this.flags = flags;
    this.found = Found.places(job, known);
    this.candidates = Candidates.of(job, known);
    List<Proposal> telling =
        candidates.stream()
            .map(this::proposal)
            .filter(p -> p.bits() > TELLS_NOTHING && p.perMinute() > WORTH_A_MINUTE)
            .toList();
    double most = telling.stream().mapToDouble(Proposal::bits).max().orElse(0);
    this.ranked =
        telling.stream()
            .sorted(
                Comparator.comparing((Proposal p) -> p.bits() < WORTH_ITS_WALK * most)
                    .thenComparing(Comparator.comparingDouble(Proposal::perMinute).reversed()))
            .toList();
  }

  /** The proposals, the first one first. */
  static List<Proposal> of(Case job, Posterior known, Set<Kind> flags) {
    if (AfterRepair.awaitsProof(job)) {
      return List.of(whole(Whole.RE_TEST, Why.REPAIRED));
    }
    if (AfterRepair.holdsLonger(job)) {
      return List.of(whole(Whole.RE_TEST, Why.HOLD_LONGER));
    }
    if (AfterRepair.staysDry(job)) {
      return List.of(whole(Whole.DONE, Why.STAYS_DRY));
    }
    if (job.isExplained() && job.contradictions().isEmpty()) {
      return List.of(whole(Whole.REPAIR, Why.FOUND));
    }
    NextSteps steps = new NextSteps(job, known, flags);
    List<Proposal> all = new ArrayList<>();
    steps.first().ifPresent(all::add);
    steps.ranked.stream()
        .filter(p -> all.stream().noneMatch(f -> f.what().equals(p.what())))
        .forEach(all::add);
    if (all.isEmpty()) {
      all.add(whole(Whole.LEVEL_WATCH, Why.NOT_FOUND));
    }
    return all;
  }

  static Proposal whole(Whole what, Why why) {
    return new Proposal(new OfTheWhole(what), 0, 0, List.of(), List.of(), why);
  }

  private Proposal proposal(Candidate c) {
    return new Proposal(
        c.what(),
        c.check().minutes(),
        c.check().gain(known),
        c.first(),
        c.settles(),
        why(c.what()));
  }

  /** A check that was made before is made again for a reason of its own. */
  private Why why(Action what) {
    boolean watched =
        what instanceof Action.Look look
            && look.dried()
            && Watching.beads(job, look.at()).containsKey(look.then());
    boolean gas =
        what.is(Whole.COMBUSTION_GAS)
            && job.counting(Observation.GasChecked.class).stream()
                .anyMatch(g -> g.notCounted().isEmpty());
    boolean bubbles =
        what.is(Whole.BUBBLES)
            && job.counting(Checked.Bubbled.class).stream().anyMatch(b -> b.notCounted().isEmpty());
    return watched ? Why.WATCH_AGAIN : gas || bubbles ? Why.DISAGREE : Why.TELLS_MOST;
  }

  private Optional<Proposal> first() {
    if (flags.contains(Kind.GAS_CHECK_FIRST)) {
      return asked(p -> p.is(Whole.COMBUSTION_GAS), Why.SAME_PART);
    }
    ToRepair repairs = new ToRepair(job, known, flags, found, ranked);
    return again()
        .or(repairs::settled)
        .or(repairs::first)
        .or(this::watch)
        .or(this::anotherKind)
        .or(this::wrong)
        .or(this::isItLost)
        .or(this::byFlag);
  }

  /** A check that did not count is made again; a first pool is emptied and waited for anew. */
  private Optional<Proposal> again() {
    if (flags.contains(Kind.COMBUSTION_GAS_DOES_NOT_COUNT)) {
      return asked(p -> p.is(Whole.COMBUSTION_GAS), Why.AGAIN);
    }
    if (flags.contains(Kind.BUBBLES_DO_NOT_COUNT)) {
      return asked(p -> p.is(Whole.BUBBLES), Why.AGAIN);
    }
    return flags.contains(Kind.POOLED_FOR_WEEKS)
        ? asked(p -> p.is(Whole.CYLINDER), Why.SECOND_AMOUNT)
        : Optional.empty();
  }

  private static final double EVEN = 0.5;

  /** From here on a place is watched before anything else (1) (our judgement, untested). */
  private static final double LIKELY = 0.7;

  /** What is wet is dried and watched, a first bead once more, what is likely too. */
  private Optional<Proposal> watch() {
    return new ToWatch(job, known, found, candidates)
        .first()
        .map(c -> proposal(c.check()).because(c.why()))
        .or(this::refute);
  }

  /**
   * Of the inside no check alone condemns a head: another kind of it comes next; and where one
   * fluid is not as it should be, the others are looked at.
   */
  private Optional<Proposal> anotherKind() {
    boolean fluid =
        job.counting(Checked.FluidSeen.class).stream().anyMatch(f -> f.saw() != Checked.Look.CLEAN);
    Optional<Proposal> fluids =
        fluid
            ? asked(p -> p instanceof Action.LookAtFluid, Why.INSIDE)
                .or(() -> best(Action::inside, Why.INSIDE))
            : Optional.empty();
    double inside =
        known.suspects().stream()
            .filter(s -> Case.VOCABULARY.facts(s.place()).kind() == PlaceKind.INSIDE)
            .mapToDouble(Posterior.Suspect::probability)
            .sum();
    InsideSeen seen = InsideSeen.of(job);
    Predicate<Action> shown =
        p ->
            seen.gas() && p.is(Whole.COMBUSTION_GAS)
                || seen.bubbles() && p.is(Whole.BUBBLES)
                || seen.wet() && p.is(Whole.CYLINDER);
    return fluids.or(
        () ->
            inside >= EVEN
                ? best(p -> p.inside() && !shown.test(p), Why.ONE_ALONE)
                    .or(() -> best(Action::inside, Why.DISAGREE))
                : Optional.empty());
  }

  /** What is likely is watched too, before it is called found. */
  private Optional<Proposal> refute() {
    return known.suspects().stream()
        .filter(s -> s.probability() >= LIKELY)
        .flatMap(s -> best(p -> ToWatch.dries(p, s.place()), Why.REFUTE).stream())
        .findFirst();
  }

  /**
   * No loss is told of, a hold was tight, and whatever shows was dry under pressure or running: so
   * nothing is likelier wrong than one would think beforehand. Where it was dry in both, an old
   * puddle or a smell is no reason to search on: the one place it points to is looked at, and done.
   */
  private Optional<Proposal> wrong() {
    if (Signs.lossTold(job) || job.held(false).filter(Rules::steady).isEmpty()) {
      return Optional.empty();
    }
    boolean looked =
        job.looks().stream()
            .anyMatch(l -> l.state() == LookState.PRESSED || l.state() == LookState.RUNNING);
    boolean wet = job.looks().stream().anyMatch(Observation.Looked::wet);
    boolean sure = looked && known.probability() >= (wet ? EVEN : NOTHING_WRONG);
    boolean dry = dry(LookState.PRESSED) && dry(LookState.RUNNING);
    Posterior.Suspect top = known.suspects().get(0);
    Optional<Proposal> there =
        sure || top.probability() < POINTS_THERE
            ? Optional.empty()
            : best(p -> ToWatch.dries(p, top.place()), Why.REFUTE);
    return sure || dry && Watching.pending(job).isEmpty()
        ? there.or(() -> Optional.of(whole(Whole.DONE, Why.NOTHING_WRONG)))
        : Optional.empty();
  }

  private boolean dry(LookState state) {
    return Outside.of(job, state, Set.of()).dry() > EVEN;
  }

  /** From here on what was told points to one place (1) (our judgement, untested). */
  private static final double POINTS_THERE = 0.4;

  /**
   * Where nobody tells of a loss, a hold says first whether anything is lost at all; where it is
   * pumped up and nothing was seen, whether it is lost cold.
   */
  private Optional<Proposal> isItLost() {
    boolean looked = !job.looks().isEmpty();
    boolean pressed =
        job.looks().stream().anyMatch(l -> l.state() == LookState.PRESSED && !l.driedBefore());
    if (!Signs.lossTold(job) && AfterRepair.unclear(job)) {
      return Optional.of(whole(Whole.PRESSURE_TEST, Why.HOLD_LONGER));
    }
    boolean now = !Signs.lossTold(job) || pressed || Signs.groundHides(job);
    return (looked || Signs.groundHides(job))
            && now
            && job.counting(Observation.Held.class).isEmpty()
        ? best(p -> p.is(Whole.PRESSURE_TEST), Why.UNKNOWN_PLACE)
        : Optional.empty();
  }

  private Optional<Proposal> byFlag() {
    // where something is hidden it may be there as well
    if (flags.contains(Kind.FALLS_AND_DRY_OUTSIDE) && job.hidden().isEmpty()) {
      return best(Action::inside, Why.INSIDE);
    }
    if (flags.contains(Kind.GROSS_LEAK)) {
      return best(p -> p instanceof Action.LookRound && in(p, LookState.PRESSED), Why.GROSS);
    }
    if (flags.contains(Kind.NOTHING_FOUND)) {
      return asked(p -> p.is(Whole.DYE) || p.is(Whole.PRESSURE_TEST), Why.NOTHING_SEEN);
    }
    if (OtherCandidates.partLeftOut(job)) {
      return best(p -> p.is(Whole.PRESSURE_TEST), Why.NOT_IN_THE_TEST);
    }
    return Optional.empty();
  }

  static boolean in(Action what, LookState state) {
    return what.state().filter(s -> s == state).isPresent();
  }

  private Optional<Proposal> best(Predicate<Action> which, Why why) {
    return best(ranked, which, why);
  }

  /** The first of those that are ranked that is one of these; one made again keeps its reason. */
  static Optional<Proposal> best(List<Proposal> ranked, Predicate<Action> which, Why why) {
    return ranked.stream()
        .filter(p -> which.test(p.what()))
        .findFirst()
        .map(p -> p.why() == Why.TELLS_MOST ? p.because(why) : p);
  }

  /** What a rule of the trade asks for, however little it is expected to tell. */
  private Optional<Proposal> asked(Predicate<Action> which, Why why) {
    return candidates.stream()
        .filter(c -> which.test(c.what()))
        .map(c -> proposal(c).because(why))
        .max(Comparator.comparingDouble(Proposal::perMinute));
  }
}
