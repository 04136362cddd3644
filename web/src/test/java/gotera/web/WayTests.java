package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The order of the work leads: who presses the one primary button of each page gets through. */
@ExtendWith(Application.class)
class WayTests {

  @Test
  void fromANewJobToAVerdictByThePrimaryButtonAlone(Application.Running application) {
    try (Bench bench = Bench.onPhone(application, "bench").by(Bench.Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Led");
      bench.fill("Liquid in the system", "7 L");
      List<String> way = new ArrayList<>();
      primary(bench, way); // begin the job
      bench.shows("h1", "The circuit of this vehicle");
      bench.shows(".way", "until it is built, a usual one stands here");
      primary(bench, way); // next: make safe
      bench.shows(".way", "a hot system under pressure scalds");
      primary(bench, way); // the hose is soft
      bench.fill("Thermostat housing now, °C", "21");
      bench.fill("Room, °C", "20");
      primary(bench, way); // keep the reading
      primary(bench, way); // next: visual check
      bench.shows(".way", "what is wet now is the cheapest find");
      primary(bench, way); // next: fill up
      bench.fill("How much", "0.6");
      primary(bench, way); // keep it
      primary(bench, way); // next: cap
      bench.fill("Stamped on the cap", "16 psi");
      primary(bench, way); // save the cap, on to the test
      bench.fill("Finest reading you can make", "0.5 kPa");
      primary(bench, way); // begin pumping
      bench.focus("#gauge");
      bench.type("110");
      bench.settled(() -> bench.use(bench.page.locator("button[value='valve-shut']")));
      bench.focus("#gauge");
      bench.type("109.5");
      bench.press("Enter");
      bench.shows(".said", "Not proven");
      assertThat(way)
          .containsSubsequence(
              "Begin the job",
              "Next: Make safe",
              "Soft",
              "Save the reading",
              "Next: Visual check",
              "Next: Fill up",
              "Next: Cap",
              "Save the cap",
              "Begin pumping");
    }
  }

  @Test
  void aStepIsSkippedWithOneTapAndTakenUpAgain(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", "Skips the filling");
      bench.click("Begin the job");
      bench.step("Fill up");
      bench.click("Skip this step");
      bench.step("Fill up");
      bench.shows(".way", "This step is skipped");
      bench.shows(".rail .step-skipped", "Fill up");
      bench.click("Take it up");
      bench.counts(".rail .step-skipped", 0);
      bench.shows(".way", "air hides leaks");
      bench.click("Skip this step");
      bench.step("Fill up");
      bench.fill("How much", "0.6");
      bench.click("Save");
      bench.counts(".rail .step-skipped", 0);
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "step skipped");
    }
  }

  /** The one primary button that is seen, and only one. */
  private static void primary(Bench bench, List<String> way) {
    Locator leads = bench.page.locator(".way-leads .button-go");
    Locator button =
        leads.count() > 0 ? leads : bench.page.locator("main .button-go:visible").first();
    way.add(button.innerText().strip().split("\\n")[0]);
    bench.settled(() -> bench.use(button));
  }
}
