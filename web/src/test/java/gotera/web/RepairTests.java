package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The repair in the browser: off and back on, checks of the craft, parts that do not fit. */
@ExtendWith(Application.class)
class RepairTests {

  private static void off(Bench bench, String what, String fasteners, String size) {
    bench.fill("What", what);
    bench.fill("Screws, bolts, clips", fasteners);
    bench.fill("Size", size);
    bench.click("It is off");
    bench.shows("#refit", what);
  }

  /** Drops at the belt side: what comes off is counted, goes back in turn, and is looked at. */
  @Test
  void whatComesOffGoesBackAndEveryOpenedJointIsLookedAt(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Moltan pump");
      bench.fill("Liquid in the system", "11 L");
      bench.click("Begin the job");
      bench.circuit("5.2 pump", "v-along-automatic");
      bench.click("Find on it");
      bench.joint("pump.shaft-seal");
      bench.click("Wet");
      bench.step("Repair");
      bench.shows("#before-title", "Pump shaft seal");
      bench.page.locator("#about").selectOption("pump.gasket");
      bench.click("Show what to know");
      bench.shows("#before-title", "Pump gasket");
      bench.shows("#before", "bolted");
      bench.shows("#before", "a new gasket");
      bench.shows("#before", "come,");
      bench.click("Faces clean and dry");
      bench.shows("#checks", "✓ Faces clean and dry");
      bench.click("It fits");
      bench.shows("#compared", "new beside old: fits");
      bench.click("Gasket held with a little adhesive");
      bench.shows("#waits", "sealant curing: Pump gasket");
      bench.endWait("Moltan pump");

      bench.click("Off and back on");
      bench.shows(".empty", "Nothing is off");
      bench.click("It is off");
      bench.shows("#what-problem", "Please say what comes off");
      bench.photograph(TracingTests.photograph());
      off(bench, "Fan shroud", "4", "M6");
      off(bench, "Fan", "4", "wrench 13");
      bench.page.locator("#joint").selectOption("pump.gasket");
      bench.choose("true");
      off(bench, "Pump", "9", "M8");
      bench.shows("#refit li", "Pump");
      bench.shows("#refit li", "some hidden");
      bench.counts("#refit img", 1);
      bench.fill("Back, of 9", "most");
      bench.click("Back on: Pump");
      bench.shows("#refit .field-wrong", "Please enter");
      bench.fill("Back, of 9", "8");
      bench.click("Back on: Pump");
      bench.shows("#refit .wrong", "Pump: 1 missing");
      bench.click("Off again: Pump");
      bench.click("Back on: Pump");
      bench.shows("#refit li", "back, 9 of 9");
      bench.shows(".said-no", "2 not back");
      bench.step("Hand over");
      bench.choose("proven");
      bench.click("Close the job");
      bench.shows(".field-wrong .wrong", "Fan shroud: still off");
      bench.step("Repair");
      bench.shows(".caution-line", "Fan: still off");
      bench.click("Off and back on");
      bench.click("Back on: Fan");
      bench.click("Back on: Fan shroud");
      bench.shows(".said-yes", "All of it is back, every count matches.");
      bench.click("Repair");
      bench.shows("#opened", "Pump gasket");
      bench.page.locator("#note").fill("New pump, new gasket");
      bench.click("Save the note");
      bench.shows("#repair-notes", "New pump, new gasket");
      bench.step("Hand over");
      bench.shows("#open-points", "not looked at under pressure since: Pump gasket");
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Came off: Pump (9 fasteners)");
      bench.shows("main", "Back on: Pump (9 fasteners)");
    }
  }

  /** A mount off for nothing, a pump that does not fit: the next set starts with the lesson. */
  @Test
  void aLessonStaysWithTheEngineType(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.job("Lumbra one", "Loses coolant behind the pump");
      bench.circuit("Lumbra set", "generator");
      bench.open(bench.jobPath() + "/repair/strip");
      bench.choose("true");
      bench.page.locator("input[name=needless]").check();
      off(bench, "Front mount", "3", "M10");
      bench.shows("#refit", "not needed");
      bench.click("Repair");
      bench.click("Time and cost");
      bench.fill("What", "Front mount off and on");
      bench.fill("Minutes", "25");
      bench.page.locator("input[name=needless]").check();
      bench.click("Write it down");
      bench.shows(".plate", "25 min");
      bench.shows("#work-lines", "not needed");
      bench.click("Repair");
      bench.page.locator("#about").selectOption("pump.gasket");
      bench.click("Show what to know");
      bench.fill("What was compared, or moved over", "one stub turned");
      bench.fill("The right one is there in, days", "soon");
      bench.click("It does not fit");
      bench.shows(".field-wrong .wrong", "Please enter");
      bench.holds("#newNote", "one stub turned");
      bench.fill("The right one is there in, days", "6");
      bench.click("It does not fit");
      bench.shows("#compared", "does not fit: “one stub turned”");
      bench.shows("#waits", "the right part for Pump gasket");
      bench.click("Save the lesson");
      bench.shows("#lessons .wrong", "Please write what was learned");
      bench.fill("A lesson", "The mount may stay; the pump has two stubs, compare them");
      bench.click("Save the lesson");
      bench.shows("#lessons", "The mount may stay");
      bench.endWait("Lumbra one");

      bench.job("Lumbra two", "Same engine");
      bench.open(bench.jobPath() + "/circuit");
      bench.click("Lumbra set");
      bench.step("Repair");
      bench.shows("#lessons", "The mount may stay");
      bench.click("O-ring");
      bench.fill("Ring, inner diameter, mm", "30");
      bench.fill("Its cord, mm", "3");
      bench.fill("Groove, diameter it sits on, mm", "30.9");
      bench.click("Work it out");
      bench.shows("#depth-problem", "Please enter");
      bench.fill("Groove, depth, mm", "2.3");
      bench.click("Work it out");
      bench.shows(".said-yes", "It fits. Stretched 3.0 %, squeezed 23 %");
    }
  }

  /** What belongs to another job cannot be touched from this one. */
  @Test
  void anothersLinesStayAsTheyAre(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = http.job("Fenn 20");
    String other = http.job("Corrie 12");
    http.get(job + "/repair/strip");
    http.post(job + "/repair/strip", Map.of("what", "Cover", "fasteners", "2"));
    String line = http.get(job + "/repair/strip").find("/repair/strip/([0-9a-f-]{36})/back");
    for (String act : new String[] {"/back", "/off-again", "/withdraw"}) {
      assertThat(http.post(other + "/repair/strip/" + line + act, Map.of("back", "2")).status())
          .as(act)
          .isEqualTo(404);
    }
    assertThat(http.post(job + "/repair/strip", Map.of("what", "Cover", "fasteners", "1.5")).text())
        .contains("whole number");
    assertThat(http.post(job + "/repair/strip/" + line + "/withdraw", Map.of()).status())
        .isEqualTo(302);
    assertThat(http.get(job + "/repair/strip").text()).doesNotContain("Back on: Cover");
  }
}
