package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** axe finds no violation on any page. */
@ExtendWith(Application.class)
class AccessibilityTests {
  private static final List<String> STEPS =
      List.of(
          "intake",
          "make-safe",
          "visual-check",
          "fill-up",
          "cap",
          "pressure-test",
          "find",
          "find?joint=radiator.core",
          "find?dark=true&joint=radiator.core",
          "circuit",
          "circuit?preset=flat-along",
          "dye",
          "dye?dark=true&joint=radiator.core",
          "waits",
          "inside",
          "inside/gas-check",
          "inside/funnel",
          "find/running",
          "decide",
          "repair",
          "repair?joint=pump.gasket",
          "repair/strip",
          "repair/ring?ring=30",
          "repair/work",
          "repair/drain",
          "re-test/proof",
          "tests",
          "earlier",
          "inside/gas-check/colour",
          "refill",
          "refill/label",
          "re-test",
          "re-test?again=true",
          "re-test/plan",
          "level-watch",
          "report",
          "report/file",
          "hand-over",
          "suspects",
          "history");

  @Test
  void onAnyPage(Application.Running application) {
    try (Bench bench = Bench.of(application, "lead")) {
      List<String> paths =
          new ArrayList<>(
              List.of(
                  "/",
                  "/jobs/new",
                  "/jobs/none",
                  "/account",
                  "/accounts",
                  "/phone",
                  "/waits",
                  "/tools?stamp=1.1+bar&opening=0.8+bar&strength=40&capacity=8+L",
                  "/tools/plan",
                  "/tools/plan?pressure=100&gaugeStep=0.2&interval=30&air=80&hose=0.3&warmth=overnight&liquid=8+L&strength=50&drift=0",
                  "/workshop",
                  "/letterhead",
                  "/account/second-factor",
                  "/equipment",
                  "/equipment/new?kind=tester"));
      String job = bench.demoJob("Corrie 12");
      STEPS.forEach(s -> paths.add(job + "/" + s));
      paths.addAll(bench.apart(job));
      bench.open(job + "/waits");
      bench.fill("Minutes", "90");
      bench.click("Begin");
      bench.counts(".wait", 1);
      for (String path : paths) {
        bench.open(path);
        bench.page.evaluate("document.querySelectorAll('details').forEach(d => d.open = true)");
        check(bench, path);
      }
      bench.open("/");
      bench.endWait("Corrie 12");
    }
  }

  @Test
  void whileATestRunsAndWhereInputIsWrong(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      check(bench, "set-up");
      bench.fill("Finest reading you can make", "letters");
      bench.click("Begin pumping");
      check(bench, "set-up, wrong");
      bench.fill("Stamped on the cap", "18 psi");
      bench.fill("Finest reading you can make", "0.5");
      bench.click("Begin pumping");
      check(bench, "pumping");
      bench.page.locator("#gauge").fill("400");
      bench.click("Save reading");
      check(bench, "asked back");
      bench.page.locator("#gauge").fill("120");
      bench.click("Save reading");
      bench.click("Valve shut");
      check(bench, "holding");
      bench.page.getByText("Keys ?").click();
      check(bench, "keys");
    }
  }

  @Test
  void onTheSignInPage(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.page.context().clearCookies();
      bench.open("/sign-in?error");
      check(bench, "sign-in");
    }
  }

  private static void check(Bench bench, String where) {
    AxeResults results = new AxeBuilder(bench.page).setLegacyMode(true).analyze();
    assertThat(results.getPasses()).as("axe looked at " + where).isNotEmpty();
    assertThat(results.getViolations())
        .as(where)
        .extracting(r -> r.getId() + ": " + r.getHelp() + " " + r.getNodes().get(0).getHtml())
        .isEmpty();
  }
}
