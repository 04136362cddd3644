package gotera.web.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.circuit.Features.Extra;
import gotera.web.figures.FieldProblems;
import gotera.web.words.TestWords;
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
            "6",
            "along",
            List.of("oil-cooler", "wings"),
            0);
    Features built = form.features();
    assertThat(built.has(Extra.OIL_COOLER)).isTrue();
    assertThat(built.extras()).hasSize(1);
    assertThat(built.engine()).isEqualTo(Features.Engine.INLINE);
    assertThat(built.lastCylinder()).isEqualTo(6);
    assertThat(FeaturesText.read(FeaturesText.of(built))).isEqualTo(built);
    assertThat(CircuitForm.of("type", built, 3).features()).isEqualTo(built);
  }

  /** A number of cylinders that no engine has is asked back, and none is read from the store. */
  @Test
  void cylindersAreCountedOrNot() {
    for (String wrong : List.of("0", "17", "5.5", "six", "-4")) {
      FieldProblems problems = TestWords.problems();
      new CircuitForm("v", "t", "petrol", "neck", "v", wrong, "along", List.of(), 0)
          .check(problems, true);
      assertThat(problems.none()).as(wrong).isFalse();
    }
    for (String stored : List.of("cylinders-0", "cylinders-99", "cylinders-x", "cylinders-")) {
      assertThat(FeaturesText.read("petrol neck v along " + stored).cylinders()).isEmpty();
    }
    assertThat(FeaturesText.read("electric tank inline along cylinders-4").cylinders())
        .as("what burns nothing has none")
        .isEmpty();
  }
}
