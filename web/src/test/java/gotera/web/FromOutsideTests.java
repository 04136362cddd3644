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
        assertThat(bench.page.locator(".joint-photo").count()).isEqualTo(1);
      }
      bench.joint("upper-hose.radiator-end");
      assertThat(bench.text(".joint-about"))
          .contains("quick connector")
          .contains("press the latch");
      bench.follow("a[href$='/circuit']");
      bench.unfold("Change places and parts");
      bench.page.locator("#add-joint-name").fill("Plug behind the filter");
      bench.page.locator("#add-joint-part").selectOption("block");
      bench.click("Add the place");
      assertThat(bench.text(".notes")).contains("Plug behind the filter");

      bench.job("Learner two " + hand, "Same engine");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("3.9 V " + hand);
      assertThat(bench.text(".sub")).contains("3.9 V " + hand).contains("2 vehicles");
      bench.click("Find on it");
      assertThat(bench.text("#joint-list")).contains("Plug behind the filter");
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
      assertThat(bench.text(".so-far summary")).contains("Place seen, not measured");
      bench.step("Fill up");
      bench.fill("How much", "1.4 L");
      bench.click("Keep it");
      assertThat(bench.text(".table")).contains("to the brim 1.4 L at 0 %");

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
      assertThat(bench.text(".joint-last")).contains("wet, at 55.0 kPa").contains("break is dull");
      assertThat(bench.text(".suspects li")).contains("Lower hose, radiator end");

      bench.step("Intake");
      bench.fill("Vehicle", "Orvia 16 " + hand);
      bench.click("Save intake");
      bench.step("Repair");
      bench.page.locator("#note").fill("New clamp beyond the bead");
      bench.click("Keep the note");
      bench.step("Re-test");
      SimulatedHold hold = new SimulatedHold(6200, 124, List.of(), 37);
      bench.fill("Smallest step you read", "0.1 kPa");
      bench.use(bench.page.locator(".more summary").first());
      bench.fill("Thermometer reads to, K", "0.05");
      bench.fill("Liquid in the system", "6.2 L");
      bench.click("Begin pumping");
      bench.curve(hold.csv());
      String[] large = hold.draw(20);
      String[] small = hold.draw(2);
      bench.draw("measuring draw", "20", large[0], large[1]);
      bench.draw("closing draw", "2 ml", small[0], small[1]);
      assertThat(bench.text(".said")).contains("Tight, at most 0.0");
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
      bench.circuit("2.8 diesel " + hand, "diesel-along-rear-heater");
      bench.step("Make safe");
      bench.click("Soft");
      assertThat(bench.text(".said-yes")).contains("may be opened");
      bench.step("Look over");
      assertThat(bench.text("#look-said")).contains("None of the");
      bench.click("Stained: Rear heater supply, tee");
      assertThat(bench.text("#look-said")).contains("1 stained").contains("not looked at yet");
      assertThat(bench.text(".suspects li")).contains("Rear heater supply, tee");
      bench.click("Mark the level");
      bench.fill("Area of the tank at the mark, cm²", "60");
      bench.fill("Level now, mm above the mark", "-20");
      bench.click("Keep the mark");
      assertThat(bench.text(".table")).contains("\u221220 mm");
      bench.step("Fill up");
      bench.fill("How much", "0.6 L");
      bench.click("Keep it");
      bench.choose("in");
      bench.fill("How much", "0.6 L");
      bench.fill("Strength of what went in, %", "50");
      bench.click("Keep it");
      assertThat(bench.text(".table")).contains("600 mL").contains("47 %");
      bench.open(bench.jobPath() + "/waits?kind=next-morning");
      bench.fill("Minutes", "840");
      bench.click("Begin");
      assertThat(bench.text("#waits")).contains("look tomorrow morning");
      bench.endWait("Tavel 28 tour " + hand);
      assertThat(bench.text("#waits")).doesNotContain("Tavel 28 tour " + hand);
      bench.open(bench.jobPath() + "/history");
      assertThat(bench.text("main"))
          .contains("Fill account: poured in")
          .contains("Make safe: upper hose soft");
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
      String suspects = bench.text(".suspects");
      assertThat(suspects).contains("Heater core").contains("sweet smell in the cabin");
      bench.step("Make safe");
      bench.fill("Thermostat housing now, °C", "72");
      bench.fill("Room, °C", "20");
      bench.click("Keep the reading");
      assertThat(bench.text(".said-no")).contains("do not open before 45 °C");
      bench.click("Ring in");
      assertThat(bench.text(".rail .step-running")).contains("Make safe").contains("cool at");
      bench.endWait("Orvia 16 smell " + hand);
      assertThat(bench.page.url()).as("it stays where one was").endsWith("/make-safe");
      bench.fill("Thermostat housing now, °C", "38");
      bench.click("Keep the reading");
      bench.click("Soft");
      assertThat(bench.text(".said-yes")).contains("may be opened");
      bench.step("Look over");
      bench.click("Stained: Filler neck and cap");
      bench.step("Fill up");
      bench.fill("How much", "1.1 L");
      bench.click("Keep it");
      assertThat(bench.text(".plate")).contains("1.1 L").contains("assumed 50 %");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "1.2 bar");
      bench.click("Save the cap");
      bench.step("Cap");
      assertThat(bench.text(".plate")).contains("120.0 kPa").contains("17.4 psi");
      bench.fill("Opens at", "85");
      bench.fill("Highest it drives, m", "1500");
      bench.click("Keep the test");
      assertThat(bench.text(".said-list")).contains("Opens early");
      assertThat(bench.page.locator(".boiling-now").count()).isEqualTo(1);
      bench.step("Pressure test");
      bench.fill("Smallest step you read", "0.5 kPa");
      bench.click("Begin pumping");
      bench.reading("120");
      bench.click("Place seen");
      bench.step("Find");
      bench.joint("upper-hose.housing-end");
      bench.choose("pressure");
      bench.fill("Gauge at that moment, kPa", "120");
      bench.click("Wet");
      assertThat(bench.text(".suspects li")).contains("Upper hose, housing end");
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
      assertThat(bench.page.locator("#joint-heater-core\\.tubes").count()).isZero();
      bench.step("Look over");
      bench.choose("running");
      bench.click("Dry: Pump shaft seal");
      assertThat(bench.text("#walk-pump\\.shaft-seal i")).contains("dry, running");

      bench.step("Find");
      bench.follow("a[href$='/dye']");
      bench.click("Scanned: the rest is dark");
      bench.choose("matched");
      bench.fill("How much, mL", "25");
      bench.click("Dye is in");
      assertThat(bench.text(".said-list")).contains("dark says nothing");
      bench.click("Ring in 12 minutes");
      assertThat(bench.text("#waits")).contains("dye flowing");
      bench.endWait("Lumbra " + hand);
      bench.fill("Ran, minutes", "12");
      bench.click("It has run");
      assertThat(bench.text(".said-list")).contains("has not reached").contains("radiator");
      bench.click("Begin the scan");
      assertThat(bench.page.locator(".dark-bay").count()).isEqualTo(1);
      bench.joint("pump.block-gasket");
      bench.click("Glows");
      assertThat(bench.text(".said-list")).contains("New glow: Pump, hidden gasket");
      bench.joint("radiator.core");
      bench.click("Dark");
      assertThat(bench.text("#joint-list")).contains("dark, but no dye has been here");
      assertThat(bench.text(".suspects li"))
          .contains("Pump, hidden gasket")
          .contains("glows since the dye");
      bench.open(bench.jobPath() + "/history");
      assertThat(bench.text("main"))
          .contains("Dye: put in, matches the coolant")
          .contains("Wait begun: dye flowing");
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
      assertThat(bench.text(".said-list")).contains("dye has reached every branch");
      bench.click("Begin the scan");
      bench.joint("tank-vent.tank-end");
      bench.fill("Size of the glow, mm", "12");
      bench.click("Glows");
      assertThat(bench.text(".said-list")).contains("Old and not grown, without weight");
      bench.joint("tank.seam");
      bench.fill("Size of the glow, mm", "6");
      bench.click("Glows");
      assertThat(bench.text(".said-list")).contains("New glow: Expansion tank, seam");
      assertThat(bench.text(".suspects li")).contains("Expansion tank, seam");
      bench.joint("tank.seam");
      bench.fill("Size of the glow, mm", "wide");
      bench.click("Glows");
      assertThat(bench.page.locator("#size").inputValue()).isEqualTo("wide");
      assertThat(bench.text("#size-problem")).contains("Expected");
      bench.fill("Size of the glow, mm", "6");
      bench.photograph("<html><script>run()</script></html>".getBytes(StandardCharsets.UTF_8));
      bench.click("Glows");
      assertThat(bench.text(".field-wrong .wrong")).contains("picture");
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
      assertThat(bench.text(".suspects"))
          .contains("Outlet neck, O-ring")
          .contains("it drips below");
      bench.focus("#circuit");
      bench.page.keyboard().press("+");
      bench.until("document.querySelector('#circuit svg').style.width === '140%'");
      bench.use(bench.page.getByLabel("Whole"));
      bench.until("document.querySelector('#circuit svg').style.width === '100%'");
      bench.joint("outlet-neck.o-ring");
      bench.click("Cleaned, dried");
      assertThat(bench.text(".joint-last")).contains("cleaned and dried");
      for (int i = 0; i < 3; i++) {
        bench.use(bench.page.locator("[data-tap]"));
        bench.page.waitForTimeout(200);
      }
      assertThat(bench.page.locator("#drops").inputValue()).matches("\\d+");
      bench.click("Wet");
      assertThat(bench.text(".joint-last")).contains("first bead after 0:0").contains("drops/min");
      assertThat(bench.text(".joint-about")).contains("old ring out of the bore");
      bench.follow("a[href*='dark=true']");
      assertThat(bench.page.locator(".dark-bay").count()).isEqualTo(1);
      bench.open(bench.jobPath() + "/history");
      assertThat(bench.text("main")).contains("Drip: off the gearbox, engine standing");
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
      assertThat(bench.text(".rail .step-not-needed")).contains("Inside").contains("nothing burns");
      bench.step("Make safe");
      assertThat(bench.text(".caution-stop")).contains("High voltage: stop");
      bench.click("Soft");
      assertThat(bench.text(".said-no")).contains("only a qualified person");
      bench.click("I am qualified");
      assertThat(bench.text(".said-yes")).contains("may be opened");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "60 kPa");
      bench.fill("Maker’s highest system pressure", "30 kPa");
      bench.click("Save the cap");
      bench.step("Cap");
      assertThat(bench.text(".plate")).contains("30.0 kPa").contains("maker’s figure");
      bench.step("Look over");
      bench.click("Hidden: Battery plate, inlet".replace("Hidden", "Cannot see"));
      bench.click("Wet: Charger, outlet");
      assertThat(bench.text("#look-said")).contains("1 wet");
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
