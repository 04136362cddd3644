package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.combustion.GasColour;
import gotera.look.Condition;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Felt;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Scope;
import gotera.suspects.Observation.Sign;
import gotera.suspects.Proposal.First;
import gotera.suspects.Proposal.Why;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Each rule with what makes it apply and what takes that away, and what it puts first. */
class RulesTests {
  private static final Circuit CIRCUIT = CircuitBuilder.of(CircuitPresets.USUAL);
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Told.Loss LOSS = new Told.Loss(900, OptionalDouble.of(6));

  private static List<Observation> all(List<Observation> some, Observation... more) {
    List<Observation> all = new ArrayList<>(some);
    all.addAll(List.of(more));
    return all;
  }

  private static Assessment of(List<Observation> observed) {
    return Assessment.of(new Case(CIRCUIT, observed, false));
  }

  private static List<String> flags(Observation... observed) {
    return flags(List.of(observed));
  }

  private static List<String> flags(List<Observation> observed) {
    return of(observed).flags().stream().map(Flag::word).toList();
  }

  private static Proposal first(List<Observation> observed) {
    return of(observed).next().get(0);
  }

  private static Held held(double rate, double u) {
    VerdictKind kind = rate > 2 * u ? VerdictKind.LEAK : VerdictKind.TIGHT;
    return new Held(kind, new Outcome.Rate(rate, u, LeakLaw.SEEP), 110, "", false, List.of());
  }

  private static Held hot(double rate, double u) {
    return new Held(
        rate > 2 * u ? VerdictKind.LEAK : VerdictKind.NOT_PROVEN,
        new Outcome.Rate(rate, u, LeakLaw.SEEP),
        110,
        new Scope("", true, Set.of(), false),
        false,
        List.of());
  }

  private static Looked look(String place, LookState state, Sight saw) {
    return new Looked(place, state, saw, NONE, NONE);
  }

  private static List<Observation> everywhere(LookState state, Observation... before) {
    List<Observation> all = new ArrayList<>(List.of(before));
    CIRCUIT.joints().forEach(j -> all.add(look(j.code(), state, Sight.DRY)));
    return all;
  }

  @Nested
  class FallsAndDryOutside {
    private final List<Observation> dry = everywhere(LookState.PRESSED, held(0.6, 0.05));

    @Test
    void leadsInside() {
      assertThat(flags(dry)).contains("falls-and-dry-outside");
      assertThat(first(dry).why()).isEqualTo(Why.INSIDE);
      assertThat(of(dry).suspects().get(0).place()).startsWith("inside.");
    }

    @Test
    void notBeforeMostWasLookedAtUnderPressure() {
      assertThat(flags(dry.subList(0, 8))).doesNotContain("falls-and-dry-outside");
      assertThat(flags(everywhere(LookState.COLD, held(0.6, 0.05))))
          .doesNotContain("falls-and-dry-outside");
    }

    @Test
    void notWhereAPlaceIsWetOrTheHoldIsSteadyOrTheInsideIsFound() {
      assertThat(flags(all(dry, look("pump.gasket", LookState.PRESSED, Sight.WET))))
          .doesNotContain("falls-and-dry-outside");
      assertThat(flags(everywhere(LookState.PRESSED, held(0, 0.02))))
          .doesNotContain("falls-and-dry-outside");
      assertThat(flags(all(dry, new InCylinder(2, true, NONE, NONE, false))))
          .contains("hydraulic-lock")
          .doesNotContain("falls-and-dry-outside");
    }
  }

  @Nested
  class SteadyYetLost {
    @Test
    void runsItAndLooksAtThePumpFirst() {
      List<Observation> lost = List.of(new Sign("loss-while-running"), LOSS, held(0, 0.02));
      assertThat(flags(lost)).containsExactly("steady-yet-lost");
      Proposal next = first(lost);
      assertThat(next.what().toString()).isEqualTo("look-round:running");
      assertThat(((Action.LookRound) next.what()).likely()).startsWith("pump.shaft-seal");
      assertThat(next.first()).contains(First.WARM_UP);
      assertThat(next.minutes()).isGreaterThan(15);
    }

    @Test
    void notWhereNothingIsLostOrAHotHoldLeaksOrAPlaceWasSeen() {
      assertThat(flags(held(0, 0.02))).isEmpty();
      assertThat(flags(LOSS, held(0, 0.02), hot(0.8, 0.1))).doesNotContain("steady-yet-lost");
      assertThat(
              flags(
                  LOSS,
                  held(0, 0.02),
                  look("pump.shaft-seal", LookState.RUNNING, Sight.WET).dried()))
          .doesNotContain("steady-yet-lost");
    }

    @Test
    void isHistoryOnceTheRepairIsTested() {
      Held after =
          new Held(
              VerdictKind.TIGHT, new Outcome.Rate(0, 0.02, LeakLaw.SEEP), 110, "", true, List.of());
      assertThat(flags(LOSS, held(0, 0.02), new Repaired(), after)).isEmpty();
    }

    @Test
    void aHoldThatLeftSomethingOutIsMadeAgainFirst() {
      Held part =
          new Held(
              VerdictKind.TIGHT,
              new Outcome.Rate(0, 0.02, LeakLaw.SEEP),
              110,
              new Scope("", false, Set.of(), true),
              false,
              List.of());
      assertThat(first(List.of(LOSS, part)).why()).isEqualTo(Why.NOT_IN_THE_TEST);
    }
  }

  @Nested
  class MoreIsLost {
    @Test
    void thanASmallLeakPasses() {
      Observation much = new Told.Loss(5000, OptionalDouble.of(5));
      assertThat(flags(much, held(0.1, 0.02))).contains("loss-exceeds-leak");
      assertThat(flags(new Told.Loss(100, OptionalDouble.of(5)), held(0.1, 0.02))).isEmpty();
      assertThat(flags(new Told.Loss(5000, NONE), held(0.1, 0.02))).as("no hours").isEmpty();
    }
  }

  @Nested
  class NothingFound {
    @Test
    void asksForDyeOnceItRanAndAllWasLookedAt() {
      List<Observation> nothing = everywhere(LookState.RUNNING, LOSS);
      assertThat(flags(nothing)).containsExactly("nothing-found");
      assertThat(first(nothing).what().word()).as("a hold first").isEqualTo("pressure-test");
      assertThat(
              first(
                      all(
                          everywhere(LookState.PRESSED, held(0, 0.02)),
                          nothing.toArray(Observation[]::new)))
                  .what()
                  .word())
          .isEqualTo("dye");
      assertThat(
              flags(all(nothing, new Observation.Scanned("radiator.core", gotera.dye.Glow.DARK))))
          .doesNotContain("nothing-found");
    }

    @Test
    void dyeIsNotOfferedBeforeTheEyeWasUsed() {
      assertThat(of(List.of(LOSS)).next()).noneMatch(p -> p.what().is(Action.Whole.DYE));
    }
  }

  @Nested
  class Dangers {
    @Test
    void pinkFrothStopsTheDrivingAndAPooledCylinderIsNoRate() {
      assertThat(flags(new FluidSeen(Fluid.GEARBOX, Checked.Look.PINK)))
          .containsExactly("stop-driving");
      assertThat(flags(new FluidSeen(Fluid.COOLANT_SURFACE, Checked.Look.PINK)))
          .as("the colour of many a coolant")
          .isEmpty();
      InCylinder pooled = new InCylinder(3, true, OptionalDouble.of(38), NONE, true);
      assertThat(flags(pooled)).containsExactly("hydraulic-lock", "pooled-for-weeks");
      assertThat(first(List.of(pooled)).why()).isEqualTo(Why.SECOND_AMOUNT);
      InCylinder again =
          new InCylinder(3, true, OptionalDouble.of(11), OptionalDouble.of(14), false);
      assertThat(flags(pooled, again)).containsExactly("hydraulic-lock");
      assertThat(flags(new InCylinder(1, false, NONE, NONE, false))).isEmpty();
    }

    @Test
    void aGrossLeakIsLookedForAtThePressureItKeeps() {
      Held gross = new Held(VerdictKind.GROSS, new Outcome.AtLeast(80), 110, "", false, List.of());
      assertThat(flags(gross)).containsExactly("gross-leak");
      assertThat(first(List.of(gross)).what().state()).contains(LookState.PRESSED);
      assertThat(flags(gross, new Felt("upper-hose.along", Condition.SPLIT_WHEN_PUSHED))).isEmpty();
    }
  }

  @Nested
  class WhatDoesNotCount {
    @Test
    void isMadeAgainFirst() {
      GasChecked drawnIn = new GasChecked(GasColour.YELLOW, List.of("coolant-drawn-in"));
      assertThat(flags(drawnIn)).containsExactly("combustion-gas-does-not-count:coolant-drawn-in");
      assertThat(first(List.of(drawnIn)).what().word()).isEqualTo("combustion-gas");
      Bubbled cold = new Bubbled(Bubbles.QUIET, NONE, List.of("not-warm", "too-short"));
      assertThat(flags(cold)).containsExactly("bubbles-do-not-count:not-warm,too-short");
      assertThat(first(List.of(cold)).why()).isEqualTo(Why.AGAIN);
    }
  }

  @Nested
  class Thermostat {
    @Test
    void isToldByBothHosesAfterIdling() {
      assertThat(flags(new TwoTemperatures(44, 40, 20))).containsExactly("thermostat-stuck-open");
      assertThat(flags(new TwoTemperatures(44, 40, 5))).as("too early").isEmpty();
      assertThat(flags(new TwoTemperatures(92, 40, 20))).containsExactly("thermostat-shut");
      assertThat(flags(new TwoTemperatures(88, 82, 20))).as("as it should").isEmpty();
      assertThat(flags(new TwoTemperatures(70, 45, 20))).as("not told yet").isEmpty();
    }

    @Test
    void explainsANeedleThatRises() {
      double without = of(List.of(new Sign("needle-rises"))).nothingLeaks();
      double with =
          of(List.of(new Sign("needle-rises"), new TwoTemperatures(92, 40, 20))).nothingLeaks();
      assertThat(with).isGreaterThan(without);
    }
  }

  @Nested
  class OneObservation {
    @Test
    void thePuddleIsToldSeenAndDrippingOnce() {
      Observation drip = new Observation.Dripped(DripSpot.GROUND_FRONT, LookState.PARKED);
      double once = of(List.of(drip)).posterior().marginal("radiator.core");
      List<Observation> thrice =
          List.of(
              new Sign("puddle-overnight"),
              new Sign("drip-front"),
              new Told.Puddle(DripSpot.GROUND_FRONT),
              drip);
      assertThat(of(thrice).posterior().marginal("radiator.core")).isEqualTo(once);
      Observation hangs = new Observation.Dripped(DripSpot.RADIATOR_BASE, LookState.PARKED);
      assertThat(Drips.located(new Case(CIRCUIT, all(thrice, hangs), false)))
          .containsExactly((Observation.Dripped) hangs);
    }

    @Test
    void onLooseGroundNeverSeenSaysNothing() {
      Told.Ground soft = new Told.Ground(Told.Surface.SOFT);
      assertThat(flags(soft)).containsExactly("ground-hides-drips");
      Sign never = new Sign("never-on-the-ground");
      double without = of(List.of(soft)).posterior().marginal("inside.cylinder");
      assertThat(of(List.of(soft, never)).posterior().marginal("inside.cylinder"))
          .isEqualTo(without);
    }
  }

  @Nested
  class WhatIsMeasured {
    private final Looked hose =
        new Looked(
            "lower-hose.radiator-end",
            LookState.PRESSED,
            Sight.WET,
            OptionalDouble.of(100),
            OptionalDouble.of(2));

    @Test
    void standsFirstAndNeedsNoOtherPlaceForItsDrip() {
      Observation drip = new Observation.Dripped(DripSpot.RADIATOR_BASE, LookState.PRESSED);
      Assessment besides = of(List.of(hose, drip, held(0.9, 0.05)));
      assertThat(besides.suspects().get(0).place()).isEqualTo("lower-hose.radiator-end");
      assertThat(besides.flags()).extracting(Flag::word).containsExactly("another-leak");
      double seam = besides.posterior().marginal("radiator.lower-seam");
      assertThat(seam)
          .isLessThan(
              of(List.of(drip, held(0.9, 0.05))).posterior().marginal("radiator.lower-seam"));
      assertThat(besides.next())
          .noneMatch(p -> p.what().place().filter("lower-hose.radiator-end"::equals).isPresent());
    }
  }

  @Test
  void aFirstBeadIsFoundAndHowMuchItLosesComesNext() {
    Looked bead = look("pump.gasket", LookState.PRESSED, Sight.WET).dried();
    assertThat(of(List.of(bead)).found()).containsExactly("pump.gasket");
    assertThat(first(List.of(bead)).what().toString()).isEqualTo("count-drops:pump.gasket");
    Proposal count = first(List.of(held(0.4, 0.05), bead));
    assertThat(count.what().toString()).isEqualTo("count-drops:pump.gasket");
    assertThat(count.why()).isEqualTo(Why.BALANCE);
  }
}
