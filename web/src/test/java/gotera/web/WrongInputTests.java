package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Wrong input is answered at its place and keeps what was typed. */
@ExtendWith(Application.class)
class WrongInputTests {

  @Test
  void lettersForAPressure(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.fill("Gauge, kPa", "about ninety");
      bench.fill("Coolant, °C", "18.4");
      bench.click("Keep reading");
      assertThat(bench.text("#gauge-problem"))
          .contains("There is no number in “about ninety”")
          .contains("for example");
      assertThat(bench.page.locator("#gauge").inputValue()).isEqualTo("about ninety");
      assertThat(bench.page.locator("#temperature").inputValue()).isEqualTo("18.4");
      assertThat(bench.page.locator("#gauge").getAttribute("aria-invalid")).isEqualTo("true");
      bench.page.reload();
      assertThat(bench.text("h1")).isEqualTo("Pressure test 1");
    }
  }

  @Test
  void aTimeThatGoesBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.click("Valve shut");
      reading(bench, "120", "4:00");
      reading(bench, "119.5", "3:00");
      assertThat(bench.text("#at-problem")).contains("not later than the last reading, at 4:00");
      assertThat(bench.page.locator("#at").inputValue()).isEqualTo("3:00");
      assertThat(bench.page.locator("#gauge").inputValue()).isEqualTo("119.5");
    }
  }

  @Test
  void fourHundredKilopascalsOnACapOfOneHundredAndTwentyFour(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.click("Valve shut");
      reading(bench, "400", "0:10");
      assertThat(bench.text("#gauge-problem"))
          .contains("400.0 kPa is above the limit of 124.1 kPa")
          .contains("does not count");
      assertThat(bench.page.locator("#gauge").inputValue()).isEqualTo("400");
      bench.click("The gauge did show that: keep it, the test does not count");
      reading(bench, "120", "1:00");
      reading(bench, "119", "5:00");
      assertThat(bench.text(".said")).contains("Does not count");
      assertThat(bench.text(".reasons")).contains("400.0 kPa, above the limit of 124.1 kPa");
    }
  }

  @Test
  void anEmptyFileAndABinaryOne(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.page.locator("summary").getByText("Curve from a file").click();
      bench.giveFile("empty.csv", "");
      bench.click("Take it");
      assertThat(bench.text("#file-problem")).contains("nothing of it was kept", "an empty file");
      byte[] bytes = new byte[4000];
      new Random(5).nextBytes(bytes);
      bench.giveFile("picture.csv", bytes);
      bench.click("Take it");
      assertThat(bench.text("#file-problem")).contains("nothing of it was kept", "CSV");
      bench.giveFile("rows.csv", "elapsed_s,gauge_kpa\n0,120\n60,x\n30,119\n");
      bench.click("Take it");
      assertThat(bench.text("#file-problem")).contains("line 3, gauge_kpa").contains("line 4");
      assertThat(bench.text("#gauge-now")).contains("–");
    }
  }

  @Test
  void aStampThatMakesNoCapInTheUnitChosen(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "1.2");
      bench.page.locator("input[name=unit][value=psi]").check();
      bench.click("Save the cap");
      assertThat(bench.text("#stamp-problem")).contains("No cap is rated 1.2 psi");
      assertThat(bench.page.locator("#stamp").inputValue()).isEqualTo("1.2");
      bench.page.getByText("120.0 kPa · 17.4 psi").click();
      bench.click("Save the cap");
      bench.step("Cap");
      assertThat(bench.text(".plate")).contains("120.0 kPa · 17.4 psi");
    }
  }

  @Test
  void aTestPressureTheUserHasNotConfirmed(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "18 psi");
      bench.fill("Maker’s test pressure", "150 kPa");
      bench.click("Save the cap");
      assertThat(bench.text("#testPressure-problem")).contains("needs your word");
      bench.page.locator("input[name=testPressureConfirmed]").check();
      bench.click("Save the cap");
      bench.step("Cap");
      assertThat(bench.text(".plate")).contains("150.0 kPa").contains("test pressure, confirmed");
    }
  }

  @Test
  void anIntakeWithoutAVehicleAndWithAnOddStrength(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("New job");
      bench.fill("Complaint, in the customer’s words", "Wet floor");
      bench.fill("Strength, %", "85");
      bench.click("Begin the job");
      assertThat(bench.text("#vehicle-problem")).contains("Expected: the vehicle’s name");
      assertThat(bench.text("#strength-problem")).contains("outside 0 to 60 %");
      assertThat(bench.page.locator("#complaint").inputValue()).isEqualTo("Wet floor");
    }
  }

  @Test
  void twoPeopleEditingOneIntake(Application.Running application) {
    try (Bench first = Bench.of(application);
        Bench second = Bench.of(application, "lead")) {
      first.click("Start a test now");
      String job = first.jobPath();
      first.open(job + "/intake");
      second.open(job + "/intake");
      first.fill("Vehicle", "Seen by two");
      first.click("Save intake");
      second.fill("Vehicle", "Typed by the other");
      second.click("Save intake");
      assertThat(second.text(".wrong-form")).contains("Someone else changed this");
      assertThat(second.text(".conflict")).contains("Seen by two").contains("Typed by the other");
      assertThat(second.page.locator("#vehicle").inputValue()).isEqualTo("Typed by the other");
    }
  }

  @Test
  void aDrawThatRaisesThePressure(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.draw("measuring draw", "20", "100", "110");
      assertThat(bench.text("#after-problem")).contains("less than before");
      assertThat(bench.page.locator("#volume").inputValue()).isEqualTo("20");
    }
  }

  @Test
  void undoTakesTheLastReadingBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      reading(bench, "80", "");
      reading(bench, "81", "");
      bench.click("Undo");
      assertThat(bench.text("#gauge-now")).contains("80.0");
    }
  }

  private static Bench pumping(Application.Running application) {
    Bench bench = Bench.of(application);
    bench.pumping("18 psi", "0.5");
    return bench;
  }

  private static void reading(Bench bench, String gauge, String at) {
    bench.page.locator("#at").fill(at);
    bench.reading(gauge);
  }
}
