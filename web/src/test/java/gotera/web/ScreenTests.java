package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** What every screen owes a glove, a small phone and a low desk screen. */
@ExtendWith(Application.class)
class ScreenTests {
  private static final List<String> STEPS =
      List.of(
          "intake",
          "make-safe",
          "visual-check?state=pressure",
          "fill-up",
          "cap",
          "pressure-test",
          "find?joint=radiator.core",
          "find?dark=true&joint=radiator.core",
          "circuit",
          "dye?joint=radiator.core",
          "inside",
          "inside/gas-check",
          "inside/funnel",
          "find/running",
          "decide",
          "repair?joint=pump.gasket",
          "repair/strip",
          "repair/ring?ring=30",
          "repair/work",
          "repair/drain",
          "re-test/proof",
          "tests",
          "earlier",
          "refill",
          "re-test",
          "re-test?again=true",
          "re-test/plan",
          "level-watch",
          "hand-over",
          "suspects",
          "history");

  /** Everything to press that is less than 44 px either way, each kind once. */
  private static final String SMALL =
      """
      () => [...document.querySelectorAll('#page button, #page summary, #page a.button, #page .chip,'
          + '#page .so-far a, #page .joint-list a, #page select, #page input[type=text],'
          + '#page svg a.joint, #page .rail a, #page label:has(input[type=radio]),'
          + '#page label:has(input[type=checkbox])')]
        .filter((e) => e instanceof SVGElement || e.offsetParent !== null)
        .map((e) => [e, e.getBoundingClientRect()])
        .filter(([e, b]) => b.width > 0 && Math.min(b.width, b.height) < 43.5)
        .map(([e, b]) => e.tagName + '.' + e.getAttribute('class') + ' '
            + Math.round(b.width) + 'x' + Math.round(b.height) + ' ' + e.textContent.trim())
        .slice(0, 5)""";

  @Test
  void nothingScrollsSidewaysAndEveryTargetIsLargeEnough(Application.Running application) {
    for (int width : new int[] {320, 1280}) {
      try (Bench bench = Bench.sized(application, width, 800)) {
        List<String> paths =
            new ArrayList<>(
                List.of(
                    "/",
                    "/jobs/new",
                    "/account",
                    "/waits",
                    "/tools?stamp=1.1+bar&opening=0.8+bar&strength=40&capacity=8+L",
                    "/tools/plan",
                    "/tools/plan?pressure=100&gaugeStep=0.2&interval=30&air=80&hose=0.3&warmth=overnight&liquid=8+L&strength=50&drift=0",
                    "/workshop",
                    "/letterhead",
                    "/account/second-factor",
                    "/equipment",
                    "/phone"));
        String job = bench.demoJob("Corrie 12");
        STEPS.forEach(s -> paths.add(job + "/" + s));
        paths.addAll(bench.apart(job));
        for (String path : paths) {
          bench.open(path);
          bench.page.evaluate("document.querySelectorAll('details').forEach(d => d.open = true)");
          assertThat(bench.page.evaluate("document.compatMode")).as(path).isEqualTo("CSS1Compat");
          assertThat(
                  ((Number) bench.page.evaluate("document.documentElement.scrollWidth")).intValue())
              .as("%s at %d px", path, width)
              .isLessThanOrEqualTo(width);
          assertThat((List<?>) bench.page.evaluate(SMALL)).as("%s at %d px", path, width).isEmpty();
        }
      }
    }
  }

  @Test
  void theNewPageIsShownFromItsTopOnAPhone(Application.Running application) {
    try (Bench bench = Bench.sized(application, 390, 780)) {
      bench.pumping("18 psi", "0.5 kPa");
      assertThat(((Number) bench.page.evaluate("scrollY")).intValue()).isZero();
      assertThat(bench.page.evaluate("document.activeElement.id")).isEqualTo("bench");
    }
  }

  @Test
  void allOfAHoldStandsAboveTheFoldOfADesk(Application.Running application) {
    // waits of other tests stand above every page
    application
        .bean(JdbcTemplate.class)
        .update(
            "update job_wait set ended_at = utc_timestamp(6), ended_by = 'bench'"
                + " where ended_at is null");
    try (Bench bench = Bench.of(application)) {
      bench.pumping("18 psi", "0.5 kPa");
      bench.reading("110");
      bench.click("Valve shut");
      bench.page.locator("#at").fill("1:00");
      bench.reading("109.5");
      bench.page.evaluate("scrollTo(0, 0)");
      assertThat(
              bench.button("Finish").boundingBox().y + bench.button("Finish").boundingBox().height)
          .isLessThanOrEqualTo(800);
    }
  }

  @Test
  void whatIsWrongHasTheFocusAndTheSameFieldAfterwards(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.pumping("18 psi", "0.5 kPa");
      bench.page.locator("#temperature").fill("warm");
      bench.reading("110");
      assertThat(bench.page.evaluate("document.activeElement.id")).isEqualTo("temperature");
      bench.page.locator("#temperature").fill("18");
      bench.page.locator("#gauge").press("Enter");
      bench.shows("#gauge-now", "110");
      assertThat(bench.page.evaluate("document.activeElement.id")).isEqualTo("gauge");
    }
  }

  private static void itsFormIsInView(Bench bench, String name) {
    bench.shows("#joint-title", name);
    bench.page.waitForCondition(
        () ->
            (Boolean)
                bench.page.evaluate(
                    """
                    (() => {
                      const b = document.querySelector('.seen button').getBoundingClientRect();
                      return b.top >= 0 && b.bottom <= innerHeight
                          && document.activeElement.id === 'joint-panel';
                    })()"""));
  }

  /** A joint of the list far below: its form comes into view, and a finger can hit the drawing. */
  @Test
  void aJointChosenFromTheListBringsItsFormIntoView(Application.Running application) {
    for (int width : new int[] {390, 1280}) {
      try (Bench bench = Bench.sized(application, width, 800)) {
        bench.open(bench.demoJob("Corrie 12") + "/find");
        Locator last = bench.page.locator("#joint-list a").last();
        String name = last.locator("b").innerText();
        last.click();
        itsFormIsInView(bench, name);
        // touch areas of near joints overlap: the nearest to the finger is meant
        bench
            .page
            .locator("#joint-pump\\.gasket .joint-touch")
            .click(new Locator.ClickOptions().setForce(true));
        itsFormIsInView(bench, "Pump gasket");
        assertThat(
                ((Number)
                        bench.page.evaluate(
                            "document.querySelector('.joint-touch').getBoundingClientRect().width"))
                    .doubleValue())
            .isGreaterThanOrEqualTo(44);
      }
    }
  }
}
