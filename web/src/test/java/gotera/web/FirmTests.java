package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;

/** What once broke a page, was stored twice, or counted though it should not. Without a browser. */
@ExtendWith(Application.class)
class FirmTests {
  private Http http;
  private Http.Begun begun;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    begun = http.begin();
    database = application.bean(JdbcTemplate.class);
  }

  @Test
  void anotherCapLowersTheLimitOfARunningTestAtOnce() {
    reading("115");
    assertThat(bench()).doesNotContain("over-limit");
    String version = http.get(begun.job() + "/cap").find("name=\"version\"[^>]*value=\"(\\d+)\"");
    Http.Answer kept =
        http.post(
            begun.job() + "/cap",
            Map.of("stamp", "0.9 bar", "unit", "bar", "seals", "good", "version", version));
    assertThat(kept.status()).as(kept.text()).isEqualTo(302);
    assertThat(bench()).contains("over-limit").contains("Never above 90.0 kPa");
  }

  @Test
  void sealedIsSealed() {
    reading("110");
    finish();
    String sealed = database.queryForObject(SEAL, String.class, begun.test());
    for (Map<String, String> entry :
        Map.of(
                "readings", Map.of("gauge", "100"),
                "events", Map.of("kind", "valve-shut"),
                "undo", Map.of("what", "reading"),
                "strokes", Map.of("stroke", "15", "count", "3", "strokeGauge", "40"),
                "caught", Map.of("place", "cylinder 3", "caughtVolume", "4", "gathered", "5"),
                "draws", Map.of("volume", "20", "before", "110", "after", "98"))
            .entrySet()
            .stream()
            .map(e -> with(e.getValue(), "_where", e.getKey()))
            .toList()) {
      Http.Answer answer = post(entry.get("_where"), entry);
      assertThat(answer.status()).as(entry.toString()).isIn(409, 422);
      assertThat(answer.text()).as(entry.toString()).contains("sealed");
    }
    assertThat(database.queryForObject(SEAL, String.class, begun.test())).isEqualTo(sealed);
    assertThat(bench()).doesNotContain("does not fit its seal").contains("110.0");
  }

  private static final String SEAL = "select seal from pressure_test where id = ?";

  @Test
  void whatIsSentTwiceIsStoredOnceAndAnEntryBelongsToItsTest() {
    String entry = UUID.randomUUID().toString();
    assertThat(post("readings", Map.of("gauge", "110", "entryId", entry)).status()).isEqualTo(302);
    Http.Answer again = post("readings", Map.of("gauge", "110", "entryId", entry));
    assertThat(again.status()).isEqualTo(302);
    assertThat(again.location()).contains(begun.test());
    assertThat(blocks(begun)).isEqualTo(1);
    Http.Begun other = http.begin();
    Http.Answer elsewhere =
        http.post("/tests/" + other.test() + "/readings", Map.of("gauge", "90", "entryId", entry));
    assertThat(elsewhere.status()).isIn(409, 422);
    assertThat(blocks(other)).isZero();
  }

  @Test
  void aTestThatCannotBeReadIsANoticeInItsPlace() {
    reading("110");
    database.update("update pressure_test set hold = '{}' where id = ?", begun.test());
    assertThat(http.get("/").status()).isEqualTo(200);
    for (String page : new String[] {"find", "cap", "hand-over", "history", "visual-check"}) {
      assertThat(http.get(begun.job() + "/" + page).status()).as(page).isEqualTo(200);
    }
    assertThat(bench()).contains("cannot be read");
    assertThat(post("undo", Map.of()).status()).isEqualTo(302);
    assertThat(blocks(begun)).as("it stays stored").isEqualTo(1);
    assertThat(post("discard", Map.of()).status()).isEqualTo(302);
    assertThat(bench()).doesNotContain("cannot be read");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "readings|gauge=110;at=600|at",
        "readings|gauge=110;at=90:00:00:00|at",
        "readings|gauge=1e300|gauge",
        "readings|gauge=-999|gauge",
        "draws|volume=1_200;before=110;after=95|volume",
        "strokes|stroke=15;count=4;strokeGauge=5000|strokeGauge",
        "caught|place=cylinder 3;caughtVolume=lots;gathered=5|caughtVolume",
      })
  void whatCannotBeOrCanBeReadTwoWaysIsAskedBackAtItsPlace(
      String form, String typed, String field) {
    reading("111");
    Map<String, String> fields = new LinkedHashMap<>();
    for (String pair : typed.replace('_', ',').split(";")) {
      fields.put(pair.split("=")[0], pair.split("=")[1]);
    }
    Http.Answer answer = post(form, fields);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("id=\"" + field + "-problem\"");
    assertThat(answer.text()).as("what was typed is kept").contains(fields.get(field));
  }

  @Test
  void twoReadingsAtOneMomentAreAskedBackWithoutAWayThatCannotHelp() {
    Map<String, String> at = Map.of("gauge", "110", "at", "0:03", "later", "true");
    assertThat(post("readings", at).status()).isEqualTo(302);
    Http.Answer again = post("readings", at);
    assertThat(again.status()).isEqualTo(422);
    assertThat(again.text())
        .contains("There is a reading at this time already")
        .doesNotContain("I write this down afterwards");
  }

  @Test
  void aCorrectionCannotHideAnotherReadingAndSomebodyFasterIsNoticed() {
    post("readings", Map.of("gauge", "110", "at", "0:02", "later", "true"));
    post("readings", Map.of("gauge", "109", "at", "0:04", "later", "true"));
    String place = http.get(begun.job() + "/pressure-test").find("/readings/([^/]+/0)/correct");
    Http.Answer hidden =
        post("readings/" + place + "/correct", Map.of("at", "0:02", "gauge", "108"));
    assertThat(hidden.status()).isEqualTo(422);
    assertThat(hidden.text()).contains("There is a reading at this time already");
    // far ahead of the clock is no question: whoever corrects does it afterwards
    Map<String, String> right = Map.of("at", "9:00", "gauge", "108");
    assertThat(post("readings/" + place + "/correct", right).status()).isEqualTo(302);
    Http.Answer late = post("readings/" + place + "/correct", right);
    assertThat(late.status()).isEqualTo(422);
    assertThat(late.text()).contains("somebody took it back or corrected it");
    // typed and shown from the same zero, the first reading
    assertThat(bench()).contains("<td>9:00</td>").contains("108.0 kPa");
  }

  @Test
  void whatWasPutAsideCanBePutBackAnyTimeLater() {
    reading("110");
    post("discard", Map.of());
    for (int reload = 0; reload < 2; reload++) {
      assertThat(bench()).contains("is discarded").contains("/tests/" + begun.test() + "/put-back");
    }
    assertThat(post("put-back", Map.of()).status()).isEqualTo(302);
    assertThat(bench()).contains("110.0").doesNotContain("is discarded");
  }

  @Test
  void anyReadingOfALongFileCanBeReached() {
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa\n");
    for (int i = 0; i < 300; i++) {
      csv.append(i * 10).append(',').append(111).append('.').append(i % 10).append('\n');
    }
    http.postFile(
        "/tests/" + begun.test() + "/trace",
        Map.of(),
        "file",
        csv.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(bench()).contains("<td>49:50</td>").doesNotContain("<td>5:00</td>");
    assertThat(http.get(begun.job() + "/pressure-test?from=5:00").text())
        .contains("<td>5:00</td>")
        .doesNotContain("<td>4:50</td>")
        .doesNotContain("<td>49:50</td>");
    assertThat(http.get(begun.job() + "/pressure-test?from=nonsense").text())
        .contains("<td>49:50</td>");
  }

  @Test
  void aStepOfAGaugeComesBackAsItWasTyped() {
    Map<String, String> setup = setup();
    setup.put("gaugeStep", "0.04 kPa");
    assertThat(post("set-up", setup).status()).isEqualTo(302);
    assertThat(http.get("/tests/" + begun.test() + "/set-up").text())
        .contains("value=\"0.04 kPa\"");
  }

  @Test
  void aStampThatMakesNoCapIsAskedBackWhereATestBegins() {
    String bench = http.post("/test-now", Map.of()).location().replaceAll("^https?://[^/]+", "");
    Map<String, String> setup = setup();
    setup.put("stamp", "1.2");
    setup.put("typedIn", "psi-litre-celsius");
    Http.Answer answer = http.post(bench, setup);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("id=\"stamp-problem\"").contains("name=\"meant\"");
  }

  @Test
  void aFileWithADecimalCommaIsRefusedWithItsLine() {
    byte[] csv = "elapsed_s,gauge_kpa\n0,110\n60,109,5\n".getBytes(StandardCharsets.UTF_8);
    Http.Answer answer = http.postFile("/tests/" + begun.test() + "/trace", Map.of(), "file", csv);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("line 3");
    assertThat(blocks(begun)).isZero();
  }

  @Test
  void equalDrawsAndABarRuleHaveAnAnswer() {
    reading("135 kPa");
    for (int i = 0; i < 2; i++) {
      post(
          "draws", Map.of("drawKind", "measuring", "volume", "20", "before", "100", "after", "90"));
    }
    post("strokes", Map.of("stroke", "15", "count", "3", "strokeGauge", "0.5 bar"));
    assertThat(bench()).contains("Pressure test");
    finish();
    assertThat(http.get("/").status()).isEqualTo(200);
    assertThat(bench()).doesNotContain("cannot be read");
  }

  /** An entry refused leaves the address of its form in the browser; a reload asks for that. */
  @Test
  void aReloadAfterARefusalShowsThePageAbove() {
    String work = begun.job() + "/repair/work";
    http.post(work + "/clock", Map.of("step", "repair"));
    http.post(work + "/clock/stop", Map.of());
    String minutes = work + http.get(work).find("/repair/work(/[0-9a-f-]{36}/minutes)");
    assertThat(http.post(minutes, Map.of("minutes", "some")).status()).isEqualTo(422);
    Http.Answer again = http.get(minutes);
    assertThat(again.status()).isEqualTo(302);
    assertThat(again.location()).endsWith(work);
  }

  @Test
  void twoClocksAtOnceAreToldApartAndNeverBreakThePage() {
    String clock = begun.job() + "/repair/work/clock";
    List<Integer> answers = new ArrayList<>();
    for (int round = 0; round < 3; round++) {
      http.post(clock, Map.of("step", "repair"));
      answers.addAll(
          IntStream.range(0, 8)
              .parallel()
              .mapToObj(i -> http.post(clock, Map.of("step", "refill")).status())
              .toList());
    }
    assertThat(answers).contains(302).isSubsetOf(302, 409);
    http.post(clock + "/stop", Map.of());
    assertThat(http.get(begun.job() + "/repair/work").text()).contains("Start the clock");
  }

  /** A second opinion of the same system, by a second test. */
  @Test
  void testsStandSideBySide() {
    assertThat(http.get(begun.job() + "/tests").text()).contains("Pressure test 1");
    String file = "elapsed_s,gauge_kpa,event\n0,110,valve-shut\n";
    StringBuilder falls = new StringBuilder(file);
    for (int i = 1; i < 40; i++) {
      falls.append(i * 30).append(',').append(110 - i * 0.25).append(",\n");
    }
    byte[] csv = falls.toString().getBytes(StandardCharsets.UTF_8);
    http.postFile("/tests/" + begun.test() + "/trace", Map.of(), "file", csv);
    finish();
    http.get(begun.job() + "/pressure-test?again=true");
    http.post(begun.job() + "/pressure-test", setup());
    String second =
        http.get(begun.job() + "/pressure-test").find("/tests/([0-9a-f-]{36})/readings");
    assertThat(second).isNotEqualTo(begun.test());
    http.postFile("/tests/" + second + "/trace", Map.of(), "file", csv);
    assertThat(http.get(begun.job() + "/tests").text())
        .contains("Pressure test 2")
        .contains("agree: ")
        .contains("bench");
  }

  @Test
  void moreThanTheSystemHoldsCannotBeDrained() {
    Http.Answer known =
        http.post("/jobs/new", Map.of("vehicle", "Sill 9", "liquid", "8 L", "version", "0"));
    assertThat(known.status()).as(known.text()).isEqualTo(302);
    String drain = known.location().replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1/repair/drain");
    Map<String, String> typed = Map.of("at", "cap.neck", "drained", "52 L", "caught", "collected");
    Http.Answer answer = http.post(drain, typed);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("id=\"drained-problem\"").contains("52 L");
    assertThat(http.post(drain, with(typed, "drained", "5.2 L")).status()).isEqualTo(302);
  }

  @Test
  void highVoltageIsSaidWhereTheLoopsAreTouched() {
    Http.Answer built =
        http.post(
            begun.job() + "/circuit",
            Map.of(
                "vehicle",
                "Lume 30",
                "typeName",
                "Lume 30 drive " + begun.test(),
                "drive",
                "electric",
                "fill",
                "tank",
                "engine",
                "inline",
                "orientation",
                "along",
                "version",
                "0"));
    assertThat(built.status()).as(built.text()).isEqualTo(302);
    for (String page :
        new String[] {"make-safe", "visual-check", "find", "fill-up", "cap", "repair"}) {
      assertThat(http.get(begun.job() + "/" + page).text()).as(page).contains("High voltage");
    }
    assertThat(http.get(begun.job() + "/make-safe").text()).doesNotContain("Thermostat housing");
    assertThat(http.get(begun.job() + "/pressure-test?again=true").text())
        .contains("name=\"loop\"");
  }

  private static Map<String, String> with(Map<String, String> fields, String key, String value) {
    Map<String, String> all = new LinkedHashMap<>(fields);
    all.put(key, value);
    return all;
  }

  private static Map<String, String> setup() {
    return new LinkedHashMap<>(
        Map.of(
            "gaugeStep", "0.1 kPa",
            "readingMode", "digital",
            "liquid", "8 L",
            "strength", "50",
            "airGap", "20",
            "gapArea", "12",
            "testerVolume", "60 mL"));
  }

  private void reading(String gauge) {
    Http.Answer answer = post("readings", Map.of("gauge", gauge, "confirmed", "true"));
    assertThat(answer.status()).as(answer.text()).isEqualTo(302);
  }

  private void finish() {
    assertThat(post("finish", Map.of("sure", "true")).status()).isEqualTo(302);
  }

  private Http.Answer post(String what, Map<String, String> fields) {
    return http.post("/tests/" + begun.test() + "/" + what, fields);
  }

  private String bench() {
    return http.get(begun.job() + "/pressure-test").text().replace('\u00a0', ' ');
  }

  private int blocks(Http.Begun of) {
    Integer count =
        database.queryForObject(
            "select count(*) from trace_block where pressure_test_id = ?",
            Integer.class,
            of.test());
    return count == null ? 0 : count;
  }
}
