package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The floor: what runs and waits, where, and who is at it. */
@ExtendWith(Application.class)
class FloorTests {
  /** The floor without what stands above every page. */
  private static String floor(Http http) {
    String page = http.get("/floor").text();
    return page.substring(page.indexOf("id=\"floor\""));
  }

  private static String card(Http http, String job) {
    String floor = floor(http);
    int at = floor.indexOf("href=\"" + job);
    assertThat(at).as("on the floor: " + job).isPositive();
    int next = floor.indexOf("floor-card", at);
    return floor.substring(at, next < 0 ? floor.length() : next);
  }

  @Test
  void aTestThatRunsStandsOnTheFloorWithWhoIsAtIt(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    bench.post("/tests/" + begun.test() + "/readings", Map.of("gauge", "91.3 kPa"));
    assertThat(card(bench, begun.job()))
        .contains("pressure test runs")
        .contains("91.3")
        .contains("floor-who\">bench");
    bench.post(floorOf(begun) + "/bay", Map.of("bay", "Bay <7>"));
    assertThat(card(bench, begun.job())).contains("Bay &lt;7&gt;");
    bench.post(floorOf(begun) + "/bay", Map.of("bay", ""));
    assertThat(card(bench, begun.job())).doesNotContain("Bay &lt;7&gt;");
    bench.post("/tests/" + begun.test() + "/finish", Map.of("sure", "true"));
    assertThat(card(bench, begun.job())).doesNotContain("pressure test runs");
  }

  private static String floorOf(Http.Begun begun) {
    return begun.job().replace("/jobs/", "/floor/");
  }

  @Test
  void whatIsDueComesFirstAndWhatWaitsLast(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun waits = bench.begin();
    bench.post("/tests/" + waits.test() + "/discard", Map.of());
    bench.post(waits.job() + "/waits", Map.of("kind", "cure", "minutes", "90"));
    Http.Begun free = bench.begin();
    bench.post("/tests/" + free.test() + "/discard", Map.of());
    String floor = floor(bench);
    int now = floor.indexOf("floor-now");
    int runs = floor.indexOf("floor-runs");
    assertThat(now).isPositive().isLessThan(runs);
    assertThat(floor.indexOf("href=\"" + free.job())).isBetween(now, runs);
    assertThat(floor.indexOf("href=\"" + waits.job())).isGreaterThan(runs);
    assertThat(card(bench, waits.job())).contains("waits:");
    String wait = bench.get(waits.job() + "/waits").find("/waits/([0-9a-f-]{36})/end");
    bench.post("/waits/" + wait + "/end", Map.of());
  }

  @Test
  void whoLooksIsToldWithinASecondOrSo(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    try (Stream<String> lines = bench.lines("/floor/changes")) {
      Iterator<String> all = lines.filter(l -> l.startsWith("data:")).iterator();
      long before = Long.parseLong(all.next().substring("data:".length()));
      bench.post("/tests/" + begun.test() + "/readings", Map.of("gauge", "80 kPa"));
      assertThat(Long.parseLong(all.next().substring("data:".length()))).isGreaterThan(before);
    }
  }

  /** A name that nobody can break is broken all the same: nothing scrolls sideways. */
  @Test
  void aLongWordKeepsToItsCard(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.job("=HYPERLINK(http://elsewhere.example/" + "x".repeat(60) + ")", "drips");
      bench.open("/floor");
      bench.shows("#floor", "elsewhere.example");
      assertThat(((Number) bench.page.evaluate("document.documentElement.scrollWidth")).intValue())
          .isLessThanOrEqualTo(1280);
    }
  }

  /** A dozen at once, each with its card. */
  @Test
  void everyTestHasItsCard(Application.Running application) {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    List<Http.Begun> begun = Stream.generate(bench::begin).limit(12).toList();
    String floor = bench.get("/floor").text();
    for (Http.Begun b : begun) {
      assertThat(floor).contains("href=\"" + b.job());
      bench.post(b.job() + "/discard", Map.of());
    }
    assertThat(floor).doesNotContain("???");
  }
}
