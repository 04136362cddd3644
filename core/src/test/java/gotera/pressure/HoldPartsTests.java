package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Leak;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** A pre-hold and pumping up again, on one trace. */
class HoldPartsTests {
  private static final double DRIFT = -0.08; // K/min

  @Nested
  class APreHold {
    @Test
    void measuresTheDriftThatNoThermometerSaw() {
      int covered = 0;
      for (Random random : Seeds.of(40).toList()) {
        PressureTestResult.Rate rate = blind(0.6, random).rate().orElseThrow();
        assertThat(rate.preHold()).isTrue();
        Close.to("drift (K/min)", rate.drift(), DRIFT, 4 * rate.driftU());
        covered += Math.abs(rate.rate() - 0.6) <= 1.96 * rate.u() ? 1 : 0;
      }
      assertThat(covered).as("of 40 intervals").isGreaterThanOrEqualTo(35);
    }

    @Test
    void narrowsWhatTheSoakAloneWouldLeaveOpen() {
      StandInVehicle.Outcome outcome = run(0, new Random(8));
      HoldConditions conditions = blindConditions(outcome);
      double with =
          new PressureTest(outcome.trace(), conditions).analyse().rate().orElseThrow().u();
      Trace alone = outcome.trace().between(620, Double.POSITIVE_INFINITY);
      double without = new PressureTest(alone, conditions).analyse().rate().orElseThrow().u();
      // the whole trace's events stay, but there is nothing left to read before the hold
      assertThat(with).isLessThan(without / 2);
    }

    private PressureTestResult blind(double leak, Random random) {
      StandInVehicle.Outcome outcome = run(leak, random);
      return new PressureTest(outcome.trace(), blindConditions(outcome)).analyse();
    }

    private HoldConditions blindConditions(StandInVehicle.Outcome outcome) {
      return Holds.edited(
          Holds.conditions(outcome.gasAtHold(), 1),
          e -> {
            e.thermometer = Optional.empty();
            e.pumpedUntil = 640;
          });
    }

    private StandInVehicle.Outcome run(double leak, Random random) {
      Hold hold = new Hold(Holds.RATED, 20, 720, 5, 18, DRIFT);
      return Holds.vehicle(leak, 120).runAfterPreHold(hold, 8, 600, random);
    }
  }

  @Nested
  class PumpingUpAgain {
    @Test
    void tellsSettlingFromALeakThatShuts() {
      int told = 0;
      for (Random random : Seeds.of(20).toList()) {
        told += again(List.of(), random).rate().orElseThrow().pumpedUpAgain() ? 1 : 0;
      }
      assertThat(told).as("settling recognised, of 20").isGreaterThanOrEqualTo(14);
      for (Random random : Seeds.of(20).toList()) {
        PressureTestResult shuts = again(List.of(Leak.shutting(4, Holds.RATED, 100)), random);
        assertThat(shuts.verdict()).isNotEqualTo(VerdictKind.TIGHT);
        assertThat(shuts.rate().orElseThrow().pumpedUpAgain()).isFalse();
      }
    }

    private PressureTestResult again(List<Leak> leaks, Random random) {
      StandInVehicle vehicle =
          new StandInVehicle(
              Holds.vehicle(0, 120).system(), leaks, Holds.vehicle(0, 120).instruments());
      Hold hold = new Hold(Holds.RATED, 20, 720, 5, 18, 0);
      StandInVehicle.Outcome outcome = vehicle.runTwice(hold, random);
      HoldConditions conditions =
          Holds.edited(
              Holds.conditions(outcome.gasAtHold(), 1),
              e ->
                  e.pumpedUntil =
                      outcome.trace().last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds());
      return new PressureTest(outcome.trace(), conditions).analyse();
    }
  }

  @Test
  void aHoldAfterAHigherOneFindsHosesThatRecover() {
    StandInVehicle.Outcome outcome =
        Holds.vehicle(0, 120)
            .run(
                List.of(new StandInVehicle.Stage(150, 20, 300)),
                new Hold(Holds.RATED, 20, 720, 5, 18, 0),
                new Random(3));
    HoldConditions conditions =
        Holds.edited(
            Holds.conditions(outcome.gasAtHold(), 1),
            e -> {
              e.limit = 160;
              e.pumpedUntil = 340;
            });
    PressureTestResult result = new PressureTest(outcome.trace(), conditions).analyse();
    assertThat(result.reasons()).extracting(Reason::code).contains(Reason.Code.HOSES_RECOVER);
    assertThat(result.rate().orElseThrow().pumpedUpAgain()).isFalse();
    assertThat(result.rate().orElseThrow().settled()).as("mL").isNegative();
  }
}
