package gotera.web;

import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Leak;
import gotera.web.Bench.Hand;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Guided checks in the browser, from an empty job, written down with their times. By touch, and by
 * keyboard.
 */
@ExtendWith(Application.class)
class GuidedTests {

  /** Hoses hard, a housing that weeps: cold hoses do not count, hot ones tell gas from air. */
  @Test
  void bubblesCountOnlyWhileBothHosesAreHot(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Brenka bubbles", "Hoses hard, weeps at the thermostat housing");
      bench.circuit("4.0 bubbles", "v-across-outlet-over-gearbox");
      bench.click("Find on it");
      bench.joint("thermostat-housing.gasket");
      bench.click("Wet");
      bench.shows(".suspects li", "Thermostat housing");
      bench.open(bench.jobPath() + "/inside/funnel");
      bench.shows(".ready", "fuel and battery for twenty minutes");
      bench.click("Battery too weak");
      bench.shows("#waits", "battery charging");
      bench.endWait("Brenka bubbles");
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
      bench.shows("#not-found", "No place is found yet");
      for (String what : List.of("Thermostat", "Head off and look")) {
        bench.fill("Another complaint or work", what);
        bench.fill("Price", "30");
        bench.click("Put it on the sheet");
        bench.shows("#quote", what);
      }
      bench.counts("#quote > li", 2);
      bench.shows(".rail", "2 open on the sheet");
      bench.click("Link for the customer to decide");
      bench.shows(".link-text", "/quote/");
      bench.click("End here");
      bench.choose("customer-decides");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Brenka bubbles");
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
  @Test
  void whatShowsAfterEightMinutesMustStayAwayForTwentyFour(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Orvia pump");
      bench.fill("Complaint, in the customer’s words", "Drips at home, dry here");
      bench.fill("Liquid in the system", "6.2 L");
      bench.choose("running");
      bench.click("Begin the job");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "124 kPa");
      bench.click("Save the cap");
      Hold quarter = new Hold(124, 20, 15 * 60, 10, 18, 0);
      SimulatedHold hold = new SimulatedHold(6200, List.of(), quarter, List.of(), 41);
      bench.hold(hold, "0.1 kPa", "6.2 L");
      bench.closed(hold);
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
      bench.beads("pump.shaft-seal", "running");
      bench.step("Decide");
      bench.shows(".claim", "Pump shaft seal");
      bench.shows(".way-best", "pump");
      bench.shows(".claim", "not proven by a cold test");
      bench.step("Repair");
      bench.page.locator("#about").selectOption("pump.gasket");
      bench.click("Show what to know");
      bench.click("Gasket held with a little adhesive");
      bench.shows("#waits", "sealant curing: Pump gasket");
      bench.endWait("Orvia pump");
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
      provenRunning(bench);
    }
  }

  /** What showed while it ran is not proven by a hold: it runs three times as long, and dry. */
  private static void provenRunning(Bench bench) {
    bench.open(bench.jobPath() + "/re-test/proof");
    bench.shows("#proof-lines", "running, after 8 min");
    bench.shows("#proof-lines", "Let it run 24 min and look: no drop.");
    bench.shows("#proof-said", "Not proven yet: 1 of 1");
    bench.follow("#proof-lines a");
    bench.fill("Ran, minutes", "23");
    bench.click("No drop fell");
    bench.open(bench.jobPath() + "/re-test/proof");
    bench.shows("#proof-said", "Not proven yet");
    bench.open(bench.jobPath() + "/find/running");
    bench.fill("Ran, minutes", "24");
    bench.click("No drop fell");
    bench.open(bench.jobPath() + "/re-test/proof");
    bench.shows("#proof-lines", "✓ ran 24 min without a drop: at most 0.007 mL/min");
    bench.shows("#proof-said", "Proven under every circumstance in which it showed");
    bench.click("needle moved");
    bench.shows("#proof-said", "the drive or the look after it was not clean");
    bench.click("Undo: needle moved");
    bench.shows("#proof-said", "Proven under every circumstance");
    bench.step("Hand over");
    bench.shows("#proof-said", "Proven under every circumstance");
    bench.choose("proven");
    bench.click("Close the job");
  }

  /** Dry outside: what stood in a cylinder was weeks, the second amount is the rate. */
  @Test
  void theSecondAmountOutOfACylinderIsTheRate(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Corva cylinder", "Loses coolant, dry outside");
      bench.circuit("Old six", "inline-along-carburettors");
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
      bench.shows(".ways", "New head gasket");
      bench.click("Sealer as a last resort");
      bench.shows("#quote", "It may block more than the leak");
      bench.fill("Who decides", "A. Fleet");
      bench.click("Yes: ");
      bench.shows("#quote", "A. Fleet");
      bench.click("End here");
      bench.choose("left-leaking");
      bench.click("Close the job");
      bench.shows("#bench", "the customer has not consented");
      bench.step("Decide");
      bench.click("Left leaking");
      bench.shows("#quote", "It leaks on");
      bench.page.locator("#quote > li").last().getByLabel("Who decides").fill("A. Fleet");
      bench.click("Yes: Left leaking");
      bench.step("Hand over");
      bench.choose("left-leaking");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Corva cylinder");
    }
  }
}
