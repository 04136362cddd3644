package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Whole jobs from the outside, in the browser, from an empty job: look, fill, cap, circuit, drips,
 * dye. By touch, and by keyboard.
 */
@ExtendWith(Application.class)
class FromOutsideTests {

  /** A new engine type with four places at the pump: the second vehicle starts with all of it. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void anEngineTypeIsLearnedOnceAndKnownByTheNextVehicle(
      Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Learner one " + hand, "Circuit not known yet");
      bench.circuit("3.9 V " + hand, "v-pump-behind-cover");
      List<String> atThePump =
          List.of("pump.shaft-seal", "pump.gasket", "pump.pipe-o-ring", "pump.block-gasket");
      for (String joint : atThePump) {
        bench.joint(joint);
        bench.photograph(photograph());
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

      bench.job("Learner two " + hand, "Same engine");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("3.9 V " + hand);
      assertThat(bench.text(".sub")).contains("3.9 V " + hand).contains("2 vehicles");
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
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aDripIsTracedToTheHoseEndBeforeTheRadiator(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
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
      bench.unfold("Hose, clamp or bearing");
      bench.click("Clamp broken, break dull: old");
      bench.shows("#felt", "Clamp broken, break dull: old");
      bench.shows(".suspects li", "Lower hose, radiator end");
      bench.shows(".suspects li", "clamp broken here, the break dull: long ago");
      bench.shows(".suspects li", "wet here");
      bench.shows(".next-check", "Lower hose, radiator end");

      bench.step("Intake");
      bench.fill("Vehicle", "Orvia 16 " + hand);
      bench.click("Save intake");
      bench.step("Repair");
      bench.page.locator("#note").fill("New clamp beyond the bead");
      bench.click("Save the note");
      bench.step("Re-test");
      SimulatedHold hold = new SimulatedHold(6200, 124, List.of(), 37);
      bench.fill("Finest reading you can make", "0.1 kPa");
      bench.use(bench.page.locator(".more summary").first());
      bench.fill("Thermometer reads to, K", "0.05");
      bench.fill("Liquid in the system", "6.2 L");
      bench.click("Begin pumping");
      bench.curve(hold.csv());
      String[] large = hold.draw(20);
      String[] small = hold.draw(2);
      bench.draw("measuring draw", "20", large[0], large[1]);
      bench.draw("closing draw", "2 ml", small[0], small[1]);
      bench.shows(".said", "Tight, at most 0.0");
    }
  }

  /** The level fell on a tour, the heater was cold: no tester, tinge at a tee, a mark to watch. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void withoutATesterATingeAndAMarkAreFoundAndKept(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Tavel 28 tour " + hand);
      bench.fill("Liquid in the system", "9 L");
      bench.fill("Strength, %", "50");
      bench.choose("no-cabin-heat");
      bench.click("Begin the job");
      bench.step("Cap");
      bench.circuit("2.8 diesel " + hand, "diesel-along-rear-heater");
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
      bench.open(bench.jobPath() + "/waits?kind=next-morning");
      bench.fill("Minutes", "840");
      bench.click("Begin");
      bench.shows("#waits", "look tomorrow morning");
      bench.endWait("Tavel 28 tour " + hand);
      assertThat(bench.text("#waits")).doesNotContain("Tavel 28 tour " + hand);
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Fill account: poured in");
      bench.shows("main", "Make safe: upper hose soft");
    }
  }

  /** Overheats, smells sweet in the cabin: the smell ranks heater core and top hose. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aSweetSmellRanksTheHeaterCoreAndTheTopHose(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia 16 smell " + hand);
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
      bench.endWait("Orvia 16 smell " + hand);
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
    }
  }

  /** No tester at hand: heat, then dye; the report says what was not tested. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void dyeFindsWhatHeatDidNotShow(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Lumbra " + hand, "Needs water every week");
      bench.circuit("Set " + hand, "generator", "pump-hidden-gasket");
      bench.counts("#joint-heater-core\\.tubes", 0);
      bench.step("Visual check");
      bench.follow(".chips-line a[href$='state=running']");
      bench.click("Dry: Pump shaft seal");
      bench.shows("#look-pump\\.shaft-seal i", "dry, running");

      bench.step("Find");
      bench.follow("a[href$='/dye']");
      bench.click("Scanned: the rest is dark");
      bench.choose("matched");
      bench.fill("How much, mL", "25");
      bench.click("Dye is in");
      bench.shows(".said-list", "dark says nothing");
      bench.click("Ring in 12 minutes");
      bench.shows("#waits", "dye flowing");
      bench.endWait("Lumbra " + hand);
      bench.fill("Ran, minutes", "12");
      bench.click("It has run");
      bench.shows(".said-list", "has not reached");
      bench.shows(".said-list", "radiator");
      bench.click("Begin the scan");
      bench.counts(".dark-bay", 1);
      bench.joint("pump.block-gasket");
      bench.click("Glows");
      bench.shows(".said-list", "New glow: Pump, hidden gasket");
      bench.joint("radiator.core");
      bench.click("Dark");
      bench.shows("#joint-list", "dark, but no dye has been here");
      bench.shows(".suspects li", "Pump, hidden gasket");
      bench.shows(".suspects li", "new glow here");
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Dye: put in, matches the coolant");
      bench.shows("main", "Wait begun: dye flowing");
    }
  }

  /** Two litres a week and only a smell: old glow has no weight, new glow does. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void oldGlowHasNoWeightAndNewGlowDoes(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Tavel 28 glow " + hand, "Loses two litres a week, smells");
      bench.circuit("2.8 glow " + hand, "diesel-along-rear-heater");
      bench.open(bench.jobPath() + "/dye");
      bench.joint("tank-vent.tank-end");
      bench.fill("Size of the glow, mm", "12");
      bench.photograph(photograph());
      bench.click("Glows");
      bench.click("Scanned: the rest is dark");
      bench.choose("matched");
      bench.click("Dye is in");
      bench.fill("Ran, minutes", "14");
      bench.choose("true");
      bench.page.locator("input[name=heater]").focus();
      bench.page.keyboard().press("Space");
      bench.click("It has run");
      bench.shows(".said-list", "dye has reached every branch");
      bench.click("Begin the scan");
      bench.joint("tank-vent.tank-end");
      bench.fill("Size of the glow, mm", "12");
      bench.click("Glows");
      bench.shows(".said-list", "Old and not grown, without weight");
      bench.joint("tank.seam");
      bench.fill("Size of the glow, mm", "6");
      bench.click("Glows");
      bench.shows(".said-list", "New glow: Expansion tank, seam");
      bench.shows(".suspects li", "Expansion tank, seam");
      bench.shows(".suspects li", "new glow here");
      bench.joint("tank.seam");
      bench.fill("Size of the glow, mm", "wide");
      bench.click("Glows");
      bench.holds("#size", "wide");
      bench.shows("#size-problem", "Please enter");
      bench.fill("Size of the glow, mm", "6");
      bench.photograph("<html><script>run()</script></html>".getBytes(StandardCharsets.UTF_8));
      bench.click("Glows");
      bench.shows(".field-wrong .wrong", "picture");
      bench.step("Find");
      bench.joint("tank.seam");
      bench.unfold("Hose, clamp or bearing");
      bench.click("Steam when squeezed");
      bench.shows(".suspects li", "steam when squeezed here");
      bench.shows(".suspects li", "new glow here");
    }
  }

  /** A wet gearbox: above and ahead of it sits the outlet neck. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aWetGearboxLeadsToTheNeckAboveIt(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Brenka 40 " + hand, "Wet gearbox, no drip on the ground");
      bench.circuit("4.0 V " + hand, "v-across-outlet-over-gearbox");
      bench.click("Find on it");
      bench.unfold("Where does it drip?");
      bench.click("off the gearbox");
      assertThat(bench.page.locator(".traced b").allInnerTexts()).contains("Outlet neck, O-ring");
      bench.shows(".suspects", "Outlet neck, O-ring");
      bench.shows(".suspects", "drips off the gearbox");
      bench.focus("#circuit");
      bench.page.keyboard().press("+");
      bench.until("document.querySelector('#circuit svg').style.width === '140%'");
      bench.use(bench.page.getByLabel("Fit the whole circuit"));
      bench.until("document.querySelector('#circuit svg').style.width === '100%'");
      bench.joint("outlet-neck.o-ring");
      bench.click("Cleaned, dried");
      bench.shows(".joint-last", "cleaned and dried");
      for (int i = 0; i < 3; i++) {
        bench.use(bench.page.locator("[data-tap]"));
        bench.page.waitForTimeout(200); // the rhythm of the drops, no wait for an answer
      }
      assertThat(bench.page.locator("#drops").inputValue()).matches("\\d+");
      bench.click("Wet");
      bench.shows(".joint-last", "first bead after 0:0");
      bench.shows(".joint-last", "drops/min");
      bench.shows(".joint-about", "old ring out of the bore");
      bench.follow("a[href*='dark=true']");
      bench.counts(".dark-bay", 1);
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Drip: off the gearbox, cold, no pressure");
    }
  }

  /** Drops off an engine mount: above and ahead of it, and the first bead on a dried plug. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void offAnEngineMountItLeadsForwardAndUp(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Moltan 52 " + hand, "Drips off an engine mount");
      bench.circuit("5.2 V along " + hand, "v-along-automatic");
      bench.click("Find on it");
      bench.unfold("Where does it drip?");
      bench.page.locator("#drips input[value=cold-pressure] + span").click();
      bench.click("off the engine mount");
      List<String> traced = bench.page.locator(".traced b").allInnerTexts();
      assertThat(traced.subList(0, 2))
          .containsExactlyInAnyOrder("Core plug, front", "Core plug, rear");
      bench.shows(".suspects li", "Core plug");
      bench.shows(".suspects li", "drips off the engine mount, cold, under pressure");
      bench.shows(".next-check", "Core plug");
      bench.shows(".next-check", "what was seen leads there");
      bench.joint("block.core-plug-front");
      bench.page.locator("#joint-panel input[value=cold-pressure] + span").click();
      bench.page.locator("input[name=dried]").check();
      bench.click("Wet");
      bench.shows(".joint-last", "wet, dried before");
      bench.shows(".suspects li", "Core plug, front");
      bench.shows(".suspects li", "dried, and the first bead came here, cold, under pressure");
      bench.shows(".next-check", "Repair what was found");
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "dried before");
    }
  }

  /** Inside: what does not count says so and moves nothing; what is wrong is told at its place. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void anInsideCheckThatDoesNotCountSaysSo(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Corva 24 inside " + hand, "Dry outside, topped up again and again");
      bench.step("Inside");
      String before = bench.text(".suspects");
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
      bench.click("Wet after pressure");
      bench.shows("#inside-log", "Cylinder 3: wet after pressure, 14 min");
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
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aHighVoltageLoopStopsThoseWhoAreNotQualified(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Quillo E " + hand, "Second loop slowly low");
      bench.circuit("Two loops " + hand, "electric-two-loops");
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
    }
  }

  private static byte[] photograph() {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    image.setRGB(10, 10, Color.ORANGE.getRGB());
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "jpg", bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
