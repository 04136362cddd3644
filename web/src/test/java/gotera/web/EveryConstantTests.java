package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.timing.Wait;
import gotera.web.words.TestWords;
import gotera.web.words.Words;
import gotera.work.Step;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Every wait, step and thing that can be said is shown: on the front page, the floor, the waits,
 * the panel, the history and the report, each constant by its words.
 */
@ExtendWith(Application.class)
class EveryConstantTests {
  private static final Words WORDS = TestWords.words();
  private static final List<String> PAGES =
      List.of(
          "/find",
          "/make-safe",
          "/inside",
          "/dye",
          "/refill",
          "/fill-up",
          "/repair",
          "/decide",
          "/re-test/proof",
          "/report",
          "/report/file",
          "/history",
          "/suspects",
          "/hand-over");

  private static String job(Http http, String vehicle) {
    return http.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  @Test
  void everyWaitAndEveryStepAJobCanWaitForIsShown(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String job = job(http, "Ridge 5");
    String id = job.replace("/jobs/", "");
    http.get("/");
    for (Step step : Step.values()) {
      database.update("update job_summary set waits_for = ? where job_id = ?", step.word(), id);
      String words = WORDS.say("waits." + step.word());
      assertThat(http.get("/?q=Ridge+5").text()).as("front page").contains(words);
      assertThat(http.get("/floor").text()).as("the floor").contains(words);
      assertThat(http.get(job + "/" + step.word()).status()).as(step.word()).isIn(200, 302);
    }
    for (Wait.Kind kind : Wait.Kind.values()) {
      http.post(job + "/waits", Map.of("kind", kind.word(), "minutes", "90"));
      String words = WORDS.say("wait." + kind.word());
      for (String list : List.of("/floor", "/waits", job + "/intake")) {
        assertThat(http.get(list).text()).as(list).contains(words).doesNotContain("cannot be read");
      }
      database.update("update job_wait set ended_at = begun_at where job_id = ?", id);
      database.update("update shop_change set seq = seq + 1");
    }
  }

  @Test
  void everythingThatCanBeSaidIsTold(Application.Running application) throws IOException {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String job = job(http, "Ridge 6");
    List<String> rows;
    try (var lines = Files.lines(Path.of("src/test/resources/gotera/web/finding/rows.csv"))) {
      rows = lines.filter(l -> !l.startsWith("#")).toList();
    }
    for (String row : rows) {
      write(database, job.replace("/jobs/", ""), row.split(";", -1));
    }
    String history = http.get(job + "/history").text();
    for (String row : rows) {
      String[] cells = row.split(";", -1);
      assertThat(history)
          .as(row)
          .contains(WORDS.say("check." + cells[1]))
          .contains(WORDS.say(cells[1] + ".saw." + cells[3]));
    }
    assertThat(history).doesNotContain("cannot be read");
    for (String page : PAGES) {
      Http.Answer answer = http.get(job + page);
      assertThat(answer.status()).as(page).isEqualTo(200);
      assertThat(answer.text()).as(page).doesNotContain("cannot be read");
    }
  }

  /** A row of the golden file as it stands in the database. */
  private static void write(JdbcTemplate database, String job, String[] cells) {
    String id = UUID.randomUUID().toString();
    database.update(
        "insert into finding (id, job_id, check_word, subject, saw, note, written_at, written_by)"
            + " values (?, ?, ?, ?, ?, ?, utc_timestamp(6), 'bench')",
        id,
        job,
        cells[1],
        cells[2],
        cells[3],
        cells[6]);
    Map<String, String> columns =
        Map.ofEntries(
            Map.entry("MILLILITRES", "volume_ml"),
            Map.entry("STRENGTH", "strength"),
            Map.entry("CELSIUS", "celsius"),
            Map.entry("AMBIENT_CELSIUS", "ambient_celsius"),
            Map.entry("MINUTES", "minutes"),
            Map.entry("MILLIMETRES", "size_mm"),
            Map.entry("LOWER_CELSIUS", "lower_celsius"),
            Map.entry("SQUARE_CENTIMETRES", "area_cm2"),
            Map.entry("KILOPASCALS", "gauge_kpa"),
            Map.entry("COUNT", "counted"),
            Map.entry("thermostat", "thermostat_open"),
            Map.entry("heater", "heater_on"));
    for (String measure : cells[4].isEmpty() ? new String[0] : cells[4].split(" ")) {
      String[] pair = measure.split("=");
      String value = pair[1].equals("true") ? "1" : pair[1].equals("false") ? "0" : pair[1];
      database.update(
          "update finding set " + columns.get(pair[0]) + " = ? where id = ?", value, id);
    }
    for (String unmet : cells[5].isEmpty() ? new String[0] : cells[5].split(" ")) {
      database.update("insert into finding_unmet (finding_id, unmet) values (?, ?)", id, unmet);
    }
  }
}
