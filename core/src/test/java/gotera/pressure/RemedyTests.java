package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.VerdictKind;
import gotera.testkit.Seeds;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RemedyTests {
  @Test
  void aLongerHoldProvesWhatTheRemedySaid() {
    int proven = 0;
    int tried = 0;
    for (Random random : Seeds.of(20).toList()) {
      PressureTest test = short5(random);
      if (test.analyse().verdict() != VerdictKind.NOT_PROVEN) {
        continue; // so short a hold may by luck not count
      }
      tried++;
      double minutes = figure(test, Remedy.Kind.MINUTES);
      assertThat(minutes).isBetween(5.0, 40.0);
      Trace longer =
          Holds.vehicle(0, 120).run(Holds.minutes(1.2 * minutes + 1, 10), random).trace();
      double detection =
          new PressureTest(longer, conditions())
              .analyse()
              .rate()
              .orElseThrow()
              .limits()
              .detection();
      proven += detection <= 0.15 ? 1 : 0;
    }
    assertThat(tried).isGreaterThanOrEqualTo(15);
    assertThat(proven).as("of holds a fifth longer").isGreaterThanOrEqualTo(tried * 3 / 4);
  }

  @Test
  void lessAirAFinerGaugeAndABetterDriftAreLessThanThereIs() {
    PressureTest test = short5(new Random(4));
    PressureTestResult result = test.analyse();
    for (Remedy remedy : Remedy.of(test, result)) {
      switch (remedy.kind()) {
        case MINUTES -> assertThat(remedy.figure()).isGreaterThan(5);
        case AGAIN -> assertThat(remedy.figure()).isPositive();
        case AIR -> assertThat(remedy.figure()).isLessThan(150);
        case GAUGE -> assertThat(remedy.figure()).isLessThan(0.1);
        case TEMPERATURE ->
            assertThat(remedy.figure()).isLessThan(result.rate().orElseThrow().driftU());
      }
    }
  }

  @Test
  void whatIsProvenNeedsNone() {
    PressureTest test =
        new PressureTest(
            Holds.vehicle(0.9, 120).run(Holds.minutes(12, 5), new Random(1)).trace(), conditions());
    assertThat(Remedy.of(test, test.analyse())).isEmpty();
  }

  private static PressureTest short5(Random random) {
    Trace trace = Holds.vehicle(0, 120).run(Holds.minutes(5, 10), random).trace();
    return new PressureTest(trace, conditions());
  }

  private static HoldConditions conditions() {
    return Holds.edited(
        Holds.conditions(143, 1), e -> e.acceptance = new Acceptance(Purpose.REPAIR, 0.15));
  }

  private static double figure(PressureTest test, Remedy.Kind kind) {
    PressureTestResult result = test.analyse();
    List<Remedy> remedies = Remedy.of(test, result);
    assertThat(remedies)
        .as("%s %s", result.verdict(), result.reasons())
        .extracting(Remedy::kind)
        .contains(kind);
    return remedies.stream().filter(r -> r.kind() == kind).findFirst().orElseThrow().figure();
  }
}
