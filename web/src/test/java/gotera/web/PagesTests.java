package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * One walk over every page, looked at once for all that every page owes: axe finds nothing, every
 * control is reached by the Tab key, nothing scrolls sideways and every target is large enough, on
 * a desk and on a small phone.
 */
@ExtendWith(Application.class)
class PagesTests {
  private static final List<String> STEPS =
      List.of(
          "intake",
          "make-safe",
          "visual-check",
          "visual-check?state=pressure",
          "fill-up",
          "cap",
          "pressure-test",
          "find",
          "find?joint=radiator.core",
          "find?dark=true&joint=radiator.core",
          "circuit",
          "circuit?preset=flat-along",
          "dye?joint=radiator.core",
          "dye?dark=true&joint=radiator.core",
          "waits",
          "inside",
          "inside/gas-check",
          "inside/gas-check/colour",
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

  private static final List<String> OTHERS =
      List.of(
          "/",
          "/jobs/new",
          "/jobs/none",
          "/jobs/closed",
          "/account",
          "/accounts",
          "/phone",
          "/waits",
          "/tools?stamp=1.1+bar&opening=0.8+bar&strength=40&capacity=8+L",
          "/tools/plan",
          "/tools/plan?pressure=100&gaugeStep=0.2&interval=30&air=80&hose=0.3&warmth=overnight&liquid=8+L&strength=50&drift=0",
          "/workshop",
          "/letterhead",
          "/prices",
          "/account/second-factor",
          "/equipment",
          "/equipment/new?kind=tester");

  /** Papers: what is on them is printed, and is as small as print. */
  private static final List<String> PAPERS = List.of("report", "report/file", "refill/label");

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

  /** What was left of a template, and single keys that two things on the page want. */
  private static final String LEFT_OVER =
      """
      () => {
        const left = [...document.querySelectorAll('*')].flatMap((e) => [...e.attributes])
          .filter((a) => a.name.startsWith('th:') || a.value.includes('${') || a.value.startsWith('|'))
          .map((a) => a.name + '=' + a.value);
        const keys = [...document.querySelectorAll('[data-key]')]
          .filter((e) => e.offsetParent !== null).map((e) => e.dataset.key);
        return left.concat(keys.filter((k, i) => keys.indexOf(k) !== i).map((k) => 'twice: ' + k))
          .slice(0, 5);
      }""";

  /** Marks what the Tab key comes to, and says how many controls there are. */
  private static final String WATCH_TAB =
      """
      () => {
        window.controls = [...document.querySelectorAll('a[href], button, input, select, textarea, summary')]
          .filter((e) => !e.disabled && e.type !== 'hidden' && e.getClientRects().length > 0
              && getComputedStyle(e).visibility !== 'hidden' && e.type !== 'file');
        window.came = new Set();
        document.addEventListener('focusin', (e) => window.came.add(e.target));
        document.activeElement.blur();
        return window.controls.length;
      }""";

  /** Controls that the Tab key did not come to; of radio buttons one of a group is enough. */
  private static final String NOT_REACHED =
      """
      () => {
        const groups = new Set([...window.came].filter((e) => e.type === 'radio').map((e) => e.name));
        return window.controls
          .filter((e) => !window.came.has(e) && !(e.type === 'radio' && groups.has(e.name)))
          .map((e) => e.outerHTML.slice(0, 120)).slice(0, 5);
      }""";

  @Test
  void everyPageIsReachedReadAndPressedByEverybody(Application.Running application) {
    try (Bench bench = Bench.of(application, "lead")) {
      List<String> paths = new ArrayList<>(OTHERS);
      String job = bench.demoJob("Corrie 12");
      STEPS.forEach(s -> paths.add(job + "/" + s));
      paths.addAll(bench.apart(job));
      paths.add(fileOfAnotherWorkshop(bench));
      bench.open(job + "/waits");
      bench.fill("Minutes", "90");
      bench.click("Begin");
      bench.counts(".wait", 1);
      for (String path : paths) {
        bench.page.setViewportSize(1280, 800);
        bench.open(path);
        bench.page.evaluate("document.querySelectorAll('details').forEach(d => d.open = true)");
        assertThat((List<?>) bench.page.evaluate(LEFT_OVER)).as(path).isEmpty();
        axe(bench, path);
        reached(bench, path);
        boolean paper = PAPERS.stream().anyMatch(p -> path.equals(job + "/" + p));
        for (int width : new int[] {1280, 320}) {
          bench.page.setViewportSize(width, 800);
          if (!paper) {
            fits(bench, path, width);
          }
        }
      }
      bench.page.setViewportSize(1280, 800);
      bench.open("/");
      bench.endWait("Corrie 12");
    }
  }

  /** A job file that waits to be taken in; its names are known here. */
  private static String fileOfAnotherWorkshop(Bench bench) {
    try (var zip = PagesTests.class.getResourceAsStream("archive/three-corrie-12.zip")) {
      bench.open("/jobs/closed");
      bench.page.setInputFiles(
          "#jobFile", new FilePayload("job.zip", "application/zip", zip.readAllBytes()));
      bench.click("Look at it");
      bench.shows("h1", "A job of another workshop");
      return bench.page.url().replaceAll("^https?://[^/]+", "");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void axe(Bench bench, String where) {
    AxeResults results = new AxeBuilder(bench.page).setLegacyMode(true).analyze();
    assertThat(results.getPasses()).as("axe looked at " + where).isNotEmpty();
    assertThat(results.getViolations())
        .as(where)
        .extracting(r -> r.getId() + ": " + r.getHelp() + " " + r.getNodes().get(0).getHtml())
        .isEmpty();
  }

  /** Tab comes round by way of the page itself, wherever a script had put the focus. */
  private static final int SPARE = 8;

  private static void reached(Bench bench, String where) {
    int controls = ((Number) bench.page.evaluate(WATCH_TAB)).intValue();
    for (int i = 0; i < controls + SPARE; i++) {
      bench.page.keyboard().press("Tab");
    }
    assertThat((List<?>) bench.page.evaluate(NOT_REACHED)).as("by Tab, " + where).isEmpty();
  }

  private static void fits(Bench bench, String path, int width) {
    assertThat(bench.page.evaluate("document.compatMode")).as(path).isEqualTo("CSS1Compat");
    assertThat(((Number) bench.page.evaluate("document.documentElement.scrollWidth")).intValue())
        .as("%s at %d px", path, width)
        .isLessThanOrEqualTo(width);
    assertThat((List<?>) bench.page.evaluate(SMALL)).as("%s at %d px", path, width).isEmpty();
  }
}
