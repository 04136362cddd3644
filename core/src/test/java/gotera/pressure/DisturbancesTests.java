package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.VerdictKind;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.testkit.Seeds;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class DisturbancesTests {
  private static final Gauge GAUGE = new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true);

  @Test
  void whoLeansOnAHoseIsCutOutAndNamed() {
    for (double every : new double[] {1, 5, 60}) {
      Trace squeezed = hold(every, every < 20 ? 400 : 438);
      Disturbances found = Disturbances.cutOut(squeezed, GAUGE);
      assertThat(found.found()).as("every %s s", every).hasSize(1);
      assertThat(found.found().get(0).from()).isBetween(300.0, 441.0);
      assertThat(found.trace().size()).isLessThan(squeezed.size());
    }
  }

  @Test
  void aQuietHoldKeepsEveryReading() {
    Trace quiet = hold(5, Double.POSITIVE_INFINITY);
    assertThat(Disturbances.cutOut(quiet, GAUGE).found()).isEmpty();
    assertThat(Disturbances.cutOut(quiet, GAUGE).trace()).isSameAs(quiet);
  }

  @Test
  void theVerdictIsTheOneWithoutTheHand() {
    StandInVehicle vehicle = Holds.vehicle(0.6, 120);
    Hold hold = new Hold(Holds.RATED, 20, 900, 2, 18, -0.01, 500);
    StandInVehicle.Outcome outcome = vehicle.run(hold, Seeds.of(1).findFirst().orElseThrow());
    PressureTestResult result =
        new PressureTest(outcome.trace(), Holds.conditions(outcome.gasAtHold(), 1)).analyse();
    assertThat(result.verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(result.disturbances()).hasSize(1);
    assertThat(result.rate().orElseThrow().rate()).isBetween(0.5, 0.7);
  }

  private static Trace hold(double every, double squeezedAt) {
    Hold hold = new Hold(Holds.RATED, 20, 900, every, 18, -0.01, squeezedAt);
    return Holds.vehicle(0, 120)
        .run(hold, Seeds.of(1).findFirst().orElseThrow())
        .trace()
        .between(60, 900);
  }
}
