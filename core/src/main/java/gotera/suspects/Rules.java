package gotera.suspects;

import gotera.balance.LeakBalance;
import gotera.evidence.MoreIsLost;
import gotera.evidence.Posterior;
import gotera.look.LookState;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Flag.Kind;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Scanned;
import gotera.warming.Thermostat;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The rules of the trade that apply to a case, and why. */
final class Rules {
  /**
   * From this probability on, of all its places, a part is a suspect where it leads (our
   * judgement).
   */
  private static final double SUSPECT = 0.25;

  /** The same where it does not lead (our judgement, untested). */
  private static final double EVEN = 0.5;

  private final Case job;
  private final Posterior known;
  private final List<Flag> flags = new ArrayList<>();

  private Rules(Case job, Posterior known) {
    this.job = job;
    this.known = known;
  }

  static List<Flag> of(Case job, Posterior known) {
    Rules rules = new Rules(job, known);
    rules.dangers();
    rules.sameParts();
    rules.doNotCount();
    rules.holds();
    rules.decisive();
    rules.thermostat();
    return List.copyOf(rules.flags);
  }

  private void add(boolean applies, Kind kind) {
    if (applies) {
      flags.add(Flag.of(kind));
    }
  }

  private void dangers() {
    add(
        job.counting(FluidSeen.class).stream()
                .anyMatch(f -> f.at() == Checked.Fluid.GEARBOX && f.saw() == Checked.Look.PINK)
            || Signs.counting(job).contains("pink-froth"),
        Kind.STOP_DRIVING);
    List<InCylinder> wet = job.counting(InCylinder.class).stream().filter(InCylinder::wet).toList();
    add(!wet.isEmpty(), Kind.HYDRAULIC_LOCK);
    add(!wet.isEmpty() && wet.stream().allMatch(InCylinder::pooled), Kind.POOLED_FOR_WEEKS);
  }

  /** Only where that part is under suspicion, and nobody checked for gas yet. */
  private void sameParts() {
    boolean checked =
        job.counting(GasChecked.class).stream().anyMatch(g -> g.notCounted().isEmpty());
    boolean burns = job.circuit().part("block").isPresent();
    for (Observation o : job.observed()) {
      if (o instanceof Replaced r && r.daysAgo() <= Case.SOON && burns && !checked) {
        Set<String> parts = new HashSet<>(Case.VOCABULARY.found("part", r.part()));
        if (suspected(parts)) {
          flags.add(new Flag(Kind.GAS_CHECK_FIRST, r.part(), r.daysAgo(), List.of()));
        }
      }
    }
  }

  /** Where the likeliest place is one of its, or its places together are as likely as not. */
  private boolean suspected(Set<String> parts) {
    double sum =
        known.suspects().stream()
            .filter(s -> parts.contains(Case.part(s.place())))
            .mapToDouble(Posterior.Suspect::probability)
            .sum();
    boolean first = parts.contains(Case.part(known.suspects().get(0).place()));
    return sum >= (first ? SUSPECT : EVEN);
  }

  private void doNotCount() {
    // one that counts after one that does not is the answer
    job.counting(GasChecked.class).stream()
        .reduce((a, b) -> b)
        .filter(g -> !g.notCounted().isEmpty())
        .map(g -> Flag.doesNotCount(Kind.COMBUSTION_GAS_DOES_NOT_COUNT, g.notCounted()))
        .ifPresent(flags::add);
    job.counting(Bubbled.class).stream()
        .reduce((a, b) -> b)
        .filter(b -> !b.notCounted().isEmpty())
        .map(b -> Flag.doesNotCount(Kind.BUBBLES_DO_NOT_COUNT, b.notCounted()))
        .ifPresent(flags::add);
  }

  private void holds() {
    Optional<Held> cold = job.held(false);
    Optional<Outcome> outcome = cold.map(Held::outcome);
    add(
        outcome.filter(Outcome.AtLeast.class::isInstance).isPresent() && !found(job),
        Kind.GROSS_LEAK);
    add(
        cold.filter(
                h ->
                    h.verdict() == VerdictKind.STOPPED && !(h.outcome() instanceof Outcome.AtLeast))
            .isPresent(),
        Kind.PLACE_SEEN_NOT_MEASURED);
    add(another(), Kind.ANOTHER_LEAK);
  }

  /** Whether sites with a measured flow leave a rest. */
  private boolean another() {
    return job.balance().filter(LeakBalance::anotherLeak).isPresent() && !job.measured().isEmpty();
  }

  private void decisive() {
    boolean falls =
        job.held(false).filter(Rules::falls).isPresent()
            && job.balance().filter(b -> !b.anotherLeak()).isEmpty();
    boolean outsideFound = !another() && found(job);
    add(
        falls && !outsideFound && !insideFound() && dryOutside(job, LookState.PRESSED),
        Kind.FALLS_AND_DRY_OUTSIDE);
    boolean lost = Signs.lost(job) && !job.afterRepair();
    boolean hotLeak = job.held(true).filter(Rules::falls).isPresent();
    boolean nothing = !found(job) && !insideFound() && !hotLeak;
    add(lost && nothing && job.held(false).filter(Rules::steady).isPresent(), Kind.STEADY_YET_LOST);
    add(
        job.held(false).filter(Rules::falls).isPresent()
            && MoreLost.of(job).filter(m -> m.apart() > MoreIsLost.CRITICAL).isPresent(),
        Kind.LOSS_EXCEEDS_LEAK);
    add(
        nothing
            && job.held(false).filter(Rules::falls).isEmpty()
            && job.counting(Scanned.class).isEmpty()
            && dryOutside(job, LookState.RUNNING),
        Kind.NOTHING_FOUND);
    add(Signs.groundHides(job), Kind.GROUND_HIDES_DRIPS);
  }

  private void thermostat() {
    Optional<Thermostat> says = job.newest(TwoTemperatures.class).map(TwoTemperatures::says);
    add(says.filter(s -> s == Thermostat.STUCK_OPEN).isPresent(), Kind.THERMOSTAT_STUCK_OPEN);
    add(says.filter(s -> s == Thermostat.SHUT).isPresent(), Kind.THERMOSTAT_SHUT);
  }

  /** What was not in the test, or is found already, need not be dry. */
  private static boolean dryOutside(Case job, LookState state) {
    Set<String> without = new HashSet<>(job.measured());
    if (state == LookState.PRESSED) {
      job.held(false)
          .map(h -> Scoped.of(job.circuit(), AsNow.OPEN, h.scope()))
          .ifPresent(s -> without.addAll(s.out()));
    }
    return Outside.of(job, state, without).everywhere();
  }

  /** Whether the cold hold falls, and whatever shows outside was dry under pressure. */
  static boolean fallsAndIsDryOutside(Case job) {
    return job.held(false).filter(Rules::falls).isPresent()
        && !found(job)
        && dryOutside(job, LookState.PRESSED);
  }

  static boolean falls(Held held) {
    return held.verdict() == VerdictKind.LEAK || held.outcome() instanceof Outcome.AtLeast;
  }

  static boolean steady(Held held) {
    return held.outcome() instanceof Outcome.Rate r
        && !falls(held)
        && (held.verdict() == VerdictKind.TIGHT || CaseEvidence.isSteady(r.rate(), r.u()));
  }

  /** Whether coolant was seen to leave somewhere. */
  private static boolean found(Case job) {
    return job.latest().stream().anyMatch(Looked::wet)
        || job.counting(Scanned.class).stream().anyMatch(s -> s.glow().counts())
        || job.counting(Felt.class).stream().anyMatch(f -> f.saw().leaves());
  }

  private boolean insideFound() {
    return InsideSeen.of(job).kinds() > 0;
  }
}
