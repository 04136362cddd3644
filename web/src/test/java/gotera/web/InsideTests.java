package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Checks of the inside in the browser, from an empty job. By touch, and by keyboard. */
@ExtendWith(Application.class)
class InsideTests {

  /** Inside: what does not count says so and moves nothing; what is wrong is told at its place. */
  @Test
  void anInsideCheckThatDoesNotCountSaysSo(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Corva 24 inside", "Dry outside, topped up again and again");
      bench.step("Inside");
      String before = bench.text(".suspects");
      bench.unfold("Only a result");
      bench.page.locator("input[value=coolant-drawn-in] + span").click();
      bench.click("turned yellow");
      bench.shows(".so-far-flag", "The gas check does not count (coolant was drawn in)");
      bench.shows(".next-check", "Check for combustion gas");
      assertThat(bench.text(".suspects")).isEqualTo(before);
      bench.fill("Cylinder", "third");
      bench.fill("Minutes under pressure", "14");
      bench.click("Wet after pressure");
      bench.shows("#number-problem", "Please enter");
      bench.holds("#minutes", "14");
      bench.fill("Cylinder", "3");
      // nobody draws eleven litres from a bore
      bench.fill("Drawn off", "11");
      bench.click("Wet after pressure");
      bench.shows("#inside-log", "Cylinder 3: wet after pressure, 11");
      bench.shows("#inside-log", "14 min");
      bench.shows(".so-far-flag", "plugs out before the engine is turned");
      bench.shows(".suspects li", "Inside: a cylinder");
      bench.shows(".suspects li", "coolant in a cylinder");
      bench.click("Undo: Cylinder 3");
      bench.counts("#inside-log li", 1);
      assertThat(bench.text(".suspects")).isEqualTo(before);
      bench.shows(".rail", "1 found");
    }
  }

  /** An electric van, second loop slowly low: high voltage first, nothing that burns. */
  @Test
  void aHighVoltageLoopStopsThoseWhoAreNotQualified(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Quillo E", "Second loop slowly low");
      bench.circuit("Two loops", "electric-two-loops");
      bench.shows(".rail .step-not-needed", "Inside");
      bench.shows(".rail .step-not-needed", "nothing burns");
      bench.step("Make safe");
      bench.shows(".caution-stop", "High voltage: stop");
      bench.click("Soft");
      bench.shows(".said-no", "only a qualified person");
      bench.click("I am qualified");
      bench.counts(".said-yes", 0);
      bench.fill("Coolant or tank now, °C", "19");
      bench.click("Save the reading");
      bench.shows(".said-yes", "may be opened");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "60 kPa");
      bench.fill("Maker’s highest system pressure", "30 kPa");
      bench.click("Save the cap");
      bench.step("Cap");
      bench.shows(".plate", "30.0 kPa");
      bench.shows(".plate", "maker’s figure");
      bench.step("Visual check");
      bench.click("Hidden: Battery plate, inlet".replace("Hidden", "Cannot see"));
      bench.click("Wet: Charger, outlet");
      bench.shows("#look-said", "1 wet");
      assertThat(bench.text(".suspects")).contains("Charger, outlet").doesNotContain("Inside");
      bench.beads("charger.outlet");
      bench.step("Decide");
      bench.shows(".claim", "Charger, outlet");
      assertThat(bench.text(".claim")).doesNotContain("combustion gas");
      bench.counts(".way-best", 1);
      bench.follow(".way-best button");
      bench.shows(".rail", "1 open on the sheet");
      bench.click("End here");
      bench.shows("#open-points", "not decided");
      bench.click("Close the job");
      bench.counts(".field-wrong", 1);
      bench.choose("customer-decides");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Quillo E");
    }
  }
}
