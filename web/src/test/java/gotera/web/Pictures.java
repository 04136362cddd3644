package gotera.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.ScreenshotOptions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Takes pictures of a running demonstration: {@code Pictures ADDRESS PASSWORD FOLDER [VIEW…]}. A
 * view is {@code name=path[@phone]}, the path starting at the front page or, after a vehicle and a
 * colon, at its job. Every main view is looked at before it is taken: the words it is taken for
 * must be on it.
 */
final class Pictures {
  private static final String SEEP = "Halde 31";
  private static final String PROVEN = "Corrie 12";
  private static final String DYED = "Skarn set 2";

  /** The hold that is running while pictures are taken, begun and discarded by this program. */
  private static final String RUNNING = "Loden 4";

  private Pictures() {}

  /**
   * A view.
   *
   * @param name of its picture
   * @param vehicle whose job it is of; empty for none
   * @param path within the job, or from the front page
   * @param words that must be on it
   */
  private record View(String name, String vehicle, String path, List<String> words) {
    static View of(String name, String vehicle, String path, String... words) {
      return new View(name, vehicle, path, List.of(words));
    }

    /** As it is written on the command line: nothing must be on it. */
    static View written(String text) {
      String[] nameAndPath = text.split("=", 2);
      String[] jobAndPath = nameAndPath[1].split(":", 2);
      boolean job = jobAndPath.length > 1 && !nameAndPath[1].startsWith("/");
      return of(nameAndPath[0], job ? jobAndPath[0] : "", job ? jobAndPath[1] : nameAndPath[1]);
    }

    boolean phone() {
      return path.endsWith("@phone");
    }
  }

  private static final List<View> MAIN =
      List.of(
          View.of("front", "", "/", "Fenn 20", SEEP, PROVEN, DYED),
          View.of("make-safe", SEEP, "make-safe", "Squeeze the upper hose"),
          View.of("visual-check", SEEP, "visual-check", "Visual check", "Thermostat housing"),
          View.of("cap", SEEP, "cap", "limit of the test", "117.2"),
          View.of("pressure-test", SEEP, "pressure-test", "Leak", "mL/min", "\u00b1", "not found"),
          View.of("pressure-test-phone", SEEP, "pressure-test@phone", "Leak", "mL/min", "\u00b1"),
          View.of("find", SEEP, "find", "Thermostat housing, joint", "not found"),
          View.of("find-phone", SEEP, "find@phone", "Find the leak site"),
          View.of("circuit", PROVEN, "circuit", "3.4 V across"),
          View.of("dye-dark-bay", DYED, "dye?dark=true&joint=pump.block-gasket", "New glow"),
          View.of("suspects", SEEP, "suspects", "Radiator, lower seam", "%"),
          View.of("guided-check-phone", DYED, "inside/gas-check@phone", "thermostat"),
          View.of("decide", SEEP, "decide", "least to expect"),
          View.of("refill", PROVEN, "refill", "hybrid", "done"),
          View.of("re-test", PROVEN, "re-test", "The computed leak rate is zero: at most", "Tight"),
          View.of("report", PROVEN, "report", PROVEN, "Tight, at most", "valve shut"),
          View.of("hand-over", PROVEN, "hand-over", "Hand over"),
          View.of("floor", "", "/floor", RUNNING, "pressure test"),
          View.of("from-afar", RUNNING, "live", "kPa"));

  /** Takes the pictures. */
  public static void main(String[] arguments) {
    String base = arguments[0];
    Path folder = Path.of(arguments[2]);
    List<View> views = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    List.of(arguments).subList(3, arguments.length).forEach(v -> views.add(View.written(v)));
    Http lead = Http.signedIn(base, "lead", arguments[1]);
    String test = views.isEmpty() ? running(lead) : "";
    if (views.isEmpty()) {
      views.addAll(MAIN);
    }
    try (Browser browser = new Browser();
        BrowserContext desk = browser.person(1280, 800);
        BrowserContext phone = browser.person(390, 844)) {
      for (BrowserContext person : List.of(desk, phone)) {
        signIn(person.newPage(), base, arguments[1]);
      }
      for (View view : views) {
        Page page = (view.phone() ? phone : desk).pages().get(0);
        page.navigate(base + address(lead, view, test));
        page.evaluate("document.fonts.ready");
        List<String> missing = missing(page, view);
        if (!missing.isEmpty()) {
          wrong.add(view.name() + ": " + missing + " not on " + page.url());
          continue;
        }
        page.screenshot(
            new ScreenshotOptions()
                .setPath(folder.resolve(view.name() + ".png"))
                .setFullPage(view.path().contains("print") || view.name().contains("full")));
      }
    } finally {
      if (!test.isEmpty()) {
        // a job with a vehicle is not put aside: it is closed
        String job = lead.job(RUNNING);
        lead.post(test + "/discard", Map.of());
        lead.post(job + "/close", Map.of("ending", "not-found", "endingNote", "for a picture"));
        if (lead.openJobs().contains(job)) {
          wrong.add(job + " is still open, and the next pictures show it");
        }
      }
    }
    if (!wrong.isEmpty()) {
      throw new AssertionError(String.join("\n", wrong));
    }
  }

  /** What must be on a picture and is not: then it is not taken. */
  private static List<String> missing(Page page, View view) {
    String text = page.innerText("body").replace('\u00a0', ' ');
    return view.words().stream().filter(w -> !text.contains(w)).toList();
  }

  /** A hold of six minutes that goes on; address of its test. */
  private static String running(Http lead) {
    Http.Begun begun = lead.begin();
    String version = lead.get(begun.job() + "/intake").find("name=\"version\" value=\"(\\d+)\"");
    lead.post(begun.job() + "/intake", Map.of("vehicle", RUNNING, "version", version));
    String readings = "/tests/" + begun.test() + "/readings";
    lead.post(readings, Map.of("gauge", "108.2 kPa", "temperature", "18.4 C"));
    lead.post("/tests/" + begun.test() + "/events", Map.of("kind", "valve-shut"));
    double gauge = 108.2;
    for (int seconds = 20; seconds <= 360; seconds += 20) {
      gauge -= 0.1 + 0.25 * Math.exp(-seconds / 90.0);
      String at = seconds / 60 + ":" + String.format("%02d", seconds % 60);
      lead.post(
          readings,
          Map.of(
              "gauge",
              String.format(java.util.Locale.ROOT, "%.1f kPa", gauge),
              "at",
              at,
              "later",
              "true"));
    }
    return "/tests/" + begun.test();
  }

  private static void signIn(Page page, String base, String password) {
    page.navigate(base + "/sign-in");
    page.fill("#username", "lead");
    page.fill("#password", password);
    page.click("text=Sign in");
    page.locator(".top").waitFor();
  }

  private static String address(Http lead, View view, String test) {
    String path = view.path().replace("@phone", "");
    if (view.vehicle().isEmpty()) {
      return path;
    }
    return view.vehicle().equals(RUNNING)
        ? test + "/" + path
        : lead.job(view.vehicle()) + "/" + path;
  }
}
