package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Sign;
import gotera.testkit.Close;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class CaseTests {
  private static final Circuit CIRCUIT = CircuitBuilder.of(CircuitPresets.USUAL);
  private static final String HOSE = "lower-hose.radiator-end";
  private static final String CORE = "radiator.core";

  private static Case of(Observation... observed) {
    return new Case(CIRCUIT, List.of(observed), false);
  }

  private static Looked look(String place, LookState state, Sight saw) {
    return new Looked(place, state, saw, OptionalDouble.empty(), OptionalDouble.empty());
  }

  private static Looked dripping(String place, double drops) {
    return new Looked(
        place, LookState.PRESSED, Sight.WET, OptionalDouble.of(110), OptionalDouble.of(drops));
  }

  private static Held leak(double rate, boolean afterRepair) {
    return new Held(
        VerdictKind.LEAK,
        new Outcome.Rate(rate, 0.05, LeakLaw.ORIFICE),
        110,
        "",
        afterRepair,
        List.of());
  }

  private static double probability(Case of, String place) {
    return Assessment.of(of).posterior().marginal(place);
  }

  @Nested
  class WhatCounts {
    @Test
    void aPlaceOrSpotThatThisVehicleDoesNotHaveDoesNot() {
      Circuit electric =
          CircuitBuilder.of(CircuitPresets.of("electric-two-loops").orElseThrow().features());
      Case of =
          new Case(
              electric,
              List.of(
                  look("pump.shaft-seal-of-another", LookState.COLD, Sight.WET),
                  new Scanned("nowhere", Glow.NEW_GLOW),
                  new Dripped(DripSpot.GEARBOX, LookState.RUNNING)),
              false);
      assertThat(of.observed()).isEmpty();
    }

    @Test
    void aNewerLookOfTheSameStateReplacesAndAnotherStateStandsBeside() {
      Looked wet = look(HOSE, LookState.PRESSED, Sight.WET);
      Looked dry = look(HOSE, LookState.PRESSED, Sight.DRY);
      Looked dryWarm = look(HOSE, LookState.WARM, Sight.DRY);
      Close.to("the newer", probability(of(wet, dry), HOSE), probability(of(dry), HOSE), 0);
      assertThat(probability(of(wet, dryWarm), HOSE)).isGreaterThan(probability(of(dryWarm), HOSE));
    }

    /** One dry look of a morning takes no counted drops out of the balance. */
    @Test
    void aDryLookInAnotherStateTakesNoCountedDropsAway() {
      Case seen = of(leak(1, false), dripping(HOSE, 20), look(HOSE, LookState.PARKED, Sight.DRY));
      assertThat(seen.wet()).extracting(Looked::place).containsExactly(HOSE);
      assertThat(seen.measured()).containsExactly(HOSE);
      Case again = of(dripping(HOSE, 20), look(HOSE, LookState.PRESSED, Sight.DRY));
      assertThat(again.wet()).as("in the same state it does").isEmpty();
    }

    @Test
    void cleaningUnsaysNothingThatWasSeenBeforeInAnotherState() {
      Case of =
          of(
              look(HOSE, LookState.COLD, Sight.STAINED),
              look(HOSE, LookState.PRESSED, Sight.WET),
              look(HOSE, LookState.COLD, Sight.CLEANED));
      assertThat(probability(of, HOSE))
          .isGreaterThanOrEqualTo(probability(of(look(HOSE, LookState.PRESSED, Sight.WET)), HOSE));
    }

    @Test
    void theSameLookTwiceCountsOnce() {
      Looked dry = look(HOSE, LookState.PRESSED, Sight.DRY);
      Close.to("twice", probability(of(dry, dry), HOSE), probability(of(dry), HOSE), 0);
    }

    @Test
    void paperThatCameAwayDampRaisesItsPlaceAndCountsOnce() {
      Observation damp = new Observation.Blotted(HOSE, true);
      Observation dry = new Observation.Blotted(HOSE, false);
      double before = probability(of(), HOSE);
      assertThat(probability(of(damp), HOSE)).isGreaterThan(before);
      assertThat(probability(of(dry), HOSE)).isLessThan(before);
      Close.to("twice", probability(of(damp, damp), HOSE), probability(of(damp), HOSE), 0);
      Close.to("the last", probability(of(dry, damp), HOSE), probability(of(damp), HOSE), 0);
    }

    @Test
    void whatWasFoundBeforeIsCountedApartOnceTheRepairIsTested() {
      Looked wet = look(HOSE, LookState.PRESSED, Sight.WET);
      assertThat(of(wet, new Repaired()).foundBefore()).as("not tested yet").isZero();
      assertThat(of(wet, new Repaired(), leak(0.5, true)).foundBefore()).isEqualTo(1);
      Case again = of(wet, new Repaired(), leak(0.5, true), wet);
      assertThat(again.foundBefore()).as("wet again").isZero();
      assertThat(again.wet()).hasSize(1);
    }

    @Test
    void onceTheRepairIsTestedWhatWasBeforeItIsHistory() {
      Observation[] before = {
        new Sign("puddle-overnight"),
        dripping(HOSE, 8),
        new Dripped(DripSpot.GROUND_FRONT, LookState.COLD),
        leak(0.6, false),
        new Repaired()
      };
      assertThat(of(before).wet()).hasSize(1);
      Observation[] after = java.util.Arrays.copyOf(before, before.length + 1);
      after[before.length] = leak(0.2, true);
      Case tested = of(after);
      assertThat(tested.wet()).isEmpty();
      Close.to(
          "only the new hold counts",
          probability(tested, CORE),
          probability(of(leak(0.2, true)), CORE),
          0);
    }

    @Test
    void aGasCheckThatDoesNotCountIsAFlagAndNoFinding() {
      Case of = of(new GasChecked(GasColour.YELLOW, List.of("coolant-drawn-in")));
      assertThat(Assessment.of(of).flags())
          .extracting(Flag::word)
          .containsExactly("combustion-gas-does-not-count:coolant-drawn-in");
      Close.to(
          "nothing",
          probability(of, "inside.head-gasket"),
          probability(of(), "inside.head-gasket"),
          0);
    }

    @Test
    void glowOfBeforeSaysNothing() {
      Close.to(
          "old and unchanged",
          probability(of(new Scanned(CORE, Glow.OLD), new Scanned(HOSE, Glow.UNCHANGED)), CORE),
          probability(of(), CORE),
          0);
      assertThat(probability(of(new Scanned(CORE, Glow.UNSCANNED)), CORE))
          .isBetween(
              probability(of(), CORE), probability(of(new Scanned(CORE, Glow.NEW_GLOW)), CORE));
    }
  }

  @Nested
  class WhatComesNext {
    @Test
    void theRepairWhereThePlacesFoundExplainTheRate() {
      Assessment explained = Assessment.of(of(dripping(HOSE, 12), leak(0.6, false)));
      assertThat(explained.repairComesNext()).isTrue();
      assertThat(explained.next()).hasSize(1);
      Assessment more = Assessment.of(of(dripping(HOSE, 2), leak(0.9, false)));
      assertThat(more.repairComesNext()).isFalse();
      assertThat(more.next()).isNotEmpty();
    }

    @Test
    void nothingOnceItIsProven() {
      Held tight =
          new Held(
              VerdictKind.TIGHT,
              new Outcome.Rate(0.01, 0.01, LeakLaw.SEEP),
              110,
              "",
              true,
              List.of());
      Assessment proven = Assessment.of(of(new Repaired(), tight));
      assertThat(proven.suspects()).isEmpty();
      assertThat(proven.next()).isEmpty();
    }

    @Test
    void noLookAtWhatCannotBeSeen() {
      Assessment hidden = Assessment.of(of(look(HOSE, LookState.COLD, Sight.HIDDEN)));
      assertThat(hidden.next())
          .noneMatch(p -> p.what().place().filter(HOSE::equals).isPresent())
          .isNotEmpty();
    }

    @Test
    void theGasCheckWhereTheSamePartFailedTwiceAndIsSuspected() {
      Looked wet = look("pump.gasket", LookState.PRESSED, Sight.WET);
      assertThat(flags(new Replaced("Water pump", 365), wet))
          .contains("gas-check-first:Water pump");
      assertThat(flags(new Replaced("pump", 366), wet)).as("long ago").isEmpty();
      Looked other = look("heater-core.tubes", LookState.PRESSED, Sight.WET);
      assertThat(flags(new Replaced("pump", 30), other)).as("not a suspect").isEmpty();
      assertThat(Assessment.of(of(new Replaced("pump", 30), wet)).next().get(0).what().word())
          .isEqualTo("combustion-gas");
      assertThat(flags(new Replaced("pump", 30), wet, new GasChecked(GasColour.BLUE, List.of())))
          .as("checked")
          .isEmpty();
    }

    private static List<String> flags(Observation... observed) {
      return Assessment.of(of(observed)).flags().stream().map(Flag::word).toList();
    }
  }

  @Test
  void whateverWordIsUsedForAPartItIsThatPart() {
    double before = probability(of(), "pump.gasket");
    double pump = probability(of(new Replaced("pump", 30)), "pump.gasket");
    assertThat(pump).as("where it was opened").isGreaterThan(before);
    for (String word : List.of("Water pump", "PUMP", "the pump, again")) {
      Close.to(word, probability(of(new Replaced(word, 30)), "pump.gasket"), pump, 0);
    }
    for (String[] same :
        new String[][] {{"core plug", "freeze plug"}, {"lid", "cap"}, {"reservoir", "tank"}}) {
      for (String place : List.of("block.core-plug-front", "cap.neck", "pump.gasket")) {
        Close.to(
            same[0] + " " + place,
            probability(of(new Replaced(same[0], 30)), place),
            probability(of(new Replaced(same[1], 30)), place),
            0);
      }
    }
    Close.to("no part", probability(of(new Replaced("wiper", 30)), "pump.gasket"), before, 0);
  }

  @Test
  void aGrossLeakAccusesWhateverLeaksColdAndDecidesNothingAlone() {
    Held gross = new Held(VerdictKind.GROSS, new Outcome.AtLeast(300), 110, "", false, List.of());
    assertThat(probability(of(gross), CORE)).isGreaterThan(probability(of(), CORE)).isLessThan(0.5);
  }

  @Test
  void behindAShutHeaterValveADryLookUnderPressureSaysNothing() {
    Looked dry = look("heater-core.tubes", LookState.PRESSED, Sight.DRY);
    Case shut = new Case(CIRCUIT, List.of(dry), true);
    Close.to(
        "untouched",
        probability(shut, "heater-core.tubes"),
        probability(new Case(CIRCUIT, List.of(), true), "heater-core.tubes"),
        0);
    assertThat(probability(of(dry), "heater-core.tubes"))
        .isLessThan(probability(shut, "heater-core.tubes"));
  }
}
