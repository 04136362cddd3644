package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.EarlyClaim.Kind;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.simulation.StandInVehicle.Outcome;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EarlyClaimTests {
  private static Optional<EarlyClaim> claim(double leak, int seed) {
    Outcome outcome = Holds.vehicle(leak, 150).run(Holds.minutes(30, 5), new Random(seed));
    return EarlyClaim.first(outcome.trace(), Holds.conditions(outcome.gasAtHold(), 1));
  }

  @Test
  void aLargeLeakIsClaimedWithinMinutes() {
    for (int seed = 0; seed < 5; seed++) {
      assertThat(claim(3, seed)).map(EarlyClaim::kind).contains(Kind.LEAK);
      assertThat(claim(3, seed).orElseThrow().minutes()).isLessThan(10);
    }
  }

  @Test
  void aTightSystemIsHardlyEverCalledALeak() {
    int wrong = 0;
    for (int seed = 0; seed < 60; seed++) {
      wrong += claim(0, seed).filter(c -> c.kind() == Kind.LEAK).isPresent() ? 1 : 0;
    }
    assertThat(wrong).isLessThanOrEqualTo(2);
  }

  /** A look sees what was known then: what comes later does not change what was claimed. */
  @Test
  void whatComesLaterChangesNoLookOfBefore() {
    Outcome outcome = Holds.vehicle(2, 150).run(Holds.minutes(30, 5), new Random(2));
    HoldConditions conditions = Holds.conditions(outcome.gasAtHold(), 1);
    Trace whole = outcome.trace();
    EarlyClaim claim = EarlyClaim.first(whole, conditions).orElseThrow();
    double shut = whole.first(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds();
    Trace then = whole.until(shut + 60 * claim.minutes() + 1);
    assertThat(EarlyClaim.first(then, conditions)).contains(claim);
    Trace before = whole.until(shut + 60 * claim.minutes() - 1);
    assertThat(EarlyClaim.first(before, conditions)).isEmpty();
  }

  @Test
  void claimsNothingWithoutAHold() {
    HoldConditions conditions = Holds.conditions(150, 1);
    assertThat(EarlyClaim.first(Trace.builder().build(), conditions)).isEmpty();
    assertThat(EarlyClaim.lastLook(Trace.builder().reading(0, 100).build(), conditions)).isZero();
  }

  @Test
  void theHoldThatRunsIsToldHowLongItMustGoOn() {
    Outcome outcome = Holds.vehicle(0, 150).run(Holds.minutes(30, 5), new Random(4));
    HoldConditions conditions = Holds.conditions(outcome.gasAtHold(), 1);
    double before = Double.POSITIVE_INFINITY;
    double shut = outcome.trace().first(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds();
    for (int minutes = 4; minutes <= 28; minutes += 8) {
      Trace trace = outcome.trace().until(shut + 60 * minutes);
      ToGo toGo =
          ToGo.of(trace, conditions, new PressureTest(trace, conditions).analyse()).orElseThrow();
      assertThat(toGo.minutes()).isPresent();
      assertThat(toGo.minutes().getAsDouble()).isLessThanOrEqualTo(before);
      before = toGo.minutes().getAsDouble();
    }
    assertThat(before).isLessThan(10);
  }

  @Test
  void signalsAreHeardWhenTheyAreTrue() {
    HoldConditions conditions = Holds.conditions(150, 1);
    Trace.Builder falling = Trace.builder().event(TraceEvent.at(0, TraceEvent.Kind.VALVE_SHUT));
    for (int s = 0; s <= 300; s += 5) {
      falling.reading(s, s < 150 ? 100 : 100 - (s - 150) * 0.05);
    }
    Trace trace = falling.build();
    assertThat(Signal.of(trace.until(140), conditions, 140, false, Optional.empty())).isEmpty();
    assertThat(Signal.of(trace, conditions, 301, false, Optional.empty()))
        .containsExactly(Signal.DROP_BEGAN);
    assertThat(Signal.of(trace.until(140), conditions, 205, true, Optional.empty()))
        .containsExactly(Signal.READING_DUE);
    Trace high = Trace.builder().reading(1, 500).build();
    assertThat(
            Signal.of(high, conditions, 2, true, Optional.of(new ToGo(OptionalDouble.of(0), 0.1))))
        .isEqualTo(EnumSet.of(Signal.ABOVE_LIMIT, Signal.LONG_ENOUGH));
    assertThat(Signal.of(Trace.builder().build(), conditions, 9, true, Optional.empty())).isEmpty();
  }
}
