package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Scanned;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FoundByTests {
  private static Looked look(String place, LookState state, Sight saw) {
    return new Looked(place, state, saw, OptionalDouble.empty(), OptionalDouble.empty());
  }

  @Test
  void aLookFindsWhereItWasWetAndWasRepaired() {
    List<Observation> seen =
        List.of(
            look("pump.gasket", LookState.COLD, Sight.DRY),
            look("pump.gasket", LookState.RUNNING, Sight.WET),
            look("tank.seam", LookState.WARM, Sight.WET),
            new Scanned("pump.gasket", Glow.NEW_GLOW));
    assertThat(FoundBy.of(seen, Set.of("pump.gasket")))
        .containsEntry("look.cold", false)
        .containsEntry("look.running", true)
        .containsEntry("look.warm", false)
        .containsEntry("dye", true)
        .hasSize(4);
  }

  @Test
  void aCheckOfTheInsideFindsWhatCanCauseIt() {
    InCylinder wet = new InCylinder(3, true, OptionalDouble.of(11), OptionalDouble.of(14), false);
    List<Observation> seen = List.of(new GasChecked(GasColour.YELLOW, List.of()), wet);
    assertThat(FoundBy.of(seen, Set.of("inside.head-gasket")))
        .containsEntry("gas", true)
        .containsEntry("cylinder", true);
    assertThat(FoundBy.of(seen, Set.of("pump.gasket")))
        .containsEntry("gas", false)
        .containsEntry("cylinder", false);
  }

  @Test
  void whatDoesNotCountOrCameAfterTheRepairIsNotAsked() {
    List<Observation> seen =
        List.of(
            new GasChecked(GasColour.YELLOW, List.of("coolant-drawn-in")),
            new Repaired(),
            look("pump.gasket", LookState.RUNNING, Sight.WET));
    assertThat(FoundBy.of(seen, Set.of("inside.head-gasket", "pump.gasket"))).isEmpty();
  }
}
