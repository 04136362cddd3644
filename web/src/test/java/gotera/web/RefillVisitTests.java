package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Stage;
import gotera.web.Bench.Hand;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole visits whose heart is the refill, from an empty job to the proof. */
@ExtendWith(Application.class)
class RefillVisitTests {

  /** After a timing-drive job, empty: air finds the forgotten clamp before coolant is spent. */
  @Test
  void noCoolantIsSpentBeforeItIsTight(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Brenka dry", "9 L", "assembly");
      bench.circuit("4.0 dry", "v-across-outlet-over-gearbox");
      Visit.cap(bench, "110 kPa");
      bench.step("Fill up");
      bench.choose("drained");
      bench.fill("How much", "9 L");
      bench.click("Save");
      bench.step("Refill");
      bench.shows("#fill-steps", "Dry air, regulated below the cap’s rating");
      bench.click("Vacuum");
      Visit.air(bench, "Hold it as a test", "105", -2, 6);
      bench.shows(".said", "Leak");
      bench.shows("#beside", "signs nothing off");
      bench.step("Refill");
      bench.shows("#fell", "The air did not hold: find the leak before coolant is spent.");
      bench.open(bench.jobPath() + "/find");
      bench.joint("heater-return.pump-end");
      bench.fill("Note", "No clamp on it");
      bench.click("Wet");
      bench.repaired("heater-return.pump-end", "The clamp that was forgotten");
      bench.step("Refill");
      Visit.air(bench, "Hold it again", "105", 0, 30);
      bench.shows(".said", "Air: the computed rate is zero within its uncertainty");
      bench.open(bench.jobPath() + "/repair");
      bench.shows("#repair-notes", "then: Tight");
      bench.step("Refill");
      bench.counts("#fell", 0);
      bench.shows("#fill-steps .is-done", "Dry air");
      bench.shows("#fill-steps", "Watch the needle");
      Visit.air(bench, "Hold it as a test", "-80", 0, 30);
      assertThat(bench.text(".said")).doesNotContain("Leak");
      bench.step("Refill");
      bench.counts("#fill-steps .is-done", 2);
      bench.fill("Strength wanted, %", "50");
      bench.fill("A jug holds", "9 L");
      bench.click("Work it out");
      bench.click("The next jug is in");
      bench.shows("main", "It is full by the account");
      bench.refilled();
      Hold cold = new Hold(110, 20, 34 * 60, 10, 18, 0.002);
      Visit.provenTight(bench, new SimulatedHold(9000, List.of(), cold, List.of(), 61), "9 L");
      Visit.closeAs(bench, "proven");
      bench.shows("main", "Brenka dry");
    }
  }

  /** Forest ground hides drips: two faults, both shown; the chemistry that is in stays. */
  @Test
  void twoFaultsAreBothFoundOnForestGround(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Moltan forest", "13 L", "never-seen", "needle-rises");
      bench.circuit("5.2 forest", "v-along-automatic");
      bench.step("Intake");
      bench.page.locator("#ground").selectOption("soft");
      bench.click("Save");
      bench.shows(".so-far-flag", "On loose ground no drip is seen");
      bench.step("Visual check");
      bench.step("Fill up");
      bench.fill("How much", "4.2 L");
      bench.click("Save");
      bench.shows(".plate", "4.2 L");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "16 psi");
      bench.choose("doubtful");
      bench.click("Save the cap");
      bench.step("Find");
      bench.joint("cap.neck");
      bench.fill("Note", "Rubber gone");
      bench.click("Wet");
      bench.joint("radiator.drain-tap");
      bench.fill("Note", "Drips from the drain tube");
      bench.click("Wet");
      bench.shows(".suspects", "Drain tap");
      bench.shows(".suspects", "Filler neck and cap");

      bench.step("Repair");
      bench.page.locator("#about").selectOption("radiator.drain-tap");
      bench.click("Show what to know");
      bench.click("All of the old ring out of the bore");
      bench.shows("#checks", "✓ All of the old ring out of the bore");
      bench.repaired("radiator.drain-tap", "One piece of the ring was left in the bore; new ring");
      bench.repaired("cap.neck", "Cap renewed whole");
      bench.step("Cap");
      bench.choose("replaced");
      bench.click("Save the cap");
      bench.open(bench.jobPath() + "/repair/drain");
      bench.shows("#drain-plan", "Drain tap");
      Visit.drain(bench, "radiator.drain-tap", "9 L", "collected");
      bench.shows("#drain-log", "9 L, collected");

      bench.click("To the refill");
      bench.page.locator("#in").selectOption("organic-acid");
      bench.page.locator("#source").selectOption("history");
      bench.page.locator("#goesIn").selectOption("organic-acid");
      bench.click("Save both");
      bench.shows("#advice", "The same chemistry goes in");
      bench.click("Watch the funnel");
      bench.fill("Free area, cm²", "60");
      bench.click("Save the funnel");
      RefillTests.look(bench, "0", "12", "84", 18);
      RefillTests.look(bench, "-3", "", "85", 13);
      RefillTests.look(bench, "-3", "", "85", 1);
      bench.step("Refill");
      bench.click("cabin gets hot");
      bench.click("needle steady");
      bench.shows("#purge-said", "The purge is at its end.");
      bench.refilled();
      bench.open(bench.jobPath() + "/find/running");
      bench.fill("Ran, minutes", "25");
      bench.click("No drop fell");
      bench.shows("#running-said", "No drop in 25 min of running: at most 0.006");
      Visit.closeAs(bench, "provisional");
      bench.shows("main", "Moltan forest");
    }
  }

  /** Before a planned renewal: measured tight first, renewed, drained at three places, proven. */
  @Test
  void aPlannedRenewalBeginsAndEndsWithAHold(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Tavel renewed", "8 L", "baseline");
      bench.circuit("2.8 renewed", "diesel-along-rear-heater");
      Visit.cap(bench, "1.4 bar");
      bench.step("Pressure test");
      bench.fill("Finest reading you can make", "0.1 kPa");
      bench.use(bench.page.locator(".more summary").first());
      bench.fill("Maker’s rule: hold", "140");
      bench.fill("for, min", "3");
      bench.fill("lose at most", "8");
      bench.choose("repair");
      bench.click("Begin pumping");
      SimulatedHold before =
          new SimulatedHold(
              8000,
              List.of(new Stage(11, 20, 900)),
              new Hold(140, 20, 20 * 60, 5, 18, -0.03),
              List.of(),
              17);
      bench.curve(before.csv());
      String[][] draws = before.draws(20, 2);
      bench.draw("measuring draw", "20", draws[0][0], draws[0][1]);
      bench.draw("closing draw", "2", draws[1][0], draws[1][1]);
      bench.finish();
      bench.shows(".said", "Tight, at most 0.");
      bench.shows(".rule-line", "mL/min through");

      bench.open(bench.jobPath() + "/repair/drain");
      bench.shows("#drain-plan", "Drawn out of the tank");
      bench.click("Book it");
      bench.shows(".field-wrong .wrong", "Please choose where it came out.");
      Visit.drain(bench, "cap.neck", "0.9 L", "collected");
      Visit.drain(bench, "radiator.drain-tap", "much", "collected");
      bench.shows("#drained-problem", "Please enter");
      bench.holds("#drained", "much");
      Visit.drain(bench, "radiator.drain-tap", "5.2 L", "collected");
      Visit.drain(bench, "block.drain-plug", "1.5 L", "collected");
      bench.counts("#drain-log li", 3);
      bench.shows("#stays", "What stays: 378 mL");
      bench.open(bench.jobPath() + "/repair?joint=block.drain-plug");
      bench.shows("#before", "a new washer");
      bench.click("New washer, clean thread");
      for (String joint :
          List.of("pump.gasket", "thermostat-housing.gasket", "upper-hose.radiator-end")) {
        bench.page.locator("#joint").selectOption(joint);
        bench.page.locator("#note").fill("Renewed as planned");
        bench.renewed();
        bench.click("Save the note");
      }
      bench.counts("#repair-notes li", 3);
      bench.shows("#opened", "Block drain");
      bench.open(bench.jobPath() + "/circuit");
      bench.shows("#renewed", "Pump gasket: new since");

      bench.open(bench.jobPath() + "/refill");
      bench.fill("Strength wanted, %", "50");
      bench.fill("A jug holds", "8 L");
      bench.click("Work it out");
      bench.shows(".plate", "3.81 L");
      bench.click("The next jug is in");
      bench.shows("#fill-steps", "Shut once it runs solid, with a hose into a jar");
      bench.refilled();
      Hold cold = new Hold(140, 20, 34 * 60, 10, 18, 0.002);
      Visit.provenTight(bench, new SimulatedHold(8000, List.of(), cold, List.of(), 63), "8 L");
      bench.step("Find");
      bench.joint("pump.gasket");
      bench.shows(".joint-about", "New since");
      bench.step("Hand over");
      bench.choose("proven");
      bench.click("Close the job");
      bench.shows(".field-wrong .wrong", "no leak ever showed");
      Visit.closeAs(bench, "no-leak");
      bench.shows("main", "Tavel renewed");
    }
  }
}
