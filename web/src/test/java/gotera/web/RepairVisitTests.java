package gotera.web;

import gotera.simulation.StandInVehicle.Hold;
import gotera.web.Bench.Hand;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Whole visits whose heart is the repair, from an empty job to the proof. By touch, and by
 * keyboard.
 */
@ExtendWith(Application.class)
class RepairVisitTests {
  /** A sound as browsers record it, as far as its first bytes. */
  private static final byte[] WEBM = {
    0x1A, 0x45, (byte) 0xDF, (byte) 0xA3, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0
  };

  /** Cannot be pumped up: a new radiator beside the old one, hidden bolts counted, proven. */
  @Test
  void aNewRadiatorIsComparedCountedAndProven(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Orvia tube", "6.2 L");
      bench.circuit("1.6 radiator", "inline-across-neck");
      Visit.cap(bench, "1.2 bar");
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
      Visit.provenTight(bench, new SimulatedHold(6200, List.of(), cold, List.of(), 65), "6.2 L");
      bench.click("Proof in every circumstance");
      bench.shows("#proof-lines", "under pressure");
      bench.shows("#proof-lines", "✓ held: at most 0.");
      Visit.closeAs(bench, "proven");
      bench.shows("main", "Orvia tube");

      // the same vehicle again: what is new is known, and the same part twice asks for more
      bench.job("Orvia tube", "Wet again");
      bench.click("Find");
      bench.joint("radiator.core");
      bench.shows(".joint-about", "New since");
      bench.click("Wet");
      bench.shows(".joint-about", "a combustion-gas check before the next one");
    }
  }

  /** A mount off for nothing, two waits with two dates, water only: the second set knows it. */
  @Test
  void twoWaitsAreTaggedAndTheSecondSetKnowsTheLesson(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      String first = "Lumbra tagged one";
      Visit.begin(bench, first, "7 L");
      bench.circuit("Lumbra tagged", "generator");
      bench.click("Find on it");
      bench.joint("pump.gasket");
      bench.click("Wet");
      bench.open(bench.jobPath() + "/repair/strip");
      bench.page.locator("input[name=needless]").check();
      Visit.stripped(bench, "Front mount", "3", "M10");
      Visit.stripped(bench, "Fan", "4", "wrench 13");
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

      Visit.begin(bench, "Lumbra tagged two", "7 L");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("Lumbra tagged");
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
      Visit.closeAs(bench, "diagnosis-only");
      bench.shows("main", "Lumbra tagged two");
    }
  }
}
