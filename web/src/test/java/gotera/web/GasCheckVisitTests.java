package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The check for combustion gas in the browser, from an empty job to its ending. By touch, and by
 * keyboard.
 */
@ExtendWith(Application.class)
class GasCheckVisitTests {

  /** Fresh fluid, drawn down, engine on, so many minutes ago. */
  private static void prepared(Bench bench, String area, String gap, int ago) {
    bench.fill("Free area, cm²", area);
    bench.click("Save the place");
    bench.ago(ago);
    bench.click("Fresh fluid is in");
    bench.shows("h1", "Draw the coolant down");
    bench.fill("Gap now, mm", gap);
    bench.fill("Taken out before that", "0.1 L");
    bench.fill("Upper hose, °C", "18");
    bench.ago(ago - 1);
    bench.click("Save the level");
    bench.shows("h1", "Start the engine");
    bench.shows(".ready", "exhaust led out");
    bench.ago(ago - 2);
    bench.click("It is so, and the engine runs");
    bench.shows("h1", "Warm it up");
  }

  private static void temperature(Bench bench, String celsius, int ago) {
    bench.fill("Upper hose, °C", celsius);
    bench.ago(ago);
    bench.click("Only the temperature");
    bench.shows("#guide-log", celsius + " °C");
  }

  private static void gap(Bench bench, String mm, String out, int ago) {
    bench.fill("Gap now, mm", mm);
    bench.fill("Taken out before that", out);
    bench.ago(ago);
    bench.click("Save the level");
    bench.shows("#guide-log", mm + " mm");
  }

  private static void drawn(Bench bench, int ago) {
    bench.ago(ago);
    bench.click("The tester sits tight");
    bench.shows("h1", "without a break");
    bench.ago(ago - 2);
    bench.click("The minute is over");
    bench.shows("h1", "What colour");
  }

  /** Bought after two years' standing: no gas then and there, and what that does not end. */
  @Test
  void aFluidThatStaysBlueLowersSuspicionAndDoesNotEndIt(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Moltan stood");
      bench.fill("Liquid in the system", "11 L");
      bench.choose("purchase");
      bench.fill("Complaint, in the customer’s words", "Stood for two years");
      bench.click("Begin the job");
      bench.circuit("5.2 stood", "v-along-automatic");
      bench.click("Find on it");
      bench.joint("rear-heater-supply.tee");
      bench.fill("Note", "burst when touched");
      bench.click("Wet");
      bench.shows(".joint-last", "burst when touched");
      bench.follow("a[href$='/circuit']");
      bench.unfold("Change places and parts");
      bench.click("Loop off rear heater");
      bench.shows(".notes", "rear heater");
      bench.step("Make safe");
      bench.click("Soft");
      bench.fill("Thermostat housing now, °C", "18");
      bench.click("Save the reading");
      bench.shows(".said-yes", "may be opened");
      bench.click("Say what it did");
      bench.fill("Coolant then, °C", "18");
      bench.click("nothing");
      bench.shows("#inside-log", "nothing");
      bench.open(bench.jobPath() + "/inside");
      bench.click("Combustion gas");
      bench.shows("h1", "Put fresh fluid");
      prepared(bench, "16", "45", 30);
      temperature(bench, "40", 22);
      temperature(bench, "60", 17);
      bench.shows(".clocks", "coolant reaches the tester in");
      bench.shows(".clocks", "thermostat opens in about");
      gap(bench, "45", "0.12 L", 16);
      gap(bench, "45", "0.15 L", 11);
      bench.shows(".neck", "drawn down so far");
      bench.ago(10);
      bench.click("The lower hose is hot");
      drawn(bench, 9);
      bench.ago(6);
      bench.click("Blue as before");
      bench.shows("h1", "Control: draw at the exhaust");
      assertThat(bench.page.locator(".said-yes").count()).as("blue alone says nothing").isZero();
      bench.click("The exhaust turned it");
      bench.shows(".said-yes", "No gas then and there.");
      bench.shows(".said-yes", "It lowers suspicion, it does not end it");
      bench.click("Colour measured");
      bench.shows(".empty", "There are not two photographs yet");
      bench.click("Combustion gas");
      bench.click("End this check");
      bench.step("Fill up");
      bench.shows(".table", "drawn down 100 mL");
      bench.shows(".table", "from a guided check");
      bench.open(bench.jobPath() + "/inside");
      bench.click("Under the oil cap: pale emulsion");
      bench.click("Dipstick: clean");
      bench.click("Gearbox: clean");
      bench.shows("#inside-log", "Dipstick");
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "gas check: minute over");
      bench.step("Decide");
      bench.shows(".meaning", "No gas then and there");
      bench.shows(".meaning >> nth=1", "condensation");
      bench.fill("Another complaint or work", "Radiator with the gearbox cooler in it: renew");
      bench.click("Put it on the sheet");
      bench.step("Hand over");
      bench.shows("main", "Before a purchase");
      bench.shows("main", "No gas then and there");
      bench.shows("#open-points", "looped off for now: rear heater");
      bench.shows("#open-points", "not decided: Radiator with the gearbox cooler");
      bench.choose("diagnosis-only");
      bench.fill("Note", "Worth going on with");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Moltan stood");
    }
  }

  /** The second radiator in a year: coolant reaches the tester, then it counts. */
  @Test
  void coolantInTheTesterDoesNotCountAndTheNextFillingDoes(Application.Running application)
      throws IOException {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia radiator");
      bench.fill("Liquid in the system", "6.2 L");
      bench.fill("Part replaced before", "Radiator");
      bench.fill("How many weeks ago", "20");
      bench.click("Begin the job");
      bench.shows(".so-far-flag", "check for combustion gas before a third");
      bench.shows(".next-check", "gas");
      bench.open(bench.jobPath() + "/visual-check?state=parked");
      bench.click("Wet: Radiator, upper seam");
      bench.shows("#look-said", "1 wet");
      bench.shows(".so-far-flag", "check for combustion gas before a third");
      bench.open(bench.jobPath() + "/inside/gas-check");
      prepared(bench, "14", "30", 30);
      temperature(bench, "50", 20);
      gap(bench, "60", "0.2 L", 19);
      gap(bench, "10", "", 18);
      bench.shows("#guide-now .caution", "It climbs faster than it warms");
      bench.ago(12);
      bench.click("The lower hose is hot");
      bench.ago(11);
      bench.click("The tester sits tight");
      bench.ago(10);
      bench.click("Coolant reached the fluid");
      bench.shows(".said-void", "Does not count.");
      bench.shows(".said-void", "coolant was drawn in");
      bench.shows(".so-far", "The gas check does not count");
      bench.ago(9);
      bench.unfold("A photograph of this step");
      bench.photograph(beside(new Color(40, 90, 200)));
      bench.click("Fresh fluid is in");
      gap(bench, "70", "0.2 L", 8);
      drawn(bench, 7);
      bench.click("Green");
      bench.shows(".wrong-form", "never green");
      bench.ago(4);
      bench.photograph(beside(new Color(42, 92, 198)));
      bench.click("Blue as before");
      bench.click("Colour measured");
      bench.fill("White thing before", "25 50");
      bench.fill("Fluid before", "75 50");
      bench.fill("White thing after", "25 50");
      bench.fill("Fluid after", "left");
      bench.click("Measure the difference");
      bench.shows("#fluidAfter-problem", "two figures");
      bench.holds("#whiteBefore", "25 50");
      bench.fill("Fluid after", "75 50");
      bench.click("Measure the difference");
      bench.shows("#measured", "hue from 292° to 291°");
      bench.click("Combustion gas");
      bench.click("The exhaust turned it");
      bench.shows(".said-yes", "No gas then and there.");
      bench.click("End this check");
      bench.beads("radiator.upper-seam");
      bench.step("Decide");
      bench.shows(".claim", "Radiator");
      bench.shows(".way-best", "New radiator");
      bench.follow(".way-best button");
      bench.counts("#quote > li", 1);
      bench.fill("Who decides", "A. Fleet");
      bench.click("Yes: ");
      bench.shows("#quote", "A. Fleet");
      bench.click("End here");
      bench.choose("waiting-for-parts");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Orvia radiator");
    }
  }

  /** A photograph: a white thing on the left, the fluid on the right. */
  private static byte[] beside(Color fluid) throws IOException {
    BufferedImage image = new BufferedImage(200, 100, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < 200; x++) {
      for (int y = 0; y < 100; y++) {
        image.setRGB(x, y, (x < 100 ? new Color(225, 220, 210) : fluid).getRGB());
      }
    }
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", jpeg);
    return jpeg.toByteArray();
  }
}
