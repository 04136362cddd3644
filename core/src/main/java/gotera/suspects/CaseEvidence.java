package gotera.suspects;

import gotera.balance.LeakBalance;
import gotera.circuit.Circuit.Joint;
import gotera.dye.Glow;
import gotera.evidence.Evidence;
import gotera.evidence.MeasuredRate;
import gotera.evidence.Mode;
import gotera.evidence.MoreIsLost;
import gotera.evidence.Track;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.LevelWatched;
import gotera.suspects.Clue.Showed;
import gotera.suspects.Clue.Sighting;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Scanned;
import gotera.uncertainty.DecisionLimits;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the observations of a case mean as likelihoods. What a check could not exercise states
 * nothing; what was told, seen and measured of one thing counts once, as the most specific of them.
 */
final class CaseEvidence {
  /**
   * A look at less than this share of the rated pressure is one without pressure (our judgement).
   */
  private static final double PRESSED_SHARE = 0.5;

  /** Relative standard uncertainty of a gross leak beyond its lower bound (our judgement). */
  private static final double GROSS_U = 0.3;

  /** Nothing shows for certain (our judgement). */
  private static final double MOST = 0.95;

  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case job;
  private final List<Evidence> findings = new ArrayList<>();

  /** What was in the test of each look under pressure. */
  private final Map<Looked, Scoped> tests;

  private CaseEvidence(Case job) {
    this.job = job;
    this.tests = job.tests();
  }

  /** Everything that counts, as it is weighed. */
  static List<Evidence> of(Case job) {
    CaseEvidence all = new CaseEvidence(job);
    if (!job.afterRepair()) {
      Signs.of(job).forEach(all.findings::add);
    }
    all.looks();
    Drips.of(job, all.pressed()).forEach(all.findings::add);
    all.lamp();
    all.conditions();
    all.caps();
    all.findings.addAll(InsideEvidence.of(job));
    all.rates();
    all.complaint();
    return List.copyOf(all.findings);
  }

  /** What the widest hold exercised; without one, what one would now. */
  private Scoped pressed() {
    return job.held(false)
        .map(h -> Scoped.of(job.circuit(), AsNow.OPEN, h.scope()))
        .orElseGet(() -> Scoped.of(job.circuit(), job.now(), Observation.Scope.of("")));
  }

  /** What came out just now stands by itself; all the rest of a place is one track. */
  private void looks() {
    Map<String, List<Evidence.AtPlace>> tracks = new LinkedHashMap<>();
    for (Looked look : job.looks()) {
      seen(look)
          .ifPresent(
              e -> {
                if (look.fresh()) {
                  findings.add(e);
                } else {
                  tracks.computeIfAbsent(look.place(), p -> new ArrayList<>()).add(e);
                }
              });
    }
    paper().forEach((p, e) -> tracks.computeIfAbsent(p, x -> new ArrayList<>()).add(e));
    tracks.forEach((place, seen) -> findings.add(track(place, seen)));
  }

  /** Called by what was seen wet last, else by what was seen last. */
  private static Evidence track(String place, List<Evidence.AtPlace> seen) {
    Evidence.AtPlace last =
        seen.stream()
            .filter(Evidence.AtPlace::wet)
            .reduce((a, b) -> b)
            .orElse(seen.get(seen.size() - 1));
    return seen.size() == 1
        ? last
        : new Track(last.label(), place, VOCABULARY.facts(place).modes(), seen);
  }

  private Optional<Evidence.AtPlace> seen(Looked look) {
    if (look.saw() == Sight.STAINED) {
      Clue clue = new Clue.Seen(Sighting.STAIN, look.place(), Optional.of(look.state()));
      return Optional.of(VOCABULARY.check("stain").seen(clue, look.place(), true));
    }
    if (!look.wet() && look.saw() != Sight.DRY) {
      return Optional.empty();
    }
    LookState state = state(look);
    boolean out =
        state == LookState.PRESSED
            && Optional.ofNullable(tests.get(look))
                .filter(t -> t.out().contains(look.place()))
                .isPresent();
    if (out) {
      return Optional.empty();
    }
    Evidence.AtPlace seen = look(job, look.place(), state, look.wet(), look.fresh());
    return Optional.of(
        look.saw() == Sight.RUNS
            ? seen.called(new Clue.Seen(Sighting.RUNS, look.place(), Optional.of(state)))
            : seen);
  }

  /**
   * A look at a place.
   *
   * @param dried whether it had been dried, or sprays: then only what leaks now wets it
   */
  static Evidence.AtPlace look(
      Case job, String place, LookState state, boolean wet, boolean dried) {
    PlaceFacts facts = VOCABULARY.facts(place);
    double falseAlarm = dried ? VOCABULARY.check("dry-and-look").falseAlarm() : facts.falseAlarm();
    Map<Mode, Double> acts = VOCABULARY.acts(state);
    Map<Mode, Double> sees = new EnumMap<>(Mode.class);
    for (Mode mode : facts.modes().keySet()) {
      double factor = acts.getOrDefault(mode, 1.0);
      boolean stays = dried && factor < 1;
      sees.put(mode, stays ? falseAlarm : Math.min(MOST, facts.seen().in(state) * factor));
    }
    Map<Mode, Double> others = new EnumMap<>(Mode.class);
    acts.forEach((mode, factor) -> others.put(mode, Math.min(1, factor)));
    Sighting seen =
        dried ? (wet ? Sighting.BEAD : Sighting.STAYS_DRY) : (wet ? Sighting.WET : Sighting.DRY);
    return new Evidence.AtPlace(
        new Clue.Seen(seen, place, Optional.of(state)),
        place,
        wet,
        sees,
        runsDown(job, place, state, dried),
        others,
        falseAlarm);
  }

  /**
   * Of what runs down to a place so much reaches it while it is watched (1) (our judgement,
   * untested).
   */
  private static final double WHILE_WATCHED = 0.15;

  private static Map<String, Double> runsDown(
      Case job, String place, LookState state, boolean watched) {
    Map<String, Double> from = new LinkedHashMap<>(job.above(place, state));
    from.replaceAll((p, runs) -> watched ? WHILE_WATCHED * runs : runs);
    return from;
  }

  private LookState state(Looked look) {
    double rated = job.held().map(Held::ratedKpa).orElse(Held.USUAL_RATED);
    // what a gross leak can keep is pressure
    boolean gross = job.holds(false).stream().anyMatch(h -> h.outcome() instanceof Outcome.AtLeast);
    boolean without =
        look.state() == LookState.PRESSED
            && !gross
            && look.gauge().isPresent()
            && look.gauge().getAsDouble() < PRESSED_SHARE * rated;
    return without ? LookState.COLD : look.state();
  }

  /** Paper at a place counts once, as it came away last. */
  private Map<String, Evidence.AtPlace> paper() {
    Map<String, Evidence.AtPlace> last = new LinkedHashMap<>();
    for (Observation.Blotted b : job.counting(Observation.Blotted.class)) {
      Sighting seen = b.damp() ? Sighting.DAMP_PAPER : Sighting.DRY_PAPER;
      last.put(
          b.place(),
          VOCABULARY.check("blot").seen(new Clue.Seen(seen, b.place()), b.place(), b.damp()));
    }
    return last;
  }

  /** Old glow that has not grown says nothing; glow never scanned before says little. */
  private void lamp() {
    Map<String, Scanned> last = new LinkedHashMap<>();
    job.counting(Scanned.class).forEach(s -> last.put(s.place(), s));
    for (Scanned scan : last.values()) {
      boolean glows = scan.glow().counts();
      if (glows || scan.glow() == Glow.DARK) {
        String facts = scan.glow() == Glow.UNSCANNED ? "dye-unscanned" : "dye";
        Sighting seen = glows ? Sighting.GLOW : Sighting.NO_GLOW;
        findings.add(
            VOCABULARY.check(facts).at(new Clue.Seen(seen, scan.place()), scan.place(), glows));
      }
    }
  }

  /** Each condition of a place once. */
  private void conditions() {
    Set<Felt> once = new java.util.LinkedHashSet<>(job.counting(Felt.class));
    for (Felt felt : once) {
      Clue clue = new Clue.InCondition(felt.saw(), felt.place());
      findings.add(VOCABULARY.check(felt.saw().word()).at(clue, felt.place(), true));
    }
  }

  /** Each cap as it was tried last. */
  private void caps() {
    Map<String, CapTried> last = new LinkedHashMap<>();
    job.counting(CapTried.class).forEach(c -> last.put(c.place(), c));
    last.values()
        .forEach(
            c ->
                findings.add(
                    VOCABULARY
                        .check("cap-test")
                        .at(
                            new Clue.Seen(
                                c.passed() ? Sighting.CAP_PASSES : Sighting.CAP_FAILS, c.place()),
                            c.place(),
                            !c.passed())));
  }

  /** The newest hold of each state, and a watch of the level. */
  private void rates() {
    job.held(false).ifPresent(this::cold);
    job.held(true)
        .ifPresent(
            h -> rate(h, Showed.HOT_HOLD_FALLS, Showed.HOT_HOLD_STEADY, h.outcome(), Set.of()));
    job.counting(LevelWatched.class).stream()
        .reduce((a, b) -> b)
        .ifPresent(
            w ->
                findings.add(
                    new MeasuredRate(
                        new Clue.Result(
                            falls(w.rate(), w.rateU()) ? Showed.LEVEL_FALLS : Showed.LEVEL_STANDS),
                        w.rate(),
                        w.rateU(),
                        (place, mode) -> !cutOffNow().contains(place))));
  }

  private Set<String> cutOffNow() {
    return job.circuit().joints().stream()
        .filter(j -> job.now().cutOff().contains(j.branch()))
        .map(Joint::code)
        .collect(java.util.stream.Collectors.toSet());
  }

  /**
   * Holds of different extent stand beside each other: what they differ by is the branch that was
   * cut off.
   */
  private void cold(Held whole) {
    List<Held> parts = job.holds(false).stream().filter(h -> isPart(h, whole)).toList();
    if (parts.isEmpty()) {
      hold(whole);
      return;
    }
    for (Held part : parts) {
      branch(whole, part);
    }
    hold(parts.stream().max(Comparator.comparingInt((Held h) -> job.out(h).size())).orElseThrow());
  }

  private boolean isPart(Held part, Held whole) {
    return part != whole
        && part.outcome() instanceof Outcome.Rate
        && whole.outcome() instanceof Outcome.Rate
        && job.out(part).size() > job.out(whole).size()
        && job.out(part).containsAll(job.out(whole));
  }

  /** The branch that was cut off loses what less is lost without it. */
  private void branch(Held whole, Held part) {
    Outcome.Rate all = (Outcome.Rate) whole.outcome();
    Outcome.Rate rest = (Outcome.Rate) part.outcome();
    Set<String> branch = new HashSet<>(job.out(part));
    branch.removeAll(job.out(whole));
    double u = Math.hypot(all.u(), rest.u());
    LeakBalance left =
        job.balance(new Outcome.Rate(all.rate() - rest.rate(), u, all.law()), whole, branch);
    Scoped scoped = Scoped.of(job.circuit(), AsNow.OPEN, whole.scope());
    findings.add(
        new MeasuredRate(
            new Clue.Result(
                falls(left.unexplained(), left.unexplainedU())
                    ? Showed.BRANCH_LOSES
                    : Showed.BRANCH_HOLDS),
            left.unexplained(),
            left.unexplainedU(),
            (place, mode) ->
                branch.contains(place)
                    && scoped.exercises(place, mode)
                    && !job.measured().contains(place)));
  }

  /** What is left once the sites are taken off: whatever else leaks has to explain it. */
  private void hold(Held held) {
    Set<String> in =
        job.places().stream().map(PlaceFacts::place).collect(java.util.stream.Collectors.toSet());
    in.removeAll(job.out(held));
    boolean sites = job.measured().stream().anyMatch(in::contains) || !job.caught(held).isEmpty();
    boolean rest =
        sites && held.verdict() == VerdictKind.LEAK && held.outcome() instanceof Outcome.Rate;
    Outcome outcome = held.outcome();
    Set<String> taken = new HashSet<>(job.measured());
    if (rest && held.outcome() instanceof Outcome.Rate r) {
      LeakBalance left = job.balance(r, held, in);
      outcome = new Outcome.Rate(left.unexplained(), left.unexplainedU(), r.law());
      if (!job.caught(held).isEmpty()) {
        job.places().stream().filter(PlaceFacts::inside).forEach(p -> taken.add(p.place()));
      }
    }
    rate(
        held,
        rest ? Showed.HOLD_REST : Showed.HOLD_FALLS,
        rest ? Showed.HOLD_EXPLAINED : Showed.HOLD_STEADY,
        outcome,
        taken);
  }

  private static boolean falls(double rate, double u) {
    return rate > DecisionLimits.K * u;
  }

  /** Of a gross leak only a lower bound is known. */
  private void rate(Held held, Showed falls, Showed steady, Outcome outcome, Set<String> taken) {
    Scoped scoped = Scoped.of(job.circuit(), AsNow.OPEN, held.scope());
    double rate;
    double u;
    if (outcome instanceof Outcome.Rate r) {
      rate = r.rate();
      u = r.u();
    } else if (outcome instanceof Outcome.AtLeast gross) {
      rate = gross.rate();
      u = GROSS_U * gross.rate();
    } else {
      return;
    }
    findings.add(
        new MeasuredRate(
            new Clue.Result(
                falls(rate, u)
                    ? falls
                    : steady == Showed.HOLD_STEADY && !isSteady(rate, u)
                        ? Showed.HOLD_UNCLEAR
                        : steady),
            rate,
            u,
            (place, mode) -> scoped.exercises(place, mode) && !taken.contains(place)));
  }

  /** Only a bound says that nothing falls: what cannot be told from a leak is unclear. */
  static boolean isSteady(double rate, double u) {
    return rate + DecisionLimits.K * u <= Purpose.REPAIR.usual();
  }

  /** More is lost than was measured: then something leaks that the tests did not exercise. */
  private void complaint() {
    MoreLost.of(job)
        .filter(m -> m.apart() > MoreIsLost.CRITICAL)
        .ifPresent(
            m ->
                findings.add(
                    new MoreIsLost(
                        new Clue.Result(Showed.MORE_IS_LOST),
                        m.apart(),
                        (p, mode) -> !m.exercised(p, mode))));
  }
}
