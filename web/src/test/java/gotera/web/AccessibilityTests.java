package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** axe finds no violation on any page. */
@ExtendWith(Application.class)
class AccessibilityTests {
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
