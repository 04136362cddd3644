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
      bench.click("Save reading");
      bench.shows("#gauge-problem", "“about ninety” is not a number");
      bench.shows("#gauge-problem", "for example");
      bench.holds("#gauge", "about ninety");
      bench.holds("#temperature", "18.4");
      assertThat(bench.page.locator("#gauge").getAttribute("aria-invalid")).isEqualTo("true");
      bench.page.reload();
      assertThat(bench.text("h1")).isEqualTo("Pressure test 1");
    }
  }

  @Test
  void twoReadingsAtOneMoment(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.click("Valve shut");
      reading(bench, "120", "4:00");
      reading(bench, "119.5", "4:00");
      bench.shows("#at-problem", "There is a reading at this time already");
      bench.holds("#at", "4:00");
      bench.holds("#gauge", "119.5");
    }
  }

  @Test
  void fourHundredKilopascalsOnACapOfOneHundredAndTwentyFour(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.click("Valve shut");
      reading(bench, "400", "0:10");
      bench.shows("#gauge-problem", "400.0 kPa is above the limit of 124.1 kPa");
      bench.shows("#gauge-problem", "does not count");
      bench.holds("#gauge", "400");
      bench.click("The gauge did show that: save it");
      bench.writtenAfterwards();
      reading(bench, "120", "1:00");
      reading(bench, "119", "5:00");
      bench.shows(".said", "Does not count");
      bench.shows(".reasons", "400.0 kPa, above the limit of 124.1 kPa");
    }
  }

  @Test
  void anEmptyFileAndABinaryOne(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.page.locator("summary").getByText("Curve from a file").click();
      bench.giveFile("empty.csv", "");
      bench.click("Take it");
      bench.shows("#file-problem", "nothing of it was kept");
      bench.shows("#file-problem", "an empty file");
      byte[] bytes = new byte[4000];
      new Random(5).nextBytes(bytes);
      bench.giveFile("picture.csv", bytes);
      bench.click("Take it");
      bench.shows("#file-problem", "nothing of it was kept");
      bench.shows("#file-problem", "CSV");
      bench.giveFile("rows.csv", "elapsed_s,gauge_kpa\n0,120\n60,x\n30,119\n");
      bench.click("Take it");
      bench.shows("#file-problem", "line 3, gauge_kpa");
      bench.shows("#file-problem", "line 4");
      bench.shows("#gauge-now", "–");
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
      bench.shows("#stamp-problem", "No cap is rated 1.2 psi");
      bench.holds("#stamp", "1.2");
      bench.page.getByText("120.0 kPa · 17.4 psi").click();
      bench.click("Save the cap");
      bench.step("Cap");
      bench.shows(".plate", "120.0 kPa · 17.4 psi");
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
      bench.shows("#testPressure-problem", "needs your word");
      bench.page.locator("input[name=testPressureConfirmed]").check();
      bench.click("Save the cap");
      bench.step("Cap");
      bench.shows(".plate", "150.0 kPa");
      bench.shows(".plate", "test pressure, confirmed");
    }
  }

  @Test
  void anIntakeWithoutAVehicleAndWithAnOddStrength(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("New job");
      bench.fill("Complaint, in the customer’s words", "Wet floor");
      bench.fill("Strength, %", "85");
      bench.click("Begin the job");
      bench.shows("#vehicle-problem", "Please enter the vehicle’s name");
      bench.shows("#strength-problem", "outside 0 to 60 %");
      bench.holds("#complaint", "Wet floor");
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
      second.shows(".wrong-form", "Someone else changed this");
      second.shows(".conflict", "Seen by two");
      second.shows(".conflict", "Typed by the other");
      second.holds("#vehicle", "Typed by the other");
    }
  }

  @Test
  void aDrawThatRaisesThePressure(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.draw("measuring draw", "20", "100", "110");
      bench.shows("#after-problem", "less than before");
      bench.holds("#volume", "20");
    }
  }

  @Test
  void undoTakesTheLastReadingBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      reading(bench, "80", "");
      reading(bench, "81", "");
      bench.click("Undo");
      bench.shows("#gauge-now", "80.0");
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
