package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Leak;
import gotera.web.Bench.Hand;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The way from a drip or a glow to the place it comes from, in the browser, from an empty job. By
 * touch, and by keyboard.
 */
@ExtendWith(Application.class)
class TracingTests {

  /** No tester at hand: heat, then dye; the report says what was not tested. */
  @Test
  void dyeFindsWhatHeatDidNotShow(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Lumbra", "Needs water every week");
      bench.circuit("Set", "generator", "pump-hidden-gasket");
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
      bench.endWait("Lumbra");
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
  @Test
  void oldGlowHasNoWeightAndNewGlowDoes(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Tavel 28 glow", "Loses two litres a week, smells");
      bench.circuit("2.8 glow", "diesel-along-rear-heater");
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
      bench.click("Undo: Steam when squeezed");
      bench.shows("#joint-title", "Expansion tank, seam");
      bench.counts("#felt li", 0);
    }
  }

  /** A wet gearbox: above and ahead of it sits the outlet neck. */
  @Test
  void aWetGearboxLeadsToTheNeckAboveIt(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Brenka 40", "Wet gearbox, no drip on the ground");
      bench.circuit("4.0 V", "v-across-outlet-over-gearbox");
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
      bench.page.locator("#drops").press("Enter");
      bench.shows(".joint-last", "cleaned and dried"); // Enter in a field presses no answer
      bench.click("Wet");
      bench.shows(".joint-last", "first bead after 0:0");
      bench.shows(".joint-last", "drops/min");
      bench.shows(".joint-about", "old ring out of the bore");
      bench.step("Repair");
      bench.shows("#before", "a new O-ring");
      bench.shows("#before", "A seal that was exposed is renewed");
      bench.click("All of the old ring out");
      bench.repaired("outlet-neck.o-ring", "New ring, the tight one of two");
      bench.refilled();
      bench.shows("#fill-steps", "Shut once it runs solid, with a hose into a jar: Bleed screw");
      bench.step("Find");
      bench.joint("outlet-neck.o-ring");
      bench.follow("a[href*='dark=true']");
      bench.counts(".dark-bay", 1);
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Drip: off the gearbox, cold, no pressure");
    }
  }

  /** Drops off an engine mount: above and ahead of it, and the first bead on a dried plug. */
  @Test
  void offAnEngineMountItLeadsForwardAndUp(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Moltan 52", "Drips off an engine mount");
      bench.circuit("5.2 V along", "v-along-automatic");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "16 psi");
      bench.click("Save the cap");
      bench.fill("Finest reading you can make", "1.7 kPa");
      bench.click("Begin pumping");
      bench.reading("110");
      bench.click("Valve shut");
      MeasuringTests.at(bench, "110", "0:02");
      MeasuringTests.at(bench, "110", "1:00");
      bench.finish();
      bench.shows("#beside", "This hold would let through");
      bench.click("Test again");
      SimulatedHold hold = new SimulatedHold(13_000, 110, List.of(Leak.seep(0.4, 110)), 23);
      bench.hold(hold, "0.2 kPa", "13 L");
      bench.shows(".said", "Leak 0.");
      bench.finish();
      bench.open(bench.jobPath() + "/circuit");
      bench.click("Find on it");
      bench.unfold("Where does it drip?");
      bench.page.locator("#drips input[value=cold-pressure] + span").click();
      bench.click("off the engine mount");
      List<String> traced = bench.page.locator(".traced b").allInnerTexts();
      assertThat(traced.subList(0, 2))
          .containsExactlyInAnyOrder("Core plug, front", "Core plug, rear");
      bench.shows(".suspects li", "Core plug");
      bench.shows(".suspects li", "drips off the engine mount, cold, under pressure");
      bench.shows(".next-check", "Look at every place in a round: cold, under pressure");
      bench.joint("block.core-plug-front");
      bench.page.locator("#joint-panel input[value=cold-pressure] + span").click();
      bench.page.locator("input[name=dried]").check();
      bench.click("Wet");
      bench.shows(".joint-last", "wet, dried before");
      bench.shows(".suspects li", "Core plug, front");
      bench.shows(".suspects li", "dried, and the first bead came here, cold, under pressure");
      bench.unfold("Hose, clamp or bearing");
      bench.click("Taken off: liquid runs through it");
      bench.shows("#felt", "liquid runs through it");
      bench.shows(".suspects li", "runs through: cracked");
      bench.step("Decide");
      bench.shows(".claim", "Core plug, front");
      bench.shows(".way-best", "Core plug, front");
      bench.step("Repair");
      bench.shows("#before", "a new plug or seal");
      bench.click("Bore bare, sealant");
      bench.click("Plug set with sealant");
      bench.shows("#waits", "sealant curing: Core plug, front");
      bench.endWait("Moltan 52");
      bench.repaired("block.core-plug-front", "New plug with sealant");
      bench.click("Time and cost");
      bench.choose("tool");
      bench.fill("What", "Plug driver");
      bench.fill("Price", "20");
      bench.click("Write it down");
      bench.choose("labour");
      bench.fill("What", "Plug out and in");
      bench.fill("Minutes", "80");
      bench.click("Write it down");
      bench.shows(".plate", "80 min");
      bench.shows(".plate", "0 min, 20");
      bench.refilled();
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "dried before");
    }
  }

  static byte[] photograph() {
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
