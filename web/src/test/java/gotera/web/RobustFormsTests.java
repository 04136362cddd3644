package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Hostile;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Somebody who fills in every form of every page with slips and worse, in any order. Nothing is
 * answered by an error of the server, each refusal names its place, and afterwards every page of
 * the job and the front page open. {@code bench/robustness SEED MINUTES} runs it for longer.
 */
@ExtendWith(Application.class)
class RobustFormsTests {
  private static final long SEED = Long.getLong("robustness.seed", 1);
  private static final Duration LONGEST = Duration.ofMinutes(Long.getLong("robustness.minutes", 0));
  private static final int WALKS = 3;
  private static final int STEPS = 40;

  /** Pages of a job; most entries belong to its tests. */
  private static final List<String> PAGES =
      List.of(
          "pressure-test",
          "pressure-test",
          "pressure-test",
          "re-test",
          "pressure-test/plan",
          "pressure-test?again=true",
          "intake",
          "make-safe",
          "cap",
          "visual-check",
          "find",
          "find?joint=radiator.core",
          "dye",
          "fill-up",
          "level-watch",
          "repair?joint=pump.gasket",
          "repair/strip",
          "repair/ring",
          "repair/work",
          "repair/drain",
          "re-test/proof",
          "refill",
          "decide",
          "circuit",
          "hand-over",
          "inside",
          "history");

  private static final List<String> ELSEWHERE =
      List.of("/jobs/new", "/equipment/new", "/equipment", "/waits", "/account");

  /** What would end the walk or shut others out. */
  private static final List<String> LEFT_ALONE =
      List.of("/account/password", "/sign-out", "/account/sign-out-elsewhere", "/accounts");

  /** What somebody who means well types into a field of this name. */
  private static final Map<String, List<String>> USUAL =
      Map.ofEntries(
          Map.entry("gauge", List.of("110", "109.6", "108", "0", "16 psi", "0.3 bar")),
          Map.entry("temperature", List.of("", "18", "18.4", "64 F", "90")),
          Map.entry("at", List.of("", "", "0:30", "1:00", "2:00", "5:00", "10:00", "-1:00")),
          Map.entry("stamp", List.of("1.1 bar", "16 psi", "110 kPa", "1.2")),
          Map.entry("gaugeStep", List.of("0.1 kPa", "0.5 psi", "2 kPa")),
          Map.entry("liquid", List.of("8 L", "2 gal")),
          Map.entry("volume", List.of("20 mL", "5", "0.6 oz")),
          Map.entry("before", List.of("110", "108", "135")),
          Map.entry("after", List.of("95", "90", "108")),
          Map.entry("altitude", List.of("", "900")),
          Map.entry("vehicle", List.of("Corva 24", "")),
          Map.entry("place", List.of("cylinder 3", "")));

  @Test
  void noEntryBreaksAPage(Application.Running application) {
    Instant end = Instant.now().plus(LONGEST);
    int posts = 0;
    for (long i = 0; i < WALKS || Instant.now().isBefore(end); i++) {
      long seed = 7_919 * SEED + i;
      Walk walk = new Walk(application, new Random(seed), "seed " + seed);
      walk.go();
      posts += walk.posts;
    }
    System.out.printf("robustness: %d forms sent from seed %d%n", posts, SEED);
    assertThat(posts).as("forms sent").isGreaterThan(WALKS * STEPS / 2);
  }

  @Test
  void noAddressBreaksAnything(Application.Running application) {
    Http http = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    Http.Begun begun = http.begin();
    List<String> addresses = new ArrayList<>();
    for (String odd :
        List.of(
            "x", "%00", "null", "..%2f..", "1e308", "%F0%9F%9A%97", UUID.randomUUID().toString())) {
      addresses.add("/jobs/" + odd + "/intake");
      addresses.add("/jobs/" + odd + "/pressure-test");
      addresses.add("/equipment/" + odd);
      addresses.add(begun.job() + "/" + odd);
      addresses.add(begun.job() + "/pressure-test?test=" + odd);
      addresses.add(begun.job() + "/find?joint=" + odd);
      addresses.add(begun.job() + "/visual-check?state=" + odd + "&joint=" + odd);
      addresses.add(begun.job() + "/circuit?preset=" + odd);
      addresses.add("/tests/" + odd + "/set-up");
      addresses.add("/photos/" + odd);
      addresses.add("/report/" + odd);
    }
    for (String address : addresses) {
      Http.Answer answer = http.get(address);
      assertThat(answer.status()).as(address).isBetween(200, 499);
      assertThat(answer.text()).as(address).doesNotContain("Exception");
    }
    for (String what :
        List.of(
            "readings",
            "events",
            "draws",
            "strokes",
            "window",
            "caught",
            "answers",
            "undo",
            "finish")) {
      for (String odd : List.of("", "\u0000", "NaN", "-1e308", "9".repeat(3000))) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String name :
            List.of(
                "gauge",
                "at",
                "temperature",
                "step",
                "kind",
                "volume",
                "before",
                "after",
                "count",
                "strokeGauge",
                "from",
                "to",
                "place",
                "answer",
                "what",
                "entryId",
                "typedIn")) {
          fields.put(name, odd);
        }
        Http.Answer answer = http.post("/tests/" + begun.test() + "/" + what, fields);
        assertThat(answer.status()).as("%s with “%s”", what, odd).isBetween(200, 499);
      }
    }
    assertThat(http.get(begun.job() + "/pressure-test").status()).isEqualTo(200);
  }

  /** One job, from its beginning through many forms. */
  private static final class Walk {
    private final Http http;
    private final Random random;
    private final String name;
    private final String job;
    private final List<String> trail = new ArrayList<>();
    private int posts;

    Walk(Application.Running application, Random random, String name) {
      this.http = Http.signedIn(application.address(), "lead", Application.PASSWORD);
      this.random = random;
      this.name = name;
      this.job = http.begin().job();
    }

    void go() {
      for (int i = 0; i < STEPS; i++) {
        String page = random.nextInt(12) == 0 ? one(ELSEWHERE) : job + "/" + one(PAGES);
        Http.Answer answer = http.get(page);
        fine(answer, "GET " + page);
        if (answer.status() != 200) {
          continue;
        }
        // an answer is a page again: what is wrong on it is filled in once more
        Document shown = Jsoup.parse(answer.text());
        for (int again = 0; again < 3 && shown != null; again++) {
          shown = send(shown, page);
        }
      }
      for (String page : PAGES) {
        Http.Answer answer = http.get(job + "/" + page);
        fine(answer, "at last GET " + page);
        assertThat(answer.status()).as(place("at last " + page)).isIn(200, 302, 404);
        assertThat(answer.text()).as(place(page)).doesNotContain("cannot be read");
      }
      assertThat(http.get("/").status()).as(place("front")).isEqualTo(200);
    }

    private Document send(Document page, String address) {
      List<Element> forms = new ArrayList<>();
      for (Element form : page.select("form[method=post]")) {
        if (LEFT_ALONE.stream().noneMatch(form.attr("action")::startsWith)) {
          forms.add(form);
        }
      }
      if (forms.isEmpty()) {
        return null;
      }
      Element form = one(forms);
      Map<String, String> fields = fields(form);
      String action = form.attr("action");
      List<Element> buttons = form.select("button:not([type=button])");
      if (!buttons.isEmpty()) {
        Element button = one(buttons);
        if (!button.attr("name").isEmpty()) {
          fields.put(button.attr("name"), button.attr("value"));
        }
        if (!button.attr("formaction").isEmpty()) {
          action = button.attr("formaction");
        }
      }
      action = action.isEmpty() ? address : action;
      boolean file = form.attr("enctype").equals("multipart/form-data");
      Http.Answer answer =
          file
              ? http.postFile(action, fields, fileField(form), content())
              : http.post(action, fields);
      posts++;
      String what = "POST " + action + " " + shortened(fields);
      trail.add(what);
      fine(answer, what);
      if (answer.status() == 302) {
        fine(http.get(answer.location()), "after " + what);
        return null;
      }
      Document again = Jsoup.parse(answer.text());
      if (answer.status() == 200 || answer.status() == 422) {
        assertThat(
                again.select(
                    "[aria-invalid=true], .wrong, .problem, [role=alert], .sheet, .note, [id$=-problem]"))
            .as(place("a refusal names its place: " + what))
            .isNotEmpty();
      }
      return again;
    }

    private Map<String, String> fields(Element form) {
      Map<String, String> fields = new LinkedHashMap<>();
      for (Element field : form.select("input, select, textarea")) {
        String key = field.attr("name");
        String type = field.attr("type");
        if (key.isEmpty() || type.equals("file")) {
          continue;
        }
        if (type.equals("hidden")) {
          fields.put(
              key,
              random.nextInt(40) == 0 && !key.equals("_csrf") ? Hostile.text(random) : field.val());
        } else if (type.equals("radio") || type.equals("checkbox")) {
          if (field.hasAttr("checked") || random.nextInt(3) == 0) {
            fields.put(key, random.nextInt(60) == 0 ? Hostile.text(random) : field.val());
          }
        } else if (field.tagName().equals("select")) {
          List<Element> options = field.select("option");
          fields.put(key, options.isEmpty() ? "" : one(options).val());
        } else {
          fields.put(
              key, typed(key, field.tagName().equals("textarea") ? field.text() : field.val()));
        }
      }
      return fields;
    }

    private String typed(String key, String stands) {
      return switch (random.nextInt(10)) {
        case 0, 1 -> Hostile.text(random);
        case 2 -> Hostile.number(random);
        case 3, 4, 5 -> one(USUAL.getOrDefault(key, List.of(stands, "5", "12.5", "a word")));
        default -> stands.isEmpty() ? one(USUAL.getOrDefault(key, List.of(""))) : stands;
      };
    }

    private static String fileField(Element form) {
      return form.select("input[type=file]").attr("name");
    }

    private byte[] content() {
      StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,event\n0,110,valve-shut\n");
      int rows = random.nextInt(60);
      for (int i = 1; i <= rows; i++) {
        csv.append(i * 10)
            .append(',')
            .append(
                random.nextInt(300) == 0
                    ? Hostile.text(random)
                    : String.format(java.util.Locale.ROOT, "%.1f", 110 - 0.1 * i))
            .append(",\n");
      }
      return csv.toString().getBytes(StandardCharsets.UTF_8);
    }

    private void fine(Http.Answer answer, String what) {
      assertThat(answer.status()).as(place(what)).isBetween(200, 499).isNotIn(429, 403);
      assertThat(answer.text())
          .as(place(what))
          .doesNotContain("Exception")
          .doesNotContain("\tat ")
          .doesNotContain("Whitelabel");
    }

    private String place(String what) {
      int from = Math.max(0, trail.size() - 12);
      return name
          + ": "
          + what
          + "\nafter "
          + String.join("\n  ", trail.subList(from, trail.size()));
    }

    private static String shortened(Map<String, String> fields) {
      Map<String, String> shown = new LinkedHashMap<>(fields);
      shown.remove("_csrf");
      shown.replaceAll((k, v) -> v.length() > 40 ? v.substring(0, 40) + "…" : v);
      return shown.toString();
    }

    private <T> T one(List<T> of) {
      return of.get(random.nextInt(of.size()));
    }
  }
}
