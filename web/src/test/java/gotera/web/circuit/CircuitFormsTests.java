package gotera.web.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Fastening;
import gotera.circuit.Features.Extra;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class CircuitFormsTests {
  @Test
  void featuresAreStoredAndReadBack() {
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      String text = FeaturesText.of(preset.features());
      assertThat(FeaturesText.read(text)).as(text).isEqualTo(preset.features());
      assertThat(text.length()).isLessThan(600);
    }
  }

  @Test
  void editsAreStoredAndReadBack() {
    List<CircuitEdit> edits =
        List.of(
            new CircuitEdit.Rename("pump.gasket", "Gasket"),
            new CircuitEdit.AddJoint(
                "added-1", "Plug", "block", Spot.LOWER_REAR, Fastening.PRESSED_IN),
            new CircuitEdit.MoveJoint("pump.gasket", "head", Spot.UPPER_FRONT),
            new CircuitEdit.RemoveJoint("block.drain-plug"),
            new CircuitEdit.AddPart("added-2", "Cooler", Region.FRONT),
            new CircuitEdit.MovePart("added-2", Region.CABIN),
            new CircuitEdit.RemovePart("added-2"),
            new CircuitEdit.LoopOff("rear-heater"));
    for (CircuitEdit edit : edits) {
      CircuitEditRecord record =
          new CircuitEditRecord(UUID.randomUUID(), edit, Instant.EPOCH, "bench");
      assertThat(record.edit()).contains(edit);
    }
  }

  @Test
  void whatIsChosenIsWhatIsBuiltAndNonsenseIsLeftOut() {
    CircuitForm form =
        new CircuitForm(
            "van",
            "type",
            "diesel",
            "tank",
            "sideways",
            "along",
            List.of("oil-cooler", "wings"),
            0);
    assertThat(form.features().has(Extra.OIL_COOLER)).isTrue();
    assertThat(form.features().extras()).hasSize(1);
    assertThat(form.features().engine()).isEqualTo(gotera.circuit.Features.Engine.INLINE);
    assertThat(CircuitForm.of("type", form.features(), 3).features()).isEqualTo(form.features());
  }
}
