package gotera.dye;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class DyeTests {
  private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");
  private static final DyeStep IN = new DyeStep.Dosed(NOON);
  private final Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);

  @Test
  void glowIsHeldAgainstWhatGlowedBefore() {
    Dye dye =
        of(
            glow("pump.gasket", 10),
            glow("radiator.core", 10),
            glow("block.drain-plug", 4),
            new DyeStep.ScannedBefore(),
            IN,
            glow("pump.gasket", 11),
            glow("radiator.core", 16),
            glow("cap.neck", 3));
    assertThat(dye.glows())
        .containsEntry("pump.gasket", Glow.UNCHANGED)
        .containsEntry("radiator.core", Glow.GROWN)
        .containsEntry("cap.neck", Glow.NEW_GLOW)
        .containsEntry("block.drain-plug", Glow.OLD);
    assertThat(says(dye, "pump.gasket")).isEmpty();
    assertThat(says(dye, "block.drain-plug")).isEmpty();
    assertThat(says(dye, "radiator.core")).contains(true);
    assertThat(says(dye, "cap.neck")).contains(true);
  }

  @Test
  void darkSaysNothingWhereNoDyeHasBeen() {
    DyeStep[] scans = {dark("radiator.core"), dark("pump.gasket"), dark("heater-core.tubes")};
    assertThat(says(of(IN, scans[0], scans[1]), "pump.gasket")).isEmpty();
    Dye cold = of(IN, new DyeStep.Ran(12, false, false), scans[0], scans[1], scans[2]);
    assertThat(says(cold, "pump.gasket")).contains(false);
    assertThat(says(cold, "radiator.core")).isEmpty();
    assertThat(cold.unreached(circuit)).contains(Branch.RADIATOR, Branch.HEATER);
    Dye warm =
        of(
            IN,
            new DyeStep.Ran(12, false, false),
            new DyeStep.Ran(8, true, true),
            scans[0],
            scans[2]);
    assertThat(says(warm, "radiator.core")).contains(false);
    assertThat(says(warm, "heater-core.tubes")).contains(false);
    assertThat(warm.run()).isEqualTo(20);
    assertThat(warm.unreached(circuit)).isEmpty();
  }

  @Test
  void theLatestScanCounts() {
    Dye dye = of(IN, glow("cap.neck", 3), new DyeStep.Round(), dark("cap.neck"));
    assertThat(dye.glows()).isEmpty();
    assertThat(dye.dark()).containsExactly("cap.neck");
    assertThat(dye.rounds()).isEqualTo(1);
    assertThat(of(IN, dark("cap.neck"), glow("cap.neck", 3)).dark()).isEmpty();
    assertThat(of(glow("cap.neck", 3), dark("cap.neck"), IN, glow("cap.neck", 3)).glows())
        .containsEntry("cap.neck", Glow.NEW_GLOW);
    assertThat(of(IN, glow("cap.neck", 3)).glows())
        .as("it may have glowed before: nobody looked")
        .containsEntry("cap.neck", Glow.UNSCANNED);
  }

  /** What is left on a repaired joint is no new glow; a larger one is. */
  @Test
  void afterARepairOnlyWhatGrowsIsNew() {
    DyeStep repaired = new DyeStep.Repaired("cap.neck");
    DyeStep clean = new DyeStep.ScannedBefore();
    assertThat(says(of(clean, IN, glow("cap.neck", 6)), "cap.neck")).contains(true);
    assertThat(says(of(clean, IN, glow("cap.neck", 6), repaired), "cap.neck")).isEmpty();
    assertThat(of(clean, IN, glow("cap.neck", 6), repaired, glow("cap.neck", 6)).glows())
        .containsEntry("cap.neck", Glow.UNCHANGED);
    assertThat(of(clean, IN, glow("cap.neck", 6), repaired, glow("cap.neck", 12)).glows())
        .containsEntry("cap.neck", Glow.GROWN);
    Dye wiped =
        of(
            clean,
            IN,
            glow("cap.neck", 6),
            repaired,
            dark("cap.neck"),
            new DyeStep.Round(),
            glow("cap.neck", 3));
    assertThat(wiped.glows()).as("wiped, and there again").containsEntry("cap.neck", Glow.NEW_GLOW);
  }

  @Test
  void withoutDyeTheLampSaysNothing() {
    assertThat(says(of(glow("cap.neck", 3)), "cap.neck")).isEmpty();
    assertThat(says(of(), "cap.neck")).isEmpty();
  }

  private Dye of(DyeStep... steps) {
    return Dye.of(circuit, new ArrayList<>(List.of(steps)));
  }

  private Optional<Boolean> says(Dye dye, String joint) {
    return dye.says(circuit.joint(joint).orElseThrow()).map(Glow::counts);
  }

  private static DyeStep glow(String joint, double size) {
    return new DyeStep.Scanned(joint, true, OptionalDouble.of(size));
  }

  private static DyeStep dark(String joint) {
    return new DyeStep.Scanned(joint, false, OptionalDouble.empty());
  }
}
