package gotera.suspects;

import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Action.OfTheWhole;
import gotera.suspects.Action.Whole;
import gotera.suspects.Candidates.Candidate;
import gotera.suspects.Flag.Kind;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Proposal.Why;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
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
    if (job.isExplained()) {
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

  private static Proposal whole(Whole what, Why why) {
    return new Proposal(new OfTheWhole(what), 0, 0, List.of(), List.of(), why);
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
      return asked(p -> p.is(Whole.COMBUSTION_GAS), Why.SAME_PART);
    }
    return again()
        .or(this::repair)
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

  /**
   * What is found is repaired; where a rate was measured and no site's flow, it is counted first.
   */
  private Optional<Proposal> repair() {
    Set<String> certain = Found.certain(job);
    if (!certain.isEmpty()) {
      Optional<Proposal> another =
          flags.contains(Kind.ANOTHER_LEAK)
              ? best(p -> p instanceof Action.LookRound && in(p, LookState.PRESSED), Why.BALANCE)
              : Optional.empty();
      boolean within = another.isEmpty() && flags.contains(Kind.FALLS_AND_DRY_OUTSIDE);
      return another
          .or(() -> within ? best(Action::inside, Why.INSIDE) : Optional.empty())
          .or(() -> Optional.of(whole(Whole.REPAIR, Why.FOUND)));
    }
    Optional<String> place =
        known.suspects().stream().map(Posterior.Suspect::place).filter(found::contains).findFirst();
    if (place.isEmpty() || known.marginal(place.get()) < EVEN) {
      return Optional.empty();
    }
    boolean drips =
        job.looks().stream()
            .filter(l -> l.place().equals(place.get()) && l.state() == LookState.PRESSED)
            .reduce((a, b) -> b)
            .filter(Observation.Looked::wet)
            .isPresent();
    return Optional.of(
        drips && rateIsOpen() ? countDrops(place.get()) : whole(Whole.REPAIR, Why.FOUND));
  }

  private static final double EVEN = 0.5;

  /** From here on a place is watched before anything else (1) (our judgement, untested). */
  private static final double LIKELY = 0.7;

  /**
   * What is wet or glows is dried and watched, in the state in which it was wet; cold it is
   * pressed. Whatever else spoke against it, that settles it in minutes. The likeliest first.
   */
  private Optional<Proposal> watch() {
    Map<String, LookState> pending = Watching.pending(job);
    return known.suspects().stream()
        .filter(s -> pending.containsKey(s.place()))
        .flatMap(s -> dried(s.place(), pending.getOrDefault(s.place(), LookState.PRESSED)).stream())
        .findFirst()
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
        fluid ? asked(p -> p instanceof Action.LookAtFluid, Why.INSIDE) : Optional.empty();
    Posterior.Suspect top = known.suspects().get(0);
    boolean inside = Case.VOCABULARY.facts(top.place()).kind() == PlaceKind.INSIDE;
    return fluids.or(
        () ->
            inside && top.probability() >= EVEN
                ? best(Action::inside, Why.ONE_ALONE)
                : Optional.empty());
  }

  /** What is likely is watched too, before it is called found. */
  private Optional<Proposal> refute() {
    return known.suspects().stream()
        .filter(s -> s.probability() >= LIKELY)
        .flatMap(s -> best(p -> isDried(p, s.place()), Why.REFUTE).stream())
        .findFirst();
  }

  private static boolean isDried(Action what, String place) {
    return what instanceof Action.Look look && look.dried() && look.at().equals(place);
  }

  private Optional<Proposal> dried(String place, LookState state) {
    return candidates.stream()
        .filter(c -> isDried(c.what(), place) && in(c.what(), state))
        .findFirst()
        .map(c -> proposal(c).because(Why.TRACE));
  }

  /** No loss is told of, a hold was tight, and whatever shows was dry under pressure or running. */
  private Optional<Proposal> wrong() {
    boolean held = job.held(false).filter(Rules::steady).isPresent();
    boolean looked =
        job.looks().stream()
            .anyMatch(l -> l.state() == LookState.PRESSED || l.state() == LookState.RUNNING);
    boolean wet = job.looks().stream().anyMatch(Observation.Looked::wet);
    double sure = wet ? EVEN : NOTHING_WRONG;
    return held && looked && !Signs.lossTold(job) && known.probability() >= sure
        ? Optional.of(whole(Whole.DONE, Why.NOTHING_WRONG))
        : Optional.empty();
  }

  /**
   * Where nobody tells of a loss, a hold says first whether anything is lost at all; where it is
   * pumped up and nothing was seen, whether it is lost cold.
   */
  private Optional<Proposal> isItLost() {
    boolean looked = !job.looks().isEmpty();
    boolean pressed =
        job.looks().stream().anyMatch(l -> l.state() == LookState.PRESSED && !l.driedBefore());
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

  private static boolean in(Action what, LookState state) {
    return what.state().filter(s -> s == state).isPresent();
  }

  private Optional<Proposal> best(Predicate<Action> which, Why why) {
    return ranked.stream().filter(p -> which.test(p.what())).findFirst().map(p -> p.because(why));
  }

  /** What a rule of the trade asks for, however little it is expected to tell. */
  private Optional<Proposal> asked(Predicate<Action> which, Why why) {
    return candidates.stream()
        .filter(c -> which.test(c.what()))
        .map(c -> proposal(c).because(why))
        .max(Comparator.comparingDouble(Proposal::perMinute));
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
}
