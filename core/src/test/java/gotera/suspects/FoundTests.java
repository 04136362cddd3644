package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.combustion.GasColour;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Action.Whole;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Proposal.Why;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is found, what only looks so, and what settles it. */
class FoundTests {
  private static final Circuit CIRCUIT = CircuitBuilder.of(CircuitPresets.USUAL);
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final String UPPER = "upper-hose.radiator-end";
  private static final String LOWER = "radiator.core";

  private static Assessment of(Observation... observed) {
    return of(List.of(observed));
  }

  private static Assessment of(List<Observation> observed) {
    return Assessment.of(new Case(CIRCUIT, observed, false));
  }

  private static Looked look(String place, LookState state, Sight saw) {
    return new Looked(place, state, saw, NONE, NONE);
  }

  private static Looked bead(String place, LookState state) {
    return look(place, state, Sight.WET).dried();
  }

  private static Looked staysDry(String place, LookState state) {
    return look(place, state, Sight.DRY).dried();
  }

  private static Held retest(VerdictKind verdict, double rate, double u) {
    Outcome measured = new Outcome.Rate(rate, u, LeakLaw.ORIFICE);
    return new Held(verdict, measured, 100, "", true, List.of());
  }

  private static final Looked WET_ABOVE = look(UPPER, LookState.PRESSED, Sight.WET);
  private static final Looked WET_BELOW = look(LOWER, LookState.PRESSED, Sight.WET);

  @Nested
  class OneAboveTheOther {
    @Test
    void theUpperIsWatchedFirstWhicheverIsLikelier() {
      Proposal next =
          of(WET_ABOVE, WET_BELOW, look(LOWER, LookState.COLD, Sight.WET)).next().get(0);
      assertThat(next.what().place()).contains(UPPER);
      assertThat(next.why()).isEqualTo(Why.TRACE);
    }

    @Test
    void theLowerIsNotFoundBeforeTheUpperStayedDry() {
      assertThat(of(WET_ABOVE, WET_BELOW, bead(LOWER, LookState.PRESSED)).found()).isEmpty();
      assertThat(
              of(
                      WET_ABOVE,
                      WET_BELOW,
                      staysDry(UPPER, LookState.PRESSED),
                      bead(LOWER, LookState.PRESSED))
                  .found())
          .containsExactly(LOWER);
    }

    /** A leak above makes a bead below likelier, so the bead says less. */
    @Test
    void whatLeaksAboveTakesSomethingFromABead() {
      double alone = of(bead(LOWER, LookState.PRESSED)).posterior().marginal(LOWER);
      double under = of(bead(LOWER, LookState.PRESSED), WET_ABOVE).posterior().marginal(LOWER);
      assertThat(under).isLessThan(alone);
    }
  }

  @Nested
  class WhatSpraysOrRuns {
    private static final Looked RUNS = look(UPPER, LookState.PRESSED, Sight.RUNS);

    @Test
    void isFoundAndRepairedWithoutCounting() {
      Assessment jet = of(RUNS);
      assertThat(jet.found()).containsExactly(UPPER);
      assertThat(jet.next().get(0).what()).isEqualTo(new Action.OfTheWhole(Whole.REPAIR));
      // what is only wet may have run down: it is dried and watched first
      assertThat(of(WET_ABOVE).found()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(LookState.class)
    void speaksForItsPlaceAsMuchAsWetAndMore(LookState state) {
      double wet = of(look(LOWER, state, Sight.WET)).posterior().marginal(LOWER);
      double runs = of(look(LOWER, state, Sight.RUNS)).posterior().marginal(LOWER);
      assertThat(runs).isGreaterThan(wet);
    }

    @Test
    void isNotFoundBeforeWhatIsWetAboveStayedDry() {
      Looked below = look(LOWER, LookState.PRESSED, Sight.RUNS);
      assertThat(of(WET_ABOVE, below).found()).isEmpty();
      assertThat(of(WET_ABOVE, below, staysDry(UPPER, LookState.PRESSED)).found())
          .containsExactly(LOWER);
    }

    /** As a newer look replaces the older one of the same state. */
    @Test
    void isAsSureWhereItWasDryBefore() {
      Looked dry = look(UPPER, LookState.PRESSED, Sight.DRY);
      assertThat(of(dry, RUNS).posterior().marginal(UPPER))
          .isCloseTo(of(RUNS).posterior().marginal(UPPER), within(1e-12));
      assertThat(of(dry, RUNS).found()).containsExactly(UPPER);
    }

    @Test
    void andIsDryLaterIsAContradiction() {
      List<Observation> both = List.of(RUNS, look(UPPER, LookState.PRESSED, Sight.DRY));
      assertThat(new Case(CIRCUIT, both, false).contradictions())
          .extracting(Contradiction::kind)
          .containsExactly(Contradiction.Kind.DRIPS_AND_DRY);
    }
  }

  @Nested
  class WatchedMoreThanOnce {
    @Test
    void aBeadAndADryWatchStandBesideEachOther() {
      double bead = of(bead(UPPER, LookState.PRESSED)).posterior().marginal(UPPER);
      double both =
          of(bead(UPPER, LookState.PRESSED), staysDry(UPPER, LookState.PRESSED))
              .posterior()
              .marginal(UPPER);
      double dry = of(staysDry(UPPER, LookState.PRESSED)).posterior().marginal(UPPER);
      assertThat(both).isBetween(dry, bead);
      double turned =
          of(staysDry(UPPER, LookState.PRESSED), bead(UPPER, LookState.PRESSED))
              .posterior()
              .marginal(UPPER);
      assertThat(both).isCloseTo(turned, within(1e-12));
    }

    @Test
    void aFirstBeadWhileItRunsOfAPlaceThatWasNeverWetMustComeAgain() {
      Assessment first = of(bead(UPPER, LookState.RUNNING));
      assertThat(first.found()).isEmpty();
      assertThat(first.next().get(0).why()).isEqualTo(Why.FIRST_BEAD);
      assertThat(of(bead(UPPER, LookState.RUNNING), bead(UPPER, LookState.RUNNING)).found())
          .containsExactly(UPPER);
    }

    /** It is offered once more among the others, with its reason, and then no more. */
    @Test
    void whatWasWetAndStayedDryIsOfferedOnceMore() {
      List<Observation> seen = List.of(WET_ABOVE, staysDry(UPPER, LookState.PRESSED));
      assertThat(watches(seen)).extracting(Proposal::why).contains(Why.WATCH_AGAIN);
      List<Observation> twice = new ArrayList<>(seen);
      twice.add(staysDry(UPPER, LookState.PRESSED));
      assertThat(watches(twice))
          .noneMatch(p -> p.what().state().filter(LookState.PRESSED::equals).isPresent());
    }

    /** Drops are counted once: what drips running and is dry under pressure is repaired. */
    @Test
    void whatWasCountedAndWasDryIsNotCountedForEver() {
      Looked counted = look(UPPER, LookState.PRESSED, Sight.DRY);
      List<Observation> seen =
          List.of(
              bead(UPPER, LookState.RUNNING),
              bead(UPPER, LookState.RUNNING),
              bead(UPPER, LookState.PRESSED));
      assertThat(of(seen).next().get(0).what()).isEqualTo(new Action.CountDrops(UPPER));
      List<Observation> then = new ArrayList<>(seen);
      then.add(counted);
      assertThat(of(then).next().get(0).what().word()).isNotEqualTo("count-drops");
    }

    private List<Proposal> watches(List<Observation> seen) {
      return of(seen).next().stream().filter(p -> ToWatch.dries(p.what(), UPPER)).toList();
    }
  }

  @Nested
  class Caps {
    @Test
    void aWetCapGoesOnItsTester() {
      Proposal next = of(look("cap.neck", LookState.COLD, Sight.WET)).next().get(0);
      assertThat(next.what()).isEqualTo(new Action.TryCap("cap.neck"));
    }

    /** A dry seal fails on the tester too: it is wetted, and the cap tried once more. */
    @Test
    void aCapThatFailsIsTriedOnceMore() {
      Observation fails = new CapTried("cap.neck", false);
      assertThat(of(fails).found()).isEmpty();
      assertThat(of(fails).next().get(0).why()).isEqualTo(Why.FAILS_AGAIN);
      assertThat(of(fails, fails).found()).containsExactly("cap.neck");
      assertThat(of(fails, new CapTried("cap.neck", true)).found()).isEmpty();
      assertThat(of(fails, new CapTried("cap.neck", true), fails).found()).isEmpty();
    }

    @Test
    void whatWasSeenToDripDripsWhateverItsTesterSays() {
      Looked drips =
          new Looked("cap.neck", LookState.RUNNING, Sight.WET, NONE, OptionalDouble.of(20));
      assertThat(of(drips, new CapTried("cap.neck", true)).found()).contains("cap.neck");
    }
  }

  @Nested
  class Within {
    private final Observation gas = new GasChecked(GasColour.YELLOW, List.of());
    private final Observation bubbles = new Bubbled(Bubbles.GAS_ENTERING, NONE, List.of());
    private final Observation wet = new InCylinder(2, true, NONE, NONE, false);

    /** Whether gasket or cylinder, the head comes off. */
    @Test
    void twoKindsThatAgreeFindItThoughTwoPlacesShareIt() {
      assertThat(of(bubbles, wet).found()).hasSize(1).allMatch(p -> p.startsWith("inside."));
    }

    @Test
    void oneFluidAloneCondemnsNoHead() {
      Held falls =
          new Held(
              VerdictKind.LEAK,
              new Outcome.Rate(1.2, 0.05, LeakLaw.ORIFICE),
              100,
              "",
              false,
              List.of());
      List<Observation> seen = new ArrayList<>(List.of(falls));
      CIRCUIT.joints().forEach(j -> seen.add(look(j.code(), LookState.PRESSED, Sight.DRY)));
      seen.add(look(UPPER, LookState.PRESSED, Sight.HIDDEN));
      seen.add(new FluidSeen(Fluid.DIPSTICK, Checked.Look.PALE_EMULSION));
      assertThat(of(seen).found()).isEmpty();
    }

    /**
     * What stands in a cylinder while the hold falls came in there, once gas was looked for too.
     */
    @Test
    void aWetCylinderWhileItFallsIsFoundWhateverIsHidden() {
      Outcome rate = new Outcome.Rate(1.2, 0.05, LeakLaw.ORIFICE);
      Held falls = new Held(VerdictKind.LEAK, rate, 100, "", false, List.of());
      List<Observation> seen = new ArrayList<>(List.of(falls));
      CIRCUIT.joints().forEach(j -> seen.add(look(j.code(), LookState.PRESSED, Sight.DRY)));
      seen.add(look(UPPER, LookState.PRESSED, Sight.HIDDEN));
      seen.add(wet);
      assertThat(of(seen).found()).isEmpty();
      seen.add(new GasChecked(GasColour.BLUE, List.of()));
      assertThat(of(seen).found()).containsExactly("inside.cylinder");
    }

    @Test
    void whereTheKindsDisagreeOneIsRepeated() {
      Observation quiet = new Bubbled(Bubbles.QUIET, NONE, List.of());
      Observation dry = new InCylinder(1, false, NONE, NONE, false);
      Assessment disagree = of(gas, quiet, dry);
      assertThat(disagree.next())
          .filteredOn(p -> p.what().is(Whole.COMBUSTION_GAS))
          .extracting(Proposal::why)
          .containsAnyOf(Why.DISAGREE, Why.ONE_ALONE);
      Observation clear = new GasChecked(GasColour.BLUE, List.of());
      assertThat(of(clear, quiet, dry).next()).noneMatch(p -> p.what().is(Whole.COMBUSTION_GAS));
    }
  }

  @Nested
  class TestOfARepair {
    private final Observation repaired = new Repaired(UPPER);

    /** Up to three standard uncertainties it may be nothing; so three times, then it goes on. */
    @ParameterizedTest
    @EnumSource(
        value = VerdictKind.class,
        names = {"NOT_PROVEN", "LEAK"})
    void whatMayBeNothingIsHeldLonger(VerdictKind verdict) {
      Held unclear = retest(verdict, 0.1, 0.04);
      List<Observation> seen = new ArrayList<>(List.of(bead(UPPER, LookState.PRESSED), repaired));
      for (int i = 0; i < 2; i++) {
        seen.add(unclear);
        assertThat(of(seen).next().get(0).why()).isEqualTo(Why.HOLD_LONGER);
      }
      seen.add(unclear);
      assertThat(of(seen).next().get(0).why()).isNotEqualTo(Why.HOLD_LONGER);
      assertThat(of(bead(UPPER, LookState.PRESSED), repaired, retest(verdict, 0.2, 0.04)).next())
          .noneMatch(p -> p.why() == Why.HOLD_LONGER);
    }

    /** Where nobody tells of a loss, a hold that could be nothing is made again, longer. */
    @Test
    void whereNothingIsLostAHoldThatSaysNeitherIsMadeAgain() {
      Outcome rate = new Outcome.Rate(0.05, 0.04, LeakLaw.ORIFICE);
      Held neither = new Held(VerdictKind.NOT_PROVEN, rate, 100, "", false, List.of());
      Looked dry = look(UPPER, LookState.COLD, Sight.DRY);
      assertThat(of(dry, neither).next().get(0).why()).isEqualTo(Why.HOLD_LONGER);
      assertThat(of(dry, neither, neither, neither).next())
          .noneMatch(p -> p.why() == Why.HOLD_LONGER);
      assertThat(of(new Told.Loss(900, NONE), dry, neither).next())
          .noneMatch(p -> p.why() == Why.HOLD_LONGER);
    }

    /** An old puddle is no reason to search on where it is tight and dry, pressed and running. */
    @Test
    void whereNothingIsLostAndAllIsDryTheSearchIsDone() {
      Outcome rate = new Outcome.Rate(0.01, 0.03, LeakLaw.ORIFICE);
      Held tight = new Held(VerdictKind.TIGHT, rate, 100, "", false, List.of());
      List<Observation> seen =
          new ArrayList<>(List.of(new Observation.Sign("puddle-overnight"), tight));
      CIRCUIT.joints().forEach(j -> seen.add(look(j.code(), LookState.PRESSED, Sight.DRY)));
      CIRCUIT.joints().forEach(j -> seen.add(look(j.code(), LookState.RUNNING, Sight.DRY)));
      assertThat(of(seen).next().get(0).what().is(Whole.DONE)).isTrue();
      seen.add(new Told.Loss(900, NONE));
      assertThat(of(seen).next().get(0).what().is(Whole.DONE)).isFalse();
    }

    @Test
    void whatWasWetAgainAndStaysDryEndsTheSearch() {
      Held tight = retest(VerdictKind.TIGHT, 0.01, 0.02);
      Looked again = look(LOWER, LookState.RUNNING, Sight.WET);
      Assessment wet = of(bead(UPPER, LookState.PRESSED), repaired, tight, again);
      assertThat(wet.next().get(0).what().place()).contains(LOWER);
      Assessment dry =
          of(
              bead(UPPER, LookState.PRESSED),
              repaired,
              tight,
              again,
              staysDry(LOWER, LookState.RUNNING));
      assertThat(dry.next()).extracting(Proposal::why).containsExactly(Why.STAYS_DRY);
      assertThat(dry.found()).isEmpty();
    }
  }

  /**
   * Two entries that cannot both be true are named, one is asked for again, nothing is repaired.
   */
  @Nested
  class Contradictions {
    private static final Held LEAK = hold(VerdictKind.LEAK, 0.2);

    private static Held hold(VerdictKind verdict, double rate) {
      Outcome measured = new Outcome.Rate(rate, 0.02, LeakLaw.ORIFICE);
      return new Held(verdict, measured, 100, "", false, List.of());
    }

    private static Looked drops(double perMinute) {
      OptionalDouble gauge = OptionalDouble.of(100);
      return new Looked(UPPER, LookState.PRESSED, Sight.WET, gauge, OptionalDouble.of(perMinute));
    }

    private static List<Contradiction.Kind> kinds(Observation... observed) {
      return of(observed).job().contradictions().stream().map(Contradiction::kind).toList();
    }

    /** 60 drops are 3 mL. */
    @Test
    void moreIsCaughtThanTheHoldCanLose() {
      Assessment a = of(LEAK, drops(60));
      assertThat(kinds(LEAK, drops(60))).containsExactly(Contradiction.Kind.MORE_CAUGHT);
      assertThat(a.found()).isEmpty();
      assertThat(a.next().get(0).what()).isEqualTo(new Action.CountDrops(UPPER));
      assertThat(of(LEAK, drops(60), drops(60)).next().get(0).what().is(Whole.PRESSURE_TEST))
          .isTrue();
      assertThat(kinds(LEAK, drops(4))).isEmpty();
      assertThat(of(LEAK, drops(60), drops(60), LEAK).found()).contains(UPPER);
    }

    @Test
    void aTightHoldBesideDrops() {
      Held tight = hold(VerdictKind.TIGHT, 0.01);
      assertThat(kinds(tight, drops(30))).containsExactly(Contradiction.Kind.MORE_CAUGHT);
    }

    @Test
    void dropsAtAPlaceThatIsDryLater() {
      Looked dry = look(UPPER, LookState.PRESSED, Sight.DRY);
      assertThat(kinds(drops(8), dry)).containsExactly(Contradiction.Kind.DRIPS_AND_DRY);
      assertThat(of(drops(8), dry).found()).isEmpty();
      assertThat(of(drops(8), dry).next().get(0).why()).isEqualTo(Why.CONTRADICTS);
      assertThat(kinds(drops(8), dry, drops(8))).isEmpty();
      assertThat(kinds(drops(8), dry, dry)).isEmpty();
      assertThat(kinds(drops(8), new Repaired(UPPER), dry)).isEmpty();
      assertThat(kinds(drops(8), look(UPPER, LookState.PARKED, Sight.DRY))).isEmpty();
    }

    @Test
    void aVerdictAgainstItsRate() {
      assertThat(kinds(hold(VerdictKind.TIGHT, 0.5)))
          .containsExactly(Contradiction.Kind.VERDICT_AGAINST_RATE);
      assertThat(kinds(hold(VerdictKind.LEAK, 0.01)))
          .containsExactly(Contradiction.Kind.VERDICT_AGAINST_RATE);
      assertThat(of(hold(VerdictKind.TIGHT, 0.5)).next().get(0).what().is(Whole.PRESSURE_TEST))
          .isTrue();
    }
  }
}
