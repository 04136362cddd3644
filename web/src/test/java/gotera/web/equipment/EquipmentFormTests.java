package gotera.web.equipment;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.PressureUnit;
import gotera.testkit.Close;
import gotera.web.figures.FieldProblems;
import gotera.web.words.TestWords;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class EquipmentFormTests {
  private final FieldProblems problems = TestWords.problems();

  @Test
  void aTesterIsReadWithItsUnits() {
    EquipmentRecord record = read("tester", "0.5 psi", "2027-03-31", "14", "85 mL");
    assertThat(problems.sentences()).isEmpty();
    Close.to("step (kPa)", number(record.resolution), 3.447, 0.001);
    Close.to("stroke (mL)", number(record.strokeMl), 14, 0);
    Close.to("air (mL)", number(record.airMl), 85, 0);
    assertThat(record.calibrationDue).isEqualTo(LocalDate.of(2027, 3, 31));
    assertThat(record.repeatability).as("left to half a step").isNull();
  }

  @Test
  void aThermometerReadsKelvins() {
    Close.to("step (K)", number(read("thermometer", "0.1", "", "", "").resolution), 0.1, 0);
    assertThat(problems.sentences()).isEmpty();
  }

  @Test
  void anAdapterHasNoStepsAndAPumpNoCalibration() {
    assertThat(read("adapter", "letters", "never", "", "12").resolution).isNull();
    assertThat(read("pump", "letters", "never", "15", "40").calibrationDue).isNull();
    assertThat(problems.sentences()).isEmpty();
  }

  @Test
  void allThatIsWrongIsSaidAtItsField() {
    read("tester", "letters", "31.3.2027", "none", "9000");
    assertThat(problems.sentences())
        .containsOnlyKeys("resolution", "calibrationDue", "stroke", "air");
    assertThat(problems.sentences().get("calibrationDue")).contains("year-month-day");
  }

  private EquipmentRecord read(String kind, String step, String due, String stroke, String air) {
    EquipmentForm form =
        new EquipmentForm(
            kind, "Ramp tester", "needle", step, "", "", "", due, stroke, air, "", "", "0");
    EquipmentRecord record = new EquipmentRecord(UUID.randomUUID(), form.kindChosen());
    form.into(record, problems, PressureUnit.KPA);
    return record;
  }

  private static double number(@org.jspecify.annotations.Nullable Double value) {
    assertThat(value).isNotNull();
    return value;
  }
}
