package gotera.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit.Joint;
import gotera.word.Worded;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DripTraceTests {
  private final Circuit usual = CircuitBuilder.of(CircuitPresets.USUAL);

  @ParameterizedTest
  @EnumSource(DripSpot.class)
  void onlyWhatLiesHigherFeedsADrip(DripSpot spot) {
    for (boolean running : List.of(false, true)) {
      DripTrace trace = DripTrace.of(usual, spot, running);
      assertThat(trace.feeds())
          .isNotEmpty()
          .allSatisfy((c, p) -> assertThat(p).isBetween(0.0, 0.8));
      for (String code : trace.feeds().keySet()) {
        assertThat(usual.joint(code).orElseThrow().at().y()).isLessThan(spot.at().y() + 13);
      }
    }
  }

  @Test
  void atTheRadiatorsBaseTheHoseEndComesBeforeTheRadiator() {
    List<String> likeliest = DripTrace.of(usual, DripSpot.RADIATOR_BASE, false).likeliest();
    assertThat(likeliest.indexOf("lower-hose.radiator-end"))
        .isLessThan(likeliest.indexOf("radiator.core"))
        .isLessThan(likeliest.indexOf("radiator.lower-seam"))
        .isNotNegative();
  }

  @Test
  void offAMountItLeadsForwardAndUp() {
    DripTrace trace = DripTrace.of(usual, DripSpot.ENGINE_MOUNT, false);
    assertThat(trace.feeds()).containsKey("block.core-plug-front");
    double ahead = trace.feeds().get("block.core-plug-front");
    assertThat(ahead).isGreaterThan(0.1);
  }

  @Test
  void aWetGearboxIsFedFromTheOutletAboveIt() {
    Circuit v =
        CircuitBuilder.of(
            CircuitPresets.of("v-across-outlet-over-gearbox").orElseThrow().features());
    DripTrace trace = DripTrace.of(v, DripSpot.GEARBOX, false);
    assertThat(trace.likeliest().subList(0, 6)).contains("outlet-neck.o-ring");
  }

  @Test
  void behindARunningFanItIsBlownBack() {
    String ahead = "lower-hose.radiator-end";
    assertThat(DripTrace.of(usual, DripSpot.UNDER_PUMP, true).feeds().get(ahead))
        .isGreaterThan(
            DripTrace.of(usual, DripSpot.UNDER_PUMP, false).feeds().getOrDefault(ahead, 0.0));
  }

  @Test
  void theCabinIsFedByTheHeaterCoreAndTheFirewallByItsHoses() {
    assertThat(DripTrace.of(usual, DripSpot.CABIN_FLOOR, false).feeds())
        .containsOnlyKeys("heater-core.tubes");
    assertThat(DripTrace.of(usual, DripSpot.FIREWALL, false).feeds())
        .containsKeys("heater-supply.core-end", "heater-return.core-end")
        .doesNotContainKey("heater-core.tubes");
  }

  @Test
  void aCircuitHasTheSpotsItsPartsGive() {
    assertThat(DripSpot.in(usual)).contains(DripSpot.CABIN_FLOOR, DripSpot.ENGINE_MOUNT);
    Circuit electric =
        CircuitBuilder.of(CircuitPresets.of("electric-two-loops").orElseThrow().features());
    assertThat(DripSpot.in(electric))
        .doesNotContain(DripSpot.CABIN_FLOOR, DripSpot.ENGINE_MOUNT)
        .contains(DripSpot.GROUND_ENGINE);
    assertThat(Worded.of(DripSpot.class, "engine-mount")).contains(DripSpot.ENGINE_MOUNT);
  }

  @Test
  void dyeReachesTheRadiatorOnceTheThermostatOpens() {
    Joint radiator = usual.joint("radiator.core").orElseThrow();
    Joint heater = usual.joint("heater-core.tubes").orElseThrow();
    Joint pump = usual.joint("pump.gasket").orElseThrow();
    Reach shut = Reach.byFlow(usual, false, false);
    assertThat(shut.reaches(pump)).isTrue();
    assertThat(shut.reaches(radiator)).isFalse();
    assertThat(shut.reaches(heater)).isFalse();
    assertThat(Reach.byFlow(usual, true, false).reaches(radiator)).isTrue();
    assertThat(Reach.byFlow(usual, true, true).branches())
        .containsAll(shut.branches())
        .contains(Branch.HEATER);
    assertThat(Reach.byPressure(usual, false).reaches(radiator)).isTrue();
    assertThat(Reach.byPressure(usual, false).reaches(heater)).isFalse();
  }
}
