package gotera.suspects;

import gotera.evidence.Check;
import gotera.evidence.Evidence;
import gotera.evidence.Mode;
import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Scope;
import gotera.suspects.Proposal.First;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Every check that can be made now, with what must come first in its minutes: looks by state, dried
 * looks, a hold, dye, fluids, gas, bubbles, cylinders, the cap. What was done in a state is not
 * offered in that state again.
 */
final class Candidates {
  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case job;
  private final Posterior known;
  private final Preparation preparation;
  private final Set<String> outOfTest;
  private final List<Candidate> all = new ArrayList<>();

  /**
   * A check that can be made.
   *
   * @param what what it is
   * @param check what it can show and costs
   * @param first what must come first
   * @param settles places it is about
   */
  record Candidate(Action what, Check check, List<First> first, List<String> settles) {
    /** The same after a wait that costs minutes. */
    Candidate after(double minutes) {
      return new Candidate(
          what, new Check(what, check.minutes() + minutes, check.outcomes()), first, settles);
    }
  }

  private Candidates(Case job, Posterior known) {
    this.job = job;
    this.known = known;
    this.preparation = Preparation.of(job);
    this.outOfTest = Scoped.of(job.circuit(), job.now(), Scope.of(loop(job))).out();
  }

  static String loop(Case job) {
    return job.held(false).map(Held::loop).orElse("");
  }

  static List<Candidate> of(Case job, Posterior known) {
    Candidates candidates = new Candidates(job, known);
    candidates.rounds();
    candidates.looks();
    candidates.all.addAll(OtherCandidates.of(job, known));
    return List.copyOf(candidates.all);
  }

  /** Walks round, in each state that can be had: what was looked at in it is left out. */
  private void rounds() {
    for (LookState s : states()) {
      Set<String> without =
          job.looks().stream()
              .filter(l -> l.state() == s)
              .map(Looked::place)
              .collect(Collectors.toSet());
      if (s == LookState.PRESSED) {
        without.addAll(outOfTest);
      }
      List<String> first =
          known.suspects().stream()
              .map(Posterior.Suspect::place)
              .filter(p -> isOpen(p) && !without.contains(p))
              .limit(MOST_NAMED)
              .toList();
      round(job, known, s, new Action.LookRound(s, first), preparation.before(s), without)
          .ifPresent(all::add);
    }
  }

  /** A walk names the places to begin with. */
  private static final int MOST_NAMED = 6;

  /** So many places are told apart in what a walk is expected to tell; the rest are one. */
  private static final int MOST_TOLD_APART = 12;

  /** A walk for less than this share of what shows is none (1) (our judgement, untested). */
  private static final double WORTH_A_WALK = 0.15;

  /** A place that is suspected so much is worth a walk alone (1) (our judgement, untested). */
  private static final double SUSPECTED = 0.1;

  /** Whether a place can be seen as it is. */
  private boolean isOpen(String place) {
    return isOpen(job, VOCABULARY.facts(place));
  }

  private static boolean isOpen(Case job, PlaceFacts p) {
    return p.kind() != PlaceKind.INSIDE
        && p.kind() != PlaceKind.ELSEWHERE
        && p.access().coverMinutes() <= 0
        && !job.hidden().contains(p.place())
        && !cutOff(job, p.place());
  }

  /** What a walk can show: one of the places, or none. */
  static Optional<Candidate> round(
      Case job,
      Posterior known,
      LookState state,
      Action what,
      List<First> first,
      Set<String> without) {
    Map<String, Map<Mode, Double>> shows = new LinkedHashMap<>();
    double all = 0;
    double open = 0;
    double most = 0;
    double falseAlarm = 0;
    for (PlaceFacts p : job.open()) {
      if (!isOpen(job, p) || p.seen().in(state) <= 0) {
        continue;
      }
      all += p.prior();
      if (!without.contains(p.place())) {
        open += p.prior();
        most = Math.max(most, known.marginal(p.place()));
        falseAlarm += p.falseAlarm();
        Map<Mode, Double> sees = new EnumMap<>(Mode.class);
        for (Mode mode : Mode.values()) {
          double acts = Math.min(1, VOCABULARY.acts(state).getOrDefault(mode, 1.0));
          sees.put(mode, p.seen().in(state) * acts);
        }
        shows.put(p.place(), sees);
      }
    }
    if (shows.isEmpty() || open < WORTH_A_WALK * all && most < SUSPECTED) {
      return Optional.empty();
    }
    List<String> likely =
        known.suspects().stream()
            .map(Posterior.Suspect::place)
            .filter(shows::containsKey)
            .limit(MOST_TOLD_APART)
            .toList();
    Set<String> others = new HashSet<>(shows.keySet());
    likely.forEach(others::remove);
    double each = Math.min(HALF, falseAlarm * FOLLOWED) / shows.size();
    return Optional.of(
        new Candidate(
            what,
            new Check(
                what,
                Preparation.minutes(first) + VOCABULARY.minutes("look-round"),
                oneOf(what, likely, others, shows, each)),
            first,
            likely.stream().limit(MOST_SETTLED).toList()));
  }

  private static final double HALF = 0.5;

  private static final int MOST_SETTLED = 3;

  /**
   * What is wet for nothing is dried and stays dry: of what a walk sees by mistake so much is left
   * (1) (our judgement, untested).
   */
  private static final double FOLLOWED = 0.3;

  /** One of the likely places shows, or one of the others, or none. */
  static List<Evidence> oneOf(
      Action what,
      List<String> likely,
      Set<String> others,
      Map<String, Map<Mode, Double>> shows,
      double each) {
    List<Evidence> outcomes = new ArrayList<>();
    outcomes.add(new Evidence.Shown(what, Set.of(), shows, each * shows.size()));
    likely.forEach(p -> outcomes.add(new Evidence.Shown(what, Set.of(p), shows, each)));
    if (!others.isEmpty()) {
      outcomes.add(new Evidence.Shown(what, others, shows, each * others.size()));
    }
    return outcomes;
  }

  /** Places of their own: what is covered or hidden, and what is dried first and watched. */
  private void looks() {
    Set<String> hidden = job.hidden();
    Set<String> unclear = unclear();
    boolean held = !job.counting(Held.class).isEmpty();
    Map<String, LookState> pending = Watching.pending(job);
    for (PlaceFacts p : job.open()) {
      boolean seen = p.kind() != PlaceKind.INSIDE && p.kind() != PlaceKind.ELSEWHERE;
      boolean covered = p.access().coverMinutes() > 0 || hidden.contains(p.place());
      // covers stay on until a hold has said whether it falls cold
      boolean suspected = known.marginal(p.place()) >= SUSPECTED;
      boolean stays = covered && !held && !suspected && !unclear.contains(p.place());
      if (seen && !stays && !cutOff(job, p.place()) && (covered || unclear.contains(p.place()))) {
        for (LookState s : List.of(LookState.PRESSED, LookState.RUNNING)) {
          if (p.seen().in(s) > Watching.SHOWS_NOTHING
              && !(s == LookState.PRESSED && outOfTest.contains(p.place()))
              && (Watching.again(job, p.place(), s) || pending.get(p.place()) == s)) {
            add(p, s, covered);
          }
        }
      }
    }
  }

  /** A cold look without pressure, as long as it stands cold and without. */
  private List<LookState> states() {
    LookState now = preparation.state();
    return now == LookState.PARKED || now == LookState.COLD
        ? List.of(LookState.PRESSED, LookState.RUNNING, now)
        : List.of(LookState.PRESSED, LookState.RUNNING);
  }

  /** What hides a place is taken off (min) (our judgement, untested). */
  private static final double UNHIDE = 8;

  /** Dried first, and watched: what wets it then leaks there. */
  private void add(PlaceFacts p, LookState s, boolean covered) {
    List<First> first = new ArrayList<>(preparation.before(s));
    if (covered) {
      first.add(First.UNCOVER);
    }
    first.add(First.DRY);
    Action.Look look = new Action.Look(p.place(), s, true);
    double uncover = covered && p.access().coverMinutes() <= 0 ? UNHIDE : 0;
    double minutes =
        Preparation.minutes(first) + p.access().all() + uncover + VOCABULARY.minutes(look.word());
    all.add(
        new Candidate(
            look,
            new Check(
                look,
                minutes,
                List.of(
                    CaseEvidence.look(job, p.place(), s, true, true),
                    CaseEvidence.look(job, p.place(), s, false, true))),
            first,
            List.of(p.place())));
  }

  /** Places where something was seen that may come from elsewhere, or that are all but certain. */
  private Set<String> unclear() {
    Set<String> unclear = new HashSet<>();
    job.latest().stream()
        .filter(l -> l.wet() || l.saw() == Sight.STAINED)
        .forEach(l -> unclear.add(l.place()));
    job.counting(Felt.class).forEach(f -> unclear.add(f.place()));
    job.counting(Scanned.class).stream()
        .filter(c -> c.glow().counts())
        .forEach(c -> unclear.add(c.place()));
    job.counting(Observation.Blotted.class).stream()
        .filter(Observation.Blotted::damp)
        .forEach(b -> unclear.add(b.place()));
    job.looks().stream().filter(Looked::wet).forEach(l -> unclear.add(l.place()));
    known.suspects().stream()
        .filter(s -> s.probability() >= NextSteps.CERTAIN)
        .forEach(s -> unclear.add(s.place()));
    return unclear;
  }

  static boolean cutOff(Case job, String place) {
    return job.circuit()
        .joint(place)
        .filter(j -> job.now().cutOff().contains(j.branch()))
        .isPresent();
  }
}
