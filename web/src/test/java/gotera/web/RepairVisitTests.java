package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Stage;
import gotera.web.Bench.Hand;
import java.util.List;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Whole visits through repair and refill to the proof, in the browser, from an empty job. By touch,
 * and by keyboard.
 */
@ExtendWith(Application.class)
class RepairVisitTests {
  /** A sound as browsers record it, as far as its first bytes. */
  private static final byte[] WEBM = {
    0x1A, 0x45, (byte) 0xDF, (byte) 0xA3, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0
  };

  private static void begin(Bench bench, String vehicle, String liquid, String... chosen) {
    bench.open("/jobs/new");
    bench.fill("Vehicle", vehicle);
    bench.fill("Liquid in the system", liquid);
    bench.fill("Strength, %", "50");
    for (String value : chosen) {
      bench.choose(value);
    }
    bench.click("Begin the job");
  }

  private static void cap(Bench bench, String stamp) {
    bench.step("Cap");
    bench.fill("Stamped on the cap", stamp);
    bench.click("Save the cap");
  }

  /** A proof: a hold with its draws, as a file, until it is sealed. */
  private static void provenTight(Bench bench, SimulatedHold hold, String liquid) {
    bench.open(bench.jobPath() + "/re-test?again=true");
    bench.hold(hold, "0.1 kPa", liquid);
    bench.closed(hold);
    bench.finish();
    bench.shows(".statement", "The computed leak rate is zero: at most");
  }

  private static void closeAs(Bench bench, String ending) {
    bench.step("Hand over");
    bench.choose(ending);
    bench.click("Close the job");
    bench.open("/jobs/closed");
  }

  private static void drain(Bench bench, String at, String volume, String caught) {
    bench.page.locator("#at").selectOption(at);
    bench.fill("How much", volume);
    bench.choose(caught);
    bench.click("Book it");
  }

  /** After a timing-drive job, empty: air finds the forgotten clamp before coolant is spent. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void noCoolantIsSpentBeforeItIsTight(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      begin(bench, "Brenka dry " + hand, "9 L", "assembly");
      bench.circuit("4.0 dry " + hand, "v-across-outlet-over-gearbox");
      cap(bench, "110 kPa");
      bench.step("Fill up");
      bench.choose("drained");
      bench.fill("How much", "9 L");
      bench.click("Save");
      bench.step("Refill");
      bench.shows("#fill-steps", "Dry air, regulated below the cap’s rating");
      bench.click("Vacuum");
      air(bench, "Hold it as a test", "105", -2, 6);
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
      air(bench, "Hold it again", "105", 0, 30);
      bench.shows(".said", "Air: the computed rate is zero within its uncertainty");
      bench.open(bench.jobPath() + "/repair");
      bench.shows("#repair-notes", "then: Tight");
      bench.step("Refill");
      bench.counts("#fell", 0);
      bench.shows("#fill-steps .is-done", "Dry air");
      bench.shows("#fill-steps", "Watch the needle");
      air(bench, "Hold it as a test", "-80", 0, 30);
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
      provenTight(bench, new SimulatedHold(9000, List.of(), cold, List.of(), 61), "9 L");
      closeAs(bench, "proven");
      bench.shows("main", "Brenka dry " + hand);
    }
  }

  /** Holds air or a vacuum, with a reading every minute, each so much more or less. */
  private static void air(Bench bench, String link, String start, int perMinute, int minutes) {
    bench.follow("#fill-steps a:text-is('" + link + "')");
    bench.fill("Finest reading you can make", "0.1 kPa");
    bench.use(bench.page.locator(".more summary").first());
    bench.choose("overnight");
    bench.click("Begin pumping");
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,event\n0,0,\n20,");
    csv.append(start).append(",valve-shut\n");
    for (int minute = 1; minute <= minutes; minute++) {
      int gauge = Integer.parseInt(start) + perMinute * minute;
      csv.append(20 + 60 * minute).append(',').append(gauge).append(",\n");
    }
    bench.curve(csv.toString());
    bench.finish();
  }

  /** Forest ground hides drips: two faults, both shown; the chemistry that is in stays. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void twoFaultsAreBothFoundOnForestGround(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      begin(bench, "Moltan forest " + hand, "13 L", "never-seen", "needle-rises");
      bench.circuit("5.2 forest " + hand, "v-along-automatic");
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
      drain(bench, "radiator.drain-tap", "9 L", "collected");
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
      closeAs(bench, "provisional");
      bench.shows("main", "Moltan forest " + hand);
    }
  }

  /** Before a planned renewal: measured tight first, renewed, drained at three places, proven. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aPlannedRenewalBeginsAndEndsWithAHold(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      begin(bench, "Tavel renewed " + hand, "8 L", "baseline");
      bench.circuit("2.8 renewed " + hand, "diesel-along-rear-heater");
      cap(bench, "1.4 bar");
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
      drain(bench, "cap.neck", "0.9 L", "collected");
      drain(bench, "radiator.drain-tap", "much", "collected");
      bench.shows("#drained-problem", "Please enter");
      bench.holds("#drained", "much");
      drain(bench, "radiator.drain-tap", "5.2 L", "collected");
      drain(bench, "block.drain-plug", "1.5 L", "collected");
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
      provenTight(bench, new SimulatedHold(8000, List.of(), cold, List.of(), 63), "8 L");
      bench.step("Find");
      bench.joint("pump.gasket");
      bench.shows(".joint-about", "New since");
      closeAs(bench, "proven");
      bench.shows("main", "Tavel renewed " + hand);
    }
  }

  /** Cannot be pumped up: a new radiator beside the old one, hidden bolts counted, proven. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void aNewRadiatorIsComparedCountedAndProven(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      begin(bench, "Orvia radiator " + hand, "6.2 L");
      bench.circuit("1.6 radiator " + hand, "inline-across-neck");
      cap(bench, "1.2 bar");
      bench.step("Pressure test");
      bench.fill("Finest reading you can make", "0.1 kPa");
      bench.click("Begin pumping");
      bench.reading("58");
      bench.click("Valve shut");
      String[] fall = {"0:02 60", "0:10 47", "0:20 36", "0:30 28"};
      for (String reading : fall) {
        bench.page.locator("#at").fill(reading.split(" ")[0]);
        bench.reading(reading.split(" ")[1]);
      }
      bench.finish();
      bench.shows(".so-far summary", "Gross leak, more than");
      bench.step("Find");
      bench.joint("radiator.core");
      bench.fill("Note", "Spray from a tube in the middle");
      bench.click("Wet");

      bench.step("Repair");
      bench.shows("#before-title", "Radiator core");
      bench.click("Drain tap and fittings tight on the new part");
      bench.fill("What was compared, or moved over", "tap, mounts, fittings; bushings moved over");
      bench.click("It fits");
      bench.shows("#compared", "bushings moved over");
      bench.click("Off and back on");
      bench.page.locator("input[name=hidden]").check();
      bench.fill("What", "Radiator");
      bench.fill("Screws, bolts, clips", "6");
      bench.click("It is off");
      bench.shows("#refit", "some hidden");
      bench.say(new byte[] {1, 2, 3});
      bench.click("It is off");
      bench.shows(".field-wrong .wrong", "no recording");
      bench.say(WEBM);
      bench.click("It is off");
      bench.counts("#refit audio", 1);
      bench.click("Back on: as said");
      bench.click("Back on: Radiator");
      bench.shows(".said-yes", "All of it is back");
      bench.open(bench.jobPath() + "/repair/work");
      bench.click("Start the clock");
      bench.shows("#clock .said-line", "Repair: 0 min");
      bench.page.locator("#clockStep").selectOption("refill");
      bench.click("Start it on this step instead");
      bench.shows("#clock .said-line", "Refill: 0 min");
      bench.click("Stop the clock");
      bench.fill("Minutes, by hand: Repair", "some");
      bench.click("Correct the minutes: Repair");
      bench.shows(".field-wrong .wrong", "Please enter");
      bench.fill("Minutes, by hand: Repair", "95");
      bench.click("Correct the minutes: Repair");
      bench.shows("#by-steps", "Repair: 95 min");
      bench.shows(".plate", "95 min");
      bench.open(bench.jobPath() + "/repair");
      bench.page.locator("#joint").selectOption("radiator.core");
      bench.page.locator("#note").fill("New radiator");
      bench.renewed();
      bench.click("Save the note");
      bench.refilled();
      Hold cold = new Hold(120, 20, 34 * 60, 10, 18, 0.002);
      provenTight(bench, new SimulatedHold(6200, List.of(), cold, List.of(), 65), "6.2 L");
      bench.click("Proof in every circumstance");
      bench.shows("#proof-lines", "under pressure");
      bench.shows("#proof-lines", "✓ held: at most 0.");
      closeAs(bench, "proven");
      bench.shows("main", "Orvia radiator " + hand);

      // the same vehicle again: what is new is known, and the same part twice asks for more
      bench.job("Orvia radiator " + hand, "Wet again");
      bench.click("Find");
      bench.joint("radiator.core");
      bench.shows(".joint-about", "New since");
      bench.click("Wet");
      bench.shows(".joint-about", "a combustion-gas check before the next one");
    }
  }

  /** A mount off for nothing, two waits with two dates, water only: the second set knows it. */
  @ParameterizedTest
  @EnumSource(
      value = Hand.class,
      names = {"TOUCH", "KEYBOARD"})
  void twoWaitsAreTaggedAndTheSecondSetKnowsTheLesson(Hand hand, Application.Running application) {
    try (Bench bench = Bench.of(application).by(hand)) {
      String first = "Lumbra tagged one " + hand;
      begin(bench, first, "7 L");
      bench.circuit("Lumbra tagged " + hand, "generator");
      bench.click("Find on it");
      bench.joint("pump.gasket");
      bench.click("Wet");
      bench.open(bench.jobPath() + "/repair/strip");
      bench.page.locator("input[name=needless]").check();
      stripped(bench, "Front mount", "3", "M10");
      stripped(bench, "Fan", "4", "wrench 13");
      bench.open(bench.jobPath() + "/repair?joint=pump.gasket");
      bench.fill("What was compared, or moved over", "one stub turned");
      bench.fill("The right one is there in, days", "6");
      bench.click("It does not fit");
      bench.click("Gasket held with a little adhesive");
      bench.counts("#waits .wait:has-text('" + first + "')", 2);
      bench.fill("A lesson", "Fan first; the mount may stay; compare the stubs");
      bench.click("Save the lesson");
      String job = bench.jobPath();
      bench.open(job + "/tag?says=do-not-start");
      bench.counts(".tag-until", 2);
      bench.shows(".tag-until >> nth=1", "the right part for Pump gasket");
      bench.open(job + "/tag?says=curing");
      bench.counts(".tag-until", 1);
      bench.open(job + "/fill-up");
      bench.choose("drained");
      bench.fill("How much", "7 L");
      bench.click("Save");
      bench.choose("in");
      bench.fill("How much", "7 L");
      bench.click("Save");
      bench.open(job + "/tag?says=water-only");
      bench.shows("main", "Coolant at 0 %");
      bench.shows("main", "0 °C");
      bench.open(job + "/repair");
      bench.endWait(first);
      bench.endWait(first);

      begin(bench, "Lumbra tagged two " + hand, "7 L");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("Lumbra tagged " + hand);
      bench.step("Repair");
      bench.shows("#lessons", "Fan first; the mount may stay");
      bench.page.locator("#about").selectOption("pump.gasket");
      bench.click("Show what to know");
      bench.shows("#last-time", "Fan (4 × wrench 13)");
      bench.click("Off and back on");
      bench.shows("#last-time", "Front mount: it was not needed, leave it on");
      bench.click("Off: Fan");
      bench.shows("#refit", "4 × wrench 13");
      bench.click("Back on: Fan");
      bench.repaired("pump.gasket", "The right pump");
      bench.refilled();
      closeAs(bench, "diagnosis-only");
      bench.shows("main", "Lumbra tagged two " + hand);
    }
  }

  private static void stripped(Bench bench, String what, String fasteners, String size) {
    bench.fill("What", what);
    bench.fill("Screws, bolts, clips", fasteners);
    bench.fill("Size", size);
    bench.click("It is off");
    bench.shows("#refit", what);
  }
}
