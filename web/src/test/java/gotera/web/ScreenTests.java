package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** What every screen owes a glove, a small phone and a low desk screen. */
@ExtendWith(Application.class)
class ScreenTests {
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
    // pages know them by their count
    application.bean(JdbcTemplate.class).update("update shop_change set seq = seq + 1");
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
