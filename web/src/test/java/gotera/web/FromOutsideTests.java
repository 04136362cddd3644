package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Whole jobs from the outside, in the browser, from an empty job: look, fill, cap, circuit, level.
 * By touch, and by keyboard.
 */
@ExtendWith(Application.class)
class FromOutsideTests {

  /** A new engine type with four places at the pump: the second vehicle starts with all of it. */
  @Test
  void anEngineTypeIsLearnedOnceAndKnownByTheNextVehicle(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Learner one", "Circuit not known yet");
      bench.circuit("3.9 V", "v-pump-behind-cover");
      List<String> atThePump =
          List.of("pump.shaft-seal", "pump.gasket", "pump.pipe-o-ring", "pump.block-gasket");
      for (String joint : atThePump) {
        bench.joint(joint);
        bench.photograph(TracingTests.photograph());
        bench.click("Dry here");
        bench.counts(".joint-photo", 1);
      }
      bench.joint("upper-hose.radiator-end");
      bench.shows(".joint-about", "quick connector");
      bench.shows(".joint-about", "press the latch");
      bench.follow("a[href$='/circuit']");
      bench.unfold("Change places and parts");
      bench.page.locator("#add-joint-name").fill("Plug behind the filter");
      bench.page.locator("#add-joint-part").selectOption("block");
      bench.click("Add the place");
      bench.shows(".notes", "Plug behind the filter");

      bench.job("Learner two", "Same engine");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("3.9 V");
      assertThat(bench.text(".sub")).contains("3.9 V").contains("2 vehicles");
      bench.click("Find on it");
      bench.shows("#joint-list", "Plug behind the filter");
      for (String joint : atThePump) {
        bench.joint(joint);
        assertThat(bench.page.locator(".joint-photo").count()).as(joint).isEqualTo(1);
      }
    }
  }

  /**
   * Wet under the front: started at once, stopped at the drip; the drip is traced to the hose end
   * before the radiator; the re-test proves the clamp.
   */
  @Test
  void aDripIsTracedToTheHoseEndBeforeTheRadiator(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.pumping("18 psi", "0.1 kPa");
      bench.reading("95");
      bench.click("Place seen");
      bench.shows(".so-far summary", "Place seen, not measured");
      bench.shows(".so-far-flag", "the site is known, the rate is not");
      bench.step("Fill up");
      bench.fill("How much", "1.4 L");
      bench.click("Save");
      bench.shows(".table", "to the brim 1.4 L at 0 %");

      bench.step("Find");
      bench.unfold("Where does it drip?");
      bench.click("at the radiator’s base");
      List<String> traced = bench.page.locator(".traced b").allInnerTexts();
      assertThat(traced.get(0)).isEqualTo("Lower hose, radiator end");
      assertThat(traced.indexOf("Radiator core")).isNotEqualTo(0);
      assertThat(bench.page.locator(".drip-path").count()).isGreaterThan(1);
      bench.follow(".traced a");
      bench.fill("Gauge at that moment, kPa", "55");
      bench.fill("Note", "Clamp rusted through, the break is dull");
      bench.click("Wet");
      bench.shows(".joint-last", "wet, at 55.0 kPa");
      bench.shows(".joint-last", "break is dull");
      bench.fill("Gauge at that moment, kPa", "");
      bench.click("Begins to drip at this pressure");
      bench.shows("#pressure-problem", "Please read the gauge");
      bench.fill("Gauge at that moment, kPa", "95");
      bench.click("Begins to drip at this pressure");
      bench.fill("Gauge at that moment, kPa", "48");
      bench.click("Stops at it");
      bench.shows("#dripping", "begins to drip, 95.0 kPa");
      bench.click("Undo: Lower hose, radiator end, stops");
      bench.counts("#dripping li", 1);
      bench.unfold("Hose, clamp or bearing");
      bench.click("Clamp broken, break dull: old");
      bench.shows("#felt", "Clamp broken, break dull: old");
      bench.shows(".suspects li", "Lower hose, radiator end");
      bench.shows(".suspects li", "clamp broken here, the break dull: long ago");
      bench.shows(".suspects li", "wet here");
      bench.shows(".next-check", "Lower hose, radiator end");

      bench.step("Intake");
      bench.fill("Vehicle", "Orvia 16");
      bench.click("Save intake");
      bench.step("Repair");
      bench.shows("#before", "hose clamp");
      bench.click("Clamp beyond the bead");
      bench.shows("#checks", "✓ Clamp beyond the bead");
      bench.repaired("lower-hose.radiator-end", "New clamp beyond the bead");
      bench.refilled();
      bench.step("Re-test");
      SimulatedHold hold = new SimulatedHold(6200, 124, List.of(), 37);
      bench.hold(hold, "0.1 kPa", "6.2 L");
      bench.closed(hold);
      bench.shows(".said", "Tight, at most 0.0");
      bench.open(bench.jobPath() + "/repair");
      bench.shows(".round-then", "then: Tight, at most 0.0");
      bench.step("Refill");
      bench.shows("#air-said", "mL ±");
      bench.fill("Gap that belongs there", "0.2 L");
      bench.click("Take it off");
      bench.shows("#air-said", "more than belongs there");
    }
  }

  /** The level fell on a tour, the heater was cold: no tester, tinge at a tee, a mark to watch. */
  @Test
  void withoutATesterATingeAndAMarkAreFoundAndKept(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Tavel 28 tour", "9 L", "no-cabin-heat");
      bench.step("Cap");
      bench.circuit("2.8 diesel", "diesel-along-rear-heater");
      bench.step("Make safe");
      bench.click("Soft");
      bench.counts(".said-yes", 0);
      bench.fill("Thermostat housing now, °C", "21");
      bench.click("Save the reading");
      bench.shows(".said-yes", "may be opened");
      bench.step("Visual check");
      bench.shows("#look-said", "None of the");
      bench.click("Stained: Rear heater supply, tee");
      bench.shows("#look-said", "1 stained");
      bench.shows("#look-said", "not looked at yet");
      bench.shows(".suspects li", "Rear heater supply, tee");
      bench.click("Mark the level");
      bench.fill("Area of the tank at the mark, cm²", "60");
      bench.fill("Level now, mm above the mark", "-20");
      bench.click("Save the mark");
      bench.shows(".table", "\u221220 mm");
      bench.step("Fill up");
      bench.fill("How much", "0.6 L");
      bench.click("Save");
      bench.choose("in");
      bench.fill("How much", "0.6 L");
      bench.fill("Strength of what went in, %", "50");
      bench.click("Save");
      bench.shows(".table", "600 mL");
      bench.shows(".table", "47 %");
      bench.repaired("rear-heater-supply.tee", "Three clamps renewed");
      bench.step("Refill");
      bench.click("Pour and burp");
      bench.unfold("The maker’s own procedure");
      bench.page.locator("#procedure").fill("To temperature, 6 min idle, off, cool, to the mark");
      bench.click("Save it for this engine type");
      bench.shows(".maker", "6 min idle");
      bench.refilled();
      bench.click("cabin gets hot");
      bench.shows("#purge-log", "cabin gets hot");
      bench.open(bench.jobPath() + "/waits?kind=next-morning");
      bench.fill("Minutes", "840");
      bench.click("Begin");
      bench.shows("#waits", "look tomorrow morning");
      bench.endWait("Tavel 28 tour");
      assertThat(bench.text("#waits")).doesNotContain("Tavel 28 tour");
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Fill account: poured in");
      bench.shows("main", "Make safe: upper hose soft");
    }
  }

  /** Overheats, smells sweet in the cabin: the smell ranks heater core and top hose. */
  @Test
  void aSweetSmellRanksTheHeaterCoreAndTheTopHose(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia 16 smell");
      bench.fill("Liquid in the system", "6.2 L");
      bench.choose("sweet-smell-cabin");
      bench.choose("needle-rises");
      bench.click("Begin the job");
      bench.step("Cap");
      String suspects = bench.text(".suspects");
      assertThat(suspects).contains("Heater core").contains("sweet smell in the cabin");
      bench.open(bench.jobPath() + "/suspects");
      assertThat(bench.page.locator("#suspects tr:has-text('Upper hose, housing end')").innerText())
          .as("the top hose is ranked by the smell too")
          .contains("sweet smell in the cabin");
      bench.step("Make safe");
      bench.fill("Thermostat housing now, °C", "72");
      bench.fill("Room, °C", "20");
      bench.click("Save the reading");
      bench.shows(".said-no", "do not open before 45 °C");
      bench.click("Ring in");
      bench.shows(".rail .step-running", "Make safe");
      bench.shows(".rail .step-running", "cool at");
      bench.endWait("Orvia 16 smell");
      assertThat(bench.page.url()).as("it stays where one was").endsWith("/make-safe");
      bench.fill("Thermostat housing now, °C", "38");
      bench.click("Save the reading");
      // nothing cools so fast: the test has not waited, and is asked
      bench.click("Both are right");
      bench.click("Soft");
      bench.shows(".said-yes", "may be opened");
      bench.step("Visual check");
      bench.click("Stained: Filler neck and cap");
      bench.step("Fill up");
      bench.fill("How much", "1.1 L");
      bench.click("Save");
      bench.shows(".plate", "1.1 L");
      bench.shows(".plate", "assumed 50 %");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "1.2 bar");
      bench.click("Save the cap");
      bench.step("Cap");
      bench.shows(".plate", "120.0 kPa");
      bench.shows(".plate", "17.4 psi");
      bench.fill("Opens at", "85");
      bench.fill("Highest it drives, m", "1500");
      bench.click("Save the test");
      bench.shows(".said-list", "Opens early");
      bench.counts(".boiling-now", 1);
      bench.step("Pressure test");
      bench.fill("Finest reading you can make", "0.5 kPa");
      bench.click("Begin pumping");
      bench.reading("120");
      bench.click("Place seen");
      bench.step("Find");
      bench.joint("upper-hose.housing-end");
      bench.choose("cold-pressure");
      bench.fill("Gauge at that moment, kPa", "120");
      bench.click("Wet");
      bench.shows(".suspects li", "Upper hose, housing end");
      bench.step("Repair");
      bench.click("Hose cut to the length");
      bench.repaired("upper-hose.housing-end", "Both hoses, clamps, thermostat");
      bench.shows("#opened", "Upper hose, housing end");
      bench.refilled();
      bench.open(bench.jobPath() + "/inside");
      bench.fill("Upper hose, °C", "88");
      bench.fill("Lower hose, °C", "84");
      bench.fill("Minutes of idling", "20");
      bench.click("Save both");
      bench.shows("#inside-log", "88");
      bench.step("Hand over");
      bench.shows("#open-points", "not looked at under pressure since: Upper hose, housing end");
    }
  }
}
