package gotera.retest;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.DripSpot;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Told;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Under which circumstances a leak showed. */
class ShowingsTests {
  private static Looked look(Sight saw, LookState state, double gauge) {
    OptionalDouble read = gauge > 0 ? OptionalDouble.of(gauge) : OptionalDouble.empty();
    return new Looked("pump.shaft-seal", state, saw, read, OptionalDouble.empty());
  }

  private static Held held(VerdictKind verdict, boolean afterRepair) {
    return new Held(verdict, new Outcome.Nothing(), 110, "", afterRepair, List.of());
  }

  @Test
  void whatWasToldSeenAndMeasuredShowedIt() {
    List<Observation> observed =
        List.of(
            new Observation.Sign("puddle-overnight"),
            new Observation.Sign("sweet-smell-cabin"),
            new Told.Loss(400, OptionalDouble.empty()),
            look(Sight.DRY, LookState.RUNNING, 0),
            look(Sight.WET, LookState.PRESSED, 95),
            held(VerdictKind.LEAK, false));
    assertThat(Showings.of(observed))
        .extracting(Shown::when)
        .containsExactly(
            Circumstance.PARKED,
            Circumstance.OVER_WEEKS,
            Circumstance.PRESSED,
            Circumstance.PRESSED);
    assertThat(Showings.of(observed)).contains(Shown.pressed(95));
  }

  /** Wet cold without pressure says where, not when; alone it is taken for parked. */
  @Test
  void wetColdCountsOnlyWhereNothingElseSaysWhen() {
    Observation cold =
        new Looked(
            "pump.gasket",
            LookState.COLD,
            Sight.WET,
            OptionalDouble.empty(),
            OptionalDouble.empty());
    assertThat(Showings.of(List.of(cold)))
        .extracting(Shown::when)
        .containsExactly(Circumstance.PARKED);
    Observation drip = new Observation.Dripped(DripSpot.UNDER_PUMP, LookState.RUNNING);
    assertThat(Showings.of(List.of(cold, drip)))
        .extracting(Shown::when)
        .containsExactly(Circumstance.RUNNING);
  }

  /** What leaks again after one repair must be covered after the next; its test shows nothing. */
  @Test
  void whatShowedBetweenTwoRepairsCountsAndTheTestOfARepairDoesNot() {
    List<Observation> observed = new ArrayList<>();
    observed.add(new Observation.Repaired());
    observed.add(look(Sight.WET, LookState.RUNNING, 0));
    observed.add(held(VerdictKind.LEAK, true));
    assertThat(Showings.of(observed)).as("not repaired since").isEmpty();
    observed.add(new Observation.Repaired());
    assertThat(Showings.of(observed)).containsExactly(Shown.of(Circumstance.RUNNING));
  }

  @Test
  void ofNothingNothingShowed() {
    assertThat(Showings.of(List.of())).isEmpty();
    assertThat(Showings.of(List.of(held(VerdictKind.TIGHT, false)))).isEmpty();
  }
}
