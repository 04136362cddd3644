package gotera.suspects;

import gotera.circuit.Circuit.Joint;
import gotera.combustion.GasColour;
import gotera.evidence.Check;
import gotera.evidence.Evidence;
import gotera.evidence.Mode;
import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.suspects.Action.OfTheWhole;
import gotera.suspects.Action.Whole;
import gotera.suspects.Candidates.Candidate;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Scope;
import gotera.suspects.Proposal.First;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Checks that are no look at one place: a hold, dye, gas, bubbles, cylinders, fluids, the cap. */
final class OtherCandidates {
  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case job;
  private final Posterior known;
  private final Preparation preparation;
  private final Set<String> outOfTest;
  private final List<Candidate> all = new ArrayList<>();

  private OtherCandidates(Case job, Posterior known) {
    this.job = job;
    this.known = known;
    this.preparation = Preparation.of(job);
    this.outOfTest = Scoped.of(job.circuit(), job.now(), Scope.of(Candidates.loop(job))).out();
  }

  static List<Candidate> of(Case job, Posterior known) {
    OtherCandidates others = new OtherCandidates(job, known);
    others.hold();
    others.dye();
    others.inside();
    others.fluids();
    others.overnight();
    others.cap();
    return List.copyOf(others.all);
  }

  /** A hold, where none counts yet or part of the circuit was not in it. */
  private void hold() {
    boolean measured =
        job.held(false).filter(h -> h.outcome() instanceof Observation.Outcome.Nothing).isEmpty()
            && job.held(false).isPresent();
    if (measured && !partLeftOut()) {
      return;
    }
    Scoped scoped = Scoped.of(job.circuit(), job.now(), Scope.of(Candidates.loop(job)));
    CheckFacts facts = VOCABULARY.check(Whole.PRESSURE_TEST.word());
    Map<String, Double> causes = new HashMap<>();
    job.open().stream()
        .filter(p -> !scoped.out().contains(p.place()))
        .forEach(p -> causes.put(p.place(), facts.sees()));
    Map<Mode, Double> acts = new EnumMap<>(Mode.class);
    scoped.acts().forEach((mode, factor) -> acts.put(mode, factor >= 1 ? 1.0 : 0));
    add(
        new OfTheWhole(Whole.PRESSURE_TEST),
        VOCABULARY.minutes(Whole.PRESSURE_TEST.word()),
        preparation.before(LookState.PRESSED),
        new RegionFacts(Whole.PRESSURE_TEST.word(), causes, acts, facts.falseAlarm()));
  }

  /** Whether the last hold left something out that is not cut off for good. */
  boolean partLeftOut() {
    return partLeftOut(job);
  }

  static boolean partLeftOut(Case job) {
    return job.held(false)
        .map(Held::scope)
        .filter(s -> s.heaterValveShut() || !job.now().cutOff().containsAll(s.cutOff()))
        .isPresent();
  }

  private void add(Action label, double minutes, List<First> first, RegionFacts facts) {
    List<String> settles =
        facts.causes().keySet().stream()
            .filter(c -> job.open().stream().anyMatch(p -> p.place().equals(c)))
            .sorted(
                Comparator.comparingDouble(
                        (String c) -> -known.marginal(c) * facts.causes().getOrDefault(c, 0.0))
                    .thenComparing(c -> c))
            .limit(MOST_SETTLED)
            .toList();
    if (!settles.isEmpty()) {
      all.add(
          new Candidate(
              label,
              new Check(
                  label,
                  Preparation.minutes(first) + minutes,
                  List.of(facts.evidence(label, true), facts.evidence(label, false))),
              first,
              settles));
    }
  }

  private static final int MOST_SETTLED = 3;

  /** Dye comes after the eye: once most of what shows outside was looked at. */
  private boolean lookedFor() {
    return Outside.of(job, LookState.PRESSED, outOfTest).dry() > HALF
        && Outside.of(job, LookState.RUNNING, Set.of()).dry() > HALF;
  }

  private static final double HALF = 0.5;

  /** So many places are told apart in what dye is expected to tell; the rest are one. */
  private static final int MOST_TOLD_APART = 12;

  /** Of what is covered or hidden the lamp shows so much less (1) (our judgement, untested). */
  private static final double THROUGH_A_GAP = 0.5;

  private boolean covered(String place) {
    return job.hidden().contains(place) || VOCABULARY.facts(place).access().coverMinutes() > 0;
  }

  /** Dye shows one of the places, or none. */
  private void dye() {
    if (!job.counting(Scanned.class).isEmpty()
        || !lookedFor()
        || job.counting(Held.class).isEmpty()) {
      return;
    }
    CheckFacts facts = VOCABULARY.check(Whole.DYE.word());
    Map<String, Map<Mode, Double>> shows = new HashMap<>();
    Map<Mode, Double> always = new EnumMap<>(Mode.class);
    Map<Mode, Double> less = new EnumMap<>(Mode.class);
    for (Mode mode : Mode.values()) {
      always.put(
          mode,
          facts.sees() * Math.min(1, VOCABULARY.acts(LookState.RUNNING).getOrDefault(mode, 1.0)));
    }
    always.forEach((mode, sees) -> less.put(mode, THROUGH_A_GAP * sees));
    job.circuit().joints().stream()
        .map(Joint::code)
        .filter(j -> !Candidates.cutOff(job, j))
        .forEach(j -> shows.put(j, covered(j) ? less : always));
    Action label = new OfTheWhole(Whole.DYE);
    List<String> likely =
        known.suspects().stream()
            .map(Posterior.Suspect::place)
            .filter(shows::containsKey)
            .limit(MOST_TOLD_APART)
            .toList();
    Set<String> others = new HashSet<>(shows.keySet());
    likely.forEach(others::remove);
    double each = facts.falseAlarm() / shows.size();
    List<Evidence> outcomes = Candidates.oneOf(label, likely, others, shows, each);
    all.add(
        new Candidate(
            label,
            new Check(label, VOCABULARY.minutes(Whole.DYE.word()), outcomes),
            List.of(),
            known.suspects().stream()
                .map(Posterior.Suspect::place)
                .filter(shows::containsKey)
                .limit(MOST_SETTLED)
                .toList()));
  }

  private void inside() {
    if (job.circuit().part("block").isEmpty()) {
      return;
    }
    long gas =
        job.counting(GasChecked.class).stream().filter(g -> g.notCounted().isEmpty()).count();
    long bubbles =
        job.counting(Bubbled.class).stream().filter(b -> b.notCounted().isEmpty()).count();
    int most = disagree() ? MOST_REPEATS : 1;
    if (gas < most) {
      result(Whole.COMBUSTION_GAS, "gas", preparation.before(LookState.RUNNING));
    }
    if (bubbles < most) {
      result(Whole.BUBBLES, "gas-bubbles", preparation.before(LookState.RUNNING));
    }
    List<InCylinder> cylinders = job.counting(InCylinder.class);
    // plugs come out after a hold: what it loses goes somewhere
    if (cylinders.stream().allMatch(InCylinder::pooled)
        && (!job.counting(Held.class).isEmpty() || !cylinders.isEmpty())) {
      result(Whole.CYLINDER, "wet-cylinder", preparation.before(LookState.PRESSED));
    }
  }

  /** A fallible check is repeated so often where another kind of it disagrees (our judgement). */
  private static final int MOST_REPEATS = 2;

  /** Whether one kind of check of the inside shows something and another nothing. */
  private boolean disagree() {
    long kinds = InsideSeen.of(job).kinds();
    boolean quiet =
        job.counting(GasChecked.class).stream()
                .anyMatch(g -> g.notCounted().isEmpty() && g.colour() == GasColour.BLUE)
            || job.counting(Bubbled.class).stream()
                .anyMatch(b -> b.notCounted().isEmpty() && !b.result().gas())
            || job.counting(InCylinder.class).stream().anyMatch(c -> !c.wet());
    return kinds > 0 && quiet;
  }

  private void result(Whole check, String facts, List<First> first) {
    add(new OfTheWhole(check), VOCABULARY.minutes(check.word()), first, VOCABULARY.result(facts));
  }

  private void fluids() {
    Set<Fluid> seen = new HashSet<>();
    job.counting(FluidSeen.class).forEach(f -> seen.add(f.at()));
    boolean burns = job.circuit().part("block").isPresent();
    boolean gearbox = job.circuit().joint("gearbox-cooler.core").isPresent();
    for (Fluid fluid : List.of(Fluid.DIPSTICK, Fluid.COOLANT_SURFACE, Fluid.GEARBOX)) {
      boolean there = fluid == Fluid.GEARBOX ? gearbox : burns;
      if (there && !seen.contains(fluid)) {
        String facts =
            switch (fluid) {
              case GEARBOX -> "pink-gearbox";
              case COOLANT_SURFACE ->
                  gearbox && seen.contains(Fluid.GEARBOX) ? "pink-coolant" : "oil-film";
              default -> "dipstick-emulsion";
            };
        add(
            new Action.LookAtFluid(fluid),
            VOCABULARY.minutes("fluid"),
            List.of(),
            VOCABULARY.result(facts));
      }
    }
  }

  /** A night of waiting counts as so much work (min) (our judgement, untested). */
  private static final double A_NIGHT = 60;

  /**
   * Left until the next morning: what opens only when it shrinks, and what needs a night to show.
   */
  private void overnight() {
    Set<String> seen =
        job.looks().stream()
            .filter(l -> l.state() == LookState.PARKED)
            .map(Looked::place)
            .collect(Collectors.toSet());
    if (!job.counting(Held.class).isEmpty()) {
      Candidates.round(
              job,
              known,
              LookState.PARKED,
              new OfTheWhole(Whole.PARKED_OVERNIGHT),
              preparation.before(LookState.PARKED),
              seen)
          .map(c -> c.after(A_NIGHT))
          .ifPresent(all::add);
    }
  }

  private void cap() {
    CheckFacts facts = VOCABULARY.check("cap-test");
    Set<String> tried =
        job.counting(CapTried.class).stream()
            .map(CapTried::place)
            .filter(p -> CapTried.fails(job, p) != 1)
            .collect(Collectors.toSet());
    for (String place : CapTried.CAPS) {
      Action label = new Action.TryCap(place);
      if (!tried.contains(place) && job.open().stream().anyMatch(p -> p.place().equals(place))) {
        all.add(
            new Candidate(
                label,
                new Check(
                    label,
                    VOCABULARY.minutes("cap-test"),
                    List.of(facts.at(label, place, true), facts.at(label, place, false))),
                List.of(),
                List.of(place)));
      }
    }
  }
}
