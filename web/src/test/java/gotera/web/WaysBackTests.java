package gotera.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Every mistake made on purpose, and undone on the screen. */
@ExtendWith(Application.class)
class WaysBackTests {

  /** Counts what the browser feels: each press, and each field that something is typed into. */
  private static final String COUNT =
      """
      (() => {
        const more = () => sessionStorage.setItem('done', 1 + Number(sessionStorage.getItem('done')));
        let typed = null;
        addEventListener('click', (e) => { if (e.isTrusted) { typed = null; more(); } }, true);
        addEventListener('input', (e) => { if (e.target !== typed) { typed = e.target; more(); } }, true);
      })()""";

  /** What somebody does who was never here before; each of it is one tap or one field. */
  @Test
  void aNewcomerIsAtAVerdictWithinElevenInteractions(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.page.context().addInitScript(COUNT);
      bench.open("/");
      bench.page.evaluate("sessionStorage.removeItem('done')");
      bench.click("Start a test now");
      bench.fill("Stamped on the cap", "16 psi");
      bench.fill("Finest reading you can make", "0.5 kPa");
      bench.click("Begin pumping");
      // pump, read, shut: what was typed goes with the button that is pressed
      bench.page.locator("#gauge").fill("110");
      bench.click("Valve shut");
      bench.page.locator("#gauge").fill("109.5");
      bench.click("Finish");
      bench.click("Finish and seal");
      bench.shows(".said", "Not proven");
      bench.shows("#entries summary", "2 read");
      int done = Integer.parseInt(bench.page.evaluate("sessionStorage.getItem('done')").toString());
      Assertions.assertThat(done).as("what the browser counted").isBetween(9, 11);
    }
  }

  @Test
  void aTestSetUpWrongIsSetUpAnewAndKeepsItsReadings(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.click("Set up anew");
      bench.shows("h1", "Set up anew");
      bench.fill("Finest reading you can make", "2 kPa");
      bench.click("Save the set-up");
      bench.shows("#gauge-now", "110");
      bench.shows(".bench-head .sub", "gauge read to 2 kPa");
      bench.click("Set up anew");
      assertThat(bench.page.locator("#gaugeStep")).hasValue(Pattern.compile("2 kPa"));
    }
  }

  @Test
  void anEventIsTakenBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      assertThat(bench.button("Pump up again")).isVisible();
      bench.click("Undo");
      assertThat(bench.button("Valve shut")).isVisible();
      bench.shows("#gauge-now", "110");
      bench.click("Valve shut");
      bench.click("Drop seen");
      bench.unfold("Readings and events");
      bench.click("Undo: drop");
      assertThat(bench.page.locator("#entries")).not().containsText("drop seen");
    }
  }

  @Test
  void aTestBegunWrongIsPutAsideAndBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Discard this test");
      bench.shows(".note", "discarded");
      bench.click("Put it back");
      bench.shows("#gauge-now", "110");
    }
  }

  @Test
  void aRunningTestIsLeftForAnotherAndReturnedTo(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Another test");
      bench.fill("Finest reading you can make", "1 kPa");
      bench.click("Begin pumping");
      bench.shows("h1", "Pressure test 2");
      bench.reading("90");
      bench.settled(() -> bench.page.locator(".chips-line a", has("Pressure test 1")).click());
      bench.shows("h1", "Pressure test 1");
      bench.shows("#gauge-now", "110");
      bench.reading("109");
      bench.shows("h1", "Pressure test 1");
    }
  }

  @Test
  void afterAFileUndoAsksWhatToUndo(Application.Running application) {
    String file = "elapsed_s,gauge_kpa\n0,110\n60,109\n120,108\n";
    try (Bench bench = pumping(application)) {
      bench.curve(file);
      bench.shows("#entries summary", "3 read");
      bench.click("Undo");
      bench.shows("#undoing", "What is to be undone?");
      bench.click("The last reading");
      bench.shows("#entries summary", "2 read");
      bench.click("Undo");
      bench.click("The whole file");
      bench.shows("#gauge-now", "–");
      bench.curve(file);
      bench.shows("#entries summary", "3 read");
    }
  }

  @Test
  void finishSaysWhatThenEndsAndCanBeOpenedAgain(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.reading("109");
      bench.click("Finish");
      bench.shows("#finishing", "no closing draw");
      bench.shows("#finishing", "Vent the pressure");
      bench.click("Not yet");
      bench.reading("108.5");
      bench.finish();
      assertThat(bench.page.locator("#gauge")).hasCount(0);
      bench.click("Open it again");
      bench.reading("108");
      bench.shows("#entries summary", "4 read");
    }
  }

  @Test
  void aPlaceSeenByMistakeGoesOn(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.page.locator("#gauge").fill("109");
      bench.click("Place seen");
      bench.shows("h1", "Find the leak site");
      bench.shows(".note", "Vent the pressure now");
      bench.click("It was a mistake");
      bench.shows("h1", "Pressure test");
      bench.shows("#gauge-now", "109");
      bench.reading("108");
      bench.shows("#gauge-now", "108");
    }
  }

  @Test
  void anyReadingIsCorrectedAndOneInsertedAndOneTakenBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.page.locator("#at").fill("1:00");
      bench.reading("90.1");
      bench.page.locator("#at").fill("3:00");
      bench.reading("108");
      // in between, where it was forgotten
      bench.page.locator("#at").fill("2:00");
      bench.reading("108.6");
      bench.unfold("Readings and events");
      Locator wrong = bench.page.locator("#entries tr", has("1:00"));
      wrong.locator("summary").click();
      wrong.locator("input[name=gauge]").fill("109.1");
      bench.settled(() -> wrong.locator("button", hasExactly("Put right")).click());
      bench.unfold("Readings and events");
      bench.shows("#entries", "109.1");
      assertThat(bench.page.locator("#entries")).not().containsText("90.1");
      bench.unfold("Readings and events");
      Locator back = bench.page.locator("#entries tr", has("3:00"));
      back.locator("summary").click();
      bench.settled(() -> back.locator("button", hasExactly("Undo it")).click());
      bench.shows("#gauge-now", "108.6");
      bench.open(bench.jobPath() + "/history");
      bench.shows("#bench", "90.1");
    }
  }

  @Test
  void aCatchADrawAndACountAreTakenBack(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.page.locator("#strokes summary").click();
      bench.fill("One stroke, mL", "15");
      bench.page.locator("[data-stroke]").click();
      bench.page.locator("#strokeGauge").fill("25");
      bench.click("Save the count");
      bench.page.locator("#strokes summary").click();
      bench.click("Take the last count back");
      assertThat(bench.page.locator("#strokes")).not().containsText("25.0 kPa");
      bench.reading("110");
      bench.click("Valve shut");
      bench.reading("109");
      bench.draw("measuring draw", "20", "109", "95");
      bench.page.locator("#draws summary").click();
      bench.click("Take the last measuring draw back");
      assertThat(bench.page.locator("#draws")).not().containsText("20 mL let out");
      bench.page.locator("#caught summary").click();
      bench.page.locator("#place").selectOption("cylinder 3");
      bench.page.locator("#caughtVolume").fill("4");
      bench.page.locator("#gathered").fill("5");
      bench.click("Save the catch");
      if (bench.page.locator("#caught[open]").count() == 0) {
        bench.page.locator("#caught summary").click();
      }
      bench.shows("#caught", "cylinder 3");
      bench.settled(() -> bench.page.locator("#caught form.inline button").first().click());
      assertThat(bench.page.locator("#caught li")).hasCount(0);
    }
  }

  @Test
  void looksGlowsRepairsMarksAndTemperaturesAreTakenBack(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.job("Fenn 20 ways back", "It drips");
      String job = bench.jobPath();
      bench.open(job + "/find?joint=radiator.core");
      bench.click("Wet");
      bench.shows("#joint-looks", "wet");
      bench.settled(() -> bench.page.locator("#joint-looks button").first().click());
      assertThat(bench.page.locator("#joint-looks li")).hasCount(0);

      bench.open(job + "/visual-check");
      bench.settled(() -> bench.page.locator("button[aria-label^='Wet: ']").first().click());
      bench.settled(() -> bench.page.locator("button[aria-label^='Undo: ']").first().click());
      assertThat(bench.page.locator("button[aria-label^='Undo: ']")).hasCount(0);

      bench.open(job + "/dye?joint=radiator.core");
      bench.fill("Size of the glow, mm", "3");
      bench.click("Glows");
      bench.unfold("What was done");
      bench.settled(() -> bench.page.locator("#dye-steps button").first().click());
      assertThat(bench.page.locator("#dye-steps li")).hasCount(0);

      bench.open(job + "/repair");
      bench.page.locator("#note").fill("Clamp at the wrong hose");
      bench.click("Save the note");
      bench.click("Undo: Clamp at the wrong hose");
      bench.shows("#bench", "Nothing is repaired yet");

      bench.open(job + "/make-safe");
      bench.fill("Thermostat housing now, °C", "28");
      bench.click("Save the reading");
      bench.unfold("Said and read");
      bench.settled(() -> bench.page.locator("#safe-log button").first().click());
      assertThat(bench.page.locator("#safe-log li")).hasCount(0);

      bench.open(job + "/level-watch");
      bench.fill("Area of the tank at the mark, cm²", "60");
      bench.fill("Coolant, °C", "18");
      bench.click("Save the mark");
      bench.settled(() -> bench.page.locator("button[aria-label^='Undo the mark']").click());
      assertThat(bench.page.locator("button[aria-label^='Undo the mark']")).hasCount(0);

      // and what was taken back is not forgotten
      bench.open(job + "/history");
      bench.shows("#bench", "Clamp at the wrong hose");
    }
  }

  @Test
  void aTemperatureThatCannotBeIsAskedBack(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.job("Fenn 20 in a hurry", "It drips");
      bench.open(bench.jobPath() + "/make-safe");
      bench.fill("Thermostat housing now, °C", "82");
      bench.click("Save the reading");
      bench.fill("Thermostat housing now, °C", "30");
      bench.click("Save the reading");
      assertThat(bench.page.locator("#coolant-problem")).isVisible();
      assertThat(bench.page.locator("#coolant")).hasValue("30");
      assertThat(bench.button("Both are right")).isVisible();
    }
  }

  @Test
  void aSessionThatEndsDuringAHoldLeadsBackToWhatWasTyped(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.page.locator("#gauge").fill("109.3");
      bench.page.locator("#gauge").blur();
      bench.page.context().clearCookies();
      bench.button("Save reading").click();
      bench.page.locator("#username").waitFor();
      bench.signIn("bench", Application.PASSWORD);
      bench.shows("h1", "Pressure test 1");
      assertThat(bench.page.locator("#gauge")).hasValue("109.3");
      bench.click("Save reading");
      bench.shows("#gauge-now", "109.3");
    }
  }

  @Test
  void aDoubleClickStoresOnce(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.page.locator("#gauge").fill("110");
      bench.settled(() -> bench.button("Save reading").dblclick());
      bench.shows("#entries summary", "1 read");
      // the same page once more, from behind: the back button and the same form again
      bench.page.locator("#gauge").fill("109");
      bench.settled(
          () ->
              bench.page.evaluate(
                  "() => { const f = document.querySelector('#pad');"
                      + " f.requestSubmit(f.querySelector('.pad-keep'));"
                      + " f.requestSubmit(f.querySelector('.pad-keep')); }"));
      bench.shows("#entries summary", "2 read");
    }
  }

  @Test
  void twoTabsBackAndReloadDoubleNothing(Application.Running application) {
    try (Bench bench = pumping(application)) {
      bench.reading("110");
      bench.click("Valve shut");
      bench.reading("109.5");
      bench.page.reload();
      bench.shows("#entries summary", "2 read");
      bench.page.goBack();
      bench.page.goForward();
      bench.open(bench.jobPath() + "/pressure-test");
      bench.shows("#entries summary", "2 read");
    }
  }

  @Test
  void aJobIsClosedAndOpenedAgainAndAnEmptyOneDiscarded(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.job("Fenn 20 to close", "It drips");
      String job = bench.jobPath();
      bench.open(job + "/hand-over");
      bench.choose("not-found");
      bench.click("Close the job");
      bench.open("/");
      assertThat(bench.page.locator(".jobs")).not().containsText("Fenn 20 to close");
      bench.open("/jobs/closed");
      bench.click("Open again: Fenn 20 to close");
      bench.open("/");
      bench.shows(".jobs", "Fenn 20 to close");

      bench.click("Start a test now");
      String unnamed = bench.jobPath();
      bench.open(unnamed + "/hand-over");
      bench.click("Discard this job");
      bench.open(unnamed + "/intake");
      bench.shows(".reads-note", "This job is discarded");
      bench.settled(() -> bench.page.locator(".reads-note button").click());
      assertThat(bench.page.locator(".reads-note")).hasCount(0);
    }
  }

  private static Bench pumping(Application.Running application) {
    Bench bench = Bench.of(application);
    bench.pumping("18 psi", "0.1 kPa");
    return bench;
  }

  private static com.microsoft.playwright.Page.LocatorOptions has(String text) {
    return new com.microsoft.playwright.Page.LocatorOptions().setHasText(text);
  }

  private static Locator.LocatorOptions hasExactly(String text) {
    return new Locator.LocatorOptions().setHasText(Pattern.compile("^\\s*" + text + "\\s*$"));
  }
}
