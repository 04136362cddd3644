package gotera.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.TraceEvent;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LiveVehicleTests {
  private static LiveVehicle vehicle(double leak, double leans) {
    return new LiveVehicle(
        new StandInVehicle(
            new SystemUnderTest(150, 8000, 0.3, 0.03, 90, 4e-4, 0.76),
            leak > 0 ? List.of(Leak.seep(leak, 100)) : List.of(),
            new Instruments(0.05, 0.03, 0.1, 0.05)),
        new LiveVehicle.Plan(100, 20, -0.01, leans),
        9);
  }

  private static List<String> life(LiveVehicle vehicle, double every) {
    List<String> seen = new ArrayList<>();
    for (double t = 0; t < 600; t += every) {
      vehicle.until(t);
      LiveVehicle.Shown shown = vehicle.look();
      shown.happened().ifPresent(k -> seen.add(k.word()));
    }
    return seen;
  }

  @Test
  void isPumpedAndThenShut() {
    LiveVehicle vehicle = vehicle(0.5, Double.POSITIVE_INFINITY);
    assertThat(life(vehicle, 0.1))
        .containsExactly(TraceEvent.Kind.PUMPED.word(), TraceEvent.Kind.VALVE_SHUT.word());
    assertThat(vehicle.gauge()).isBetween(70.0, 100.0);
    assertThat(vehicle.lost()).isBetween(3.0, 6.0);
  }

  /** Looked at seldom or often, it lives the same life. */
  @Test
  void livesTheSameLifeHoweverOftenItIsLookedAt() {
    LiveVehicle often = vehicle(0.5, 300);
    LiveVehicle once = vehicle(0.5, 300);
    life(often, 0.1);
    once.until(600 - 0.1);
    assertThat(once.gauge()).isCloseTo(often.gauge(), org.assertj.core.data.Offset.offset(0.01));
    assertThat(once.lost()).isCloseTo(often.lost(), org.assertj.core.data.Offset.offset(0.01));
  }
}
