package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Leak;
import gotera.web.Bench.Hand;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Guided checks in the browser, from an empty job, written down with their times. By touch, and by
 * keyboard.
 */
@ExtendWith(Application.class)
class GuidedTests {

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
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aFluidThatStaysBlueLowersSuspicionAndDoesNotEndIt(
      Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Moltan stood " + hand);
      bench.fill("Liquid in the system", "11 L");
      bench.choose("purchase");
      bench.fill("Complaint, in the customer’s words", "Stood for two years");
      bench.click("Begin the job");
      bench.circuit("5.2 stood " + hand, "v-along-automatic");
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
      bench.shows("main", "Moltan stood " + hand);
    }
  }

  /** The second radiator in a year: coolant reaches the tester, then it counts. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void coolantInTheTesterDoesNotCountAndTheNextFillingDoes(
      Hand hand, Application.Running application) throws IOException {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia radiator " + hand);
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
      bench.shows("main", "Orvia radiator " + hand);
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

  /** Hoses hard, a housing that weeps: cold hoses do not count, hot ones tell gas from air. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void bubblesCountOnlyWhileBothHosesAreHot(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Brenka bubbles " + hand, "Hoses hard, weeps at the thermostat housing");
      bench.circuit("4.0 bubbles " + hand, "v-across-outlet-over-gearbox");
      bench.click("Find on it");
      bench.joint("thermostat-housing.gasket");
      bench.click("Wet");
      bench.shows(".suspects li", "Thermostat housing");
      bench.open(bench.jobPath() + "/inside/funnel");
      bench.shows(".ready", "fuel and battery for twenty minutes");
      bench.click("Battery too weak");
      bench.shows("#waits", "battery charging");
      bench.endWait("Brenka bubbles " + hand);
      bench.open(bench.jobPath() + "/inside");
      bench.click("Upper hose: hard soon after a cold start");
      bench.shows(".suspects li", "Inside: head joint");
      bench.fill("Upper hose, °C", "35");
      bench.fill("Lower hose, °C", "31");
      bench.fill("Minutes of idling", "17");
      bench.click("Save both");
      bench.shows(".so-far-flag", "the thermostat is stuck open");

      bench.click("Bubbles in the funnel");
      bench.fill("Free area, cm²", "60");
      bench.click("Save the funnel");
      bench.use(bench.page.locator("[data-count=pea]"));
      bench.use(bench.page.locator("[data-count=pea]"));
      bench.holds("#pea", "2");
      bench.fill("Level, mm above the mark", "0");
      bench.fill("Upper hose, °C", "35");
      bench.fill("Lower hose, °C", "31");
      bench.click("Write the look down");
      bench.shows(".said-line", "Not warm yet");
      bench.click("End this watch");
      bench.shows(".said-line", "Does not count");
      bench.shows(".so-far-flag", "The bubbles do not count (not warm)");

      bench.repaired("thermostat-housing.gasket", "New thermostat, new gasket");
      bench.open(bench.jobPath() + "/inside/funnel");
      bench.fill("Free area, cm²", "60");
      bench.click("Watch again");
      look(bench, "0", "", 24);
      bench.ago(18);
      bench.click("Mark moved to the level");
      look(bench, "0", "600", 12);
      bench.fill("Put in after that", "0.2 L");
      bench.ago(11);
      bench.click("Write the look down");
      bench.ago(11);
      bench.click("Mark moved to the level");
      look(bench, "0", "900", 0);
      bench.shows(".said-no", "Gas comes in: bubbles go on while the level stands.");
      bench.shows(".figures-line", "mL/min");
      bench.shows(".suspects li", "Inside: head joint");
      bench.click("Undo"); // of the bubbles that were counted last
      bench.shows(".said-line", "Not told yet: go on.");
      look(bench, "0", "900", 0);
      bench.click("End this watch");
      bench.shows(".said-no", "Gas comes in");
      bench.step("Decide");
      bench.shows(".meaning", "neither alone condemns a head gasket");
      bench.shows(".claim", "Thermostat");
      bench.follow(".way-row button >> nth=0");
      bench.follow(".way-row button >> nth=1");
      bench.counts("#quote > li", 2);
      bench.shows(".rail", "2 open on the sheet");
      bench.click("Link for the customer to decide");
      bench.shows(".link-text", "/quote/");
      bench.click("End here");
      bench.choose("customer-decides");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Brenka bubbles " + hand);
      bench.shows("main", "the customer decides");
    }
  }

  private static void look(Bench bench, String level, String peas, int ago) {
    bench.fill("Peas since then", peas);
    bench.fill("Level, mm above the mark", level);
    bench.fill("Upper hose, °C", "88");
    bench.fill("Lower hose, °C", "84");
    bench.ago(ago);
    bench.click("Write the look down");
    bench.shows("#guide-log", "88 °C");
  }

  /** Drips at the customer's, dry here: it leaks while it turns, and must stay away 24 minutes. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void whatShowsAfterEightMinutesMustStayAwayForTwentyFour(
      Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia pump " + hand);
      bench.fill("Complaint, in the customer’s words", "Drips at home, dry here");
      bench.fill("Liquid in the system", "6.2 L");
      bench.choose("running");
      bench.click("Begin the job");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "124 kPa");
      bench.click("Save the cap");
      Hold quarter = new Hold(124, 20, 15 * 60, 10, 18, 0);
      SimulatedHold hold = new SimulatedHold(6200, List.of(), quarter, List.of(), 41);
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
      bench.shows(".said", "Tight, at most");
      bench.finish();
      bench.shows(".so-far-flag", "look at the pump first");
      bench.open(bench.jobPath() + "/find/running");
      bench.click("The first drop");
      bench.shows(".field-wrong", "Please say where");
      bench.click("It is so, it runs");
      bench.shows(".clocks", "long enough for at most 0.01");
      bench.page.locator("#joint").selectOption("pump.shaft-seal");
      bench.fill("Ran, minutes", "8");
      bench.click("The first drop");
      bench.shows("#running-said", "must stay away for 24 min");
      bench.shows(".suspects li", "Pump shaft seal");
      bench.shows(".suspects li", "wet here, running");
      bench.fill("Ran, minutes", "24");
      bench.click("No drop fell");
      bench.shows("#running-said", "No drop in 24 min of running: at most 0.007");
      bench.fill("Ran, minutes", "24");
      bench.fill("Surface there, °C", "90");
      bench.click("No drop fell");
      bench.shows("#running-said", "drops dry up: no bound");
      bench.step("Decide");
      bench.shows(".claim", "Pump shaft seal");
      bench.shows(".way-best", "pump");
      bench.shows(".claim", "not proven by a cold test");
      bench.step("Repair");
      bench.page.locator("#about").selectOption("pump.gasket");
      bench.click("Show what to know");
      bench.click("Gasket held with a little adhesive");
      bench.shows("#waits", "sealant curing: Pump gasket");
      bench.endWait("Orvia pump " + hand);
      bench.repaired("pump.shaft-seal", "New pump");
      bench.step("Fill up");
      bench.choose("drained-clean");
      bench.fill("How much", "3 L");
      bench.click("Save");
      bench.step("Refill");
      bench.fill("A jug holds", "2 L");
      bench.click("Work it out");
      bench.shows("#clean", "Caught clean and not back yet: 3 L");
      bench.step("Fill up");
      bench.choose("put-back");
      bench.fill("How much", "3 L");
      bench.fill("Strength of what went in, %", "45");
      bench.click("Save");
      bench.refilled();
    }
  }

  /** Dry outside: what stood in a cylinder was weeks, the second amount is the rate. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void theSecondAmountOutOfACylinderIsTheRate(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      bench.job("Corva cylinder " + hand, "Loses coolant, dry outside");
      bench.circuit("Old six " + hand, "inline-along-carburettors");
      bench.step("Fill up");
      bench.shows("#two-fillers", "Top up both, neck and tank, then shut the second");
      bench.fill("How much", "0.7 L");
      bench.click("Save");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "18 psi");
      bench.click("Save the cap");
      SimulatedHold hold = new SimulatedHold(8000, 123, List.of(Leak.seep(0.7, 123)), 19);
      bench.fill("Finest reading you can make", "0.1 kPa");
      bench.use(bench.page.locator(".more summary").first());
      bench.fill("Thermometer reads to, K", "0.05");
      bench.click("Begin pumping");
      bench.curve(hold.csv());
      String[] draw = hold.draw(20);
      bench.draw("measuring draw", "20", draw[0], draw[1]);
      bench.shows(".said", "Leak");
      bench.open(bench.jobPath() + "/visual-check?state=cold-pressure");
      bench.fill("Gauge now, kPa", "123");
      while (bench.page.locator(".looks li:has-text('not looked at') button[value$=':dry']").count()
          > 0) {
        bench.settled(
            () ->
                bench.use(
                    bench
                        .page
                        .locator(".looks li:has-text('not looked at') button[value$=':dry']")
                        .first()));
      }
      bench.shows(".so-far", "look inside, cylinders, oil, gearbox, intake");
      bench.shows(".rail", "Inside");
      bench.open(bench.jobPath() + "/inside");
      for (String cylinder : new String[] {"1", "2", "3"}) {
        bench.fill("Cylinder", cylinder);
        bench.click("like the others");
      }
      bench.shows("#inside-log", "Plug 3: like the others");
      bench.fill("Cylinder", "3");
      bench.fill("Drawn off", "38 mL");
      bench.click("Gathered before");
      bench.shows("#inside-log", "Cylinder 3: gathered before");
      bench.shows(".so-far-flag", "plugs out before the engine is turned");
      bench.fill("Cylinder", "3");
      bench.fill("Or depth over the piston, mm", "2");
      bench.fill("Minutes under pressure", "14");
      bench.click("Wet after pressure");
      bench.shows("#bore-problem", "Please say the bore too");
      bench.fill("Bore, mm", "84");
      bench.click("Wet after pressure");
      bench.shows("#inside-log", "wet after pressure, 11");
      bench.shows("#inside-log", "14 min");
      bench.shows(".so-far", "The sites explain the rate");
      bench.click("Wet cylinders afterwards: cranked clear");
      bench.shows("#inside-log", "plugs out, fuel and ignition off");
      bench.shows(".suspects li", "Inside: a cylinder");
      bench.click("Exhaust: white smoke");
      bench.step("Decide");
      bench.shows(".claim", "Inside: a cylinder");
      bench.shows(".ways", "Head gasket");
      bench.click("Sealer as a last resort");
      bench.shows("#quote", "It may block more than the leak");
      bench.fill("Who decides", "A. Fleet");
      bench.click("Yes: ");
      bench.shows("#quote", "A. Fleet");
      bench.click("End here");
      bench.choose("left-leaking");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Corva cylinder " + hand);
    }
  }
}
