package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** The lists of open and closed jobs: what a row says, what is found, page by page. */
@ExtendWith(Application.class)
class JobListTests {
  private Http http;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    database = application.bean(JdbcTemplate.class);
  }

  private String begin(String vehicle, String complaint) {
    return http.post(
            "/jobs/new", Map.of("vehicle", vehicle, "complaint", complaint, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private String found(String words) {
    return http.get("/?q=" + words).text();
  }

  @Test
  void whatARowSaysFollowsWhateverIsWritten() {
    String vehicle = "Row" + UUID.randomUUID().toString().substring(0, 8);
    String job = begin(vehicle, "Loses it on the pass");
    assertThat(found(vehicle)).contains("Loses it on the pass").contains("nothing measured yet");
    http.post(job + "/waits", Map.of("kind", "soak", "minutes", "60", "back", "find"));
    assertThat(found(vehicle)).contains("Waits until");
    String other = begin("Beside " + vehicle, "waits too");
    http.post(other + "/waits", Map.of("kind", "soak", "minutes", "30", "back", "find"));
    end(job, vehicle);
    assertThat(row(job)).doesNotContain("Waits until");
    assertThat(row(other)).contains("Waits until");
    end(other, "Beside " + vehicle);
    database.update(
        "update job_summary set headline = 'forged', shape = '<svg></svg>' where job_id = ?",
        job.replace("/jobs/", ""));
    assertThat(found(vehicle)).as("it is kept").contains("forged");
    http.post(job + "/steps/cap/skip", Map.of());
    assertThat(found(vehicle)).as("until something is written").doesNotContain("forged");
  }

  /** Ends the wait of a vehicle; waits of everybody stand on the page. */
  private void end(String job, String vehicle) {
    String wait =
        http.get(job + "/waits")
            .find(
                "(?s)/waits/([0-9a-f-]{36})/end\"(?=(?:(?!</form>).)*aria-label=\"End: [^\"]*, "
                    + vehicle
                    + "\")");
    assertThat(http.post("/waits/" + wait + "/end", Map.of()).status()).isEqualTo(302);
  }

  /** What the list says of a job. */
  private String row(String job) {
    return http.get("/?q=Row").find("(?s)<a href=\"" + job + "/(.*?)</a>");
  }

  /** A list of kept rows asks for nothing but itself. */
  @Test
  void aListOfKeptRowsIsFewStatements() {
    String vehicle = "Many" + UUID.randomUUID().toString().substring(0, 8);
    for (int i = 0; i < 12; i++) {
      begin(vehicle + " " + i, "It drips");
    }
    found(vehicle);
    long before = statements();
    assertThat(found(vehicle)).contains(vehicle + " 11");
    // the session, the account, and the list, whatever its length; others' tests run beside none
    assertThat(statements() - before).isLessThan(20);
  }

  private long statements() {
    Map<String, Object> row =
        database.queryForMap("show global status where variable_name = 'Com_select'");
    return Long.parseLong(row.get("Value").toString());
  }

  @Test
  void aJobIsFoundByEachOfItsWords() {
    String vehicle = "Tavel" + UUID.randomUUID().toString().substring(0, 8);
    String job = begin(vehicle, "puddle beneath the left wheel at 57319 km");
    for (String words : new String[] {"", "+puddle", "+LEFT+wheel", "+" + java.time.Year.now()}) {
      assertThat(found(vehicle + words)).as(words).contains(job);
    }
    assertThat(found(vehicle + "+engine")).contains("Nothing found for").doesNotContain(job);
    for (String odd : new String[] {"%25", "_", "%5C", "'", "%27+or+1=1", "%00"}) {
      assertThat(found(vehicle + "+" + odd)).as(odd).doesNotContain(job).contains("Nothing found");
    }
    http.post(job + "/repair", Map.of("joint", "pump.gasket", "note", "new"));
    assertThat(found(vehicle + "+gasket")).as("a place").contains(job);
    http.post(job + "/close", Map.of("ending", "not-found", "endingNote", "rusty"));
    assertThat(found(vehicle)).doesNotContain(job);
    assertThat(closed(vehicle + "+rusty")).contains(job).contains("not found");
    String today = LocalDate.now(ZoneOffset.UTC).toString();
    String lower = vehicle.toLowerCase(Locale.ROOT);
    for (String words :
        new String[] {
          "+pudd",
          "+GASKET",
          "+not",
          "+57319",
          "+573",
          "+" + java.time.Year.now(),
          "+left+wheel",
          "+" + today,
          "+" + today.substring(0, 7)
        }) {
      assertThat(closed(vehicle + words)).as(words).contains(job);
      assertThat(closed(lower + words)).as(lower + words).contains(job);
    }
    for (String odd :
        new String[] {
          "engine", "2019-13", "2019-02-31", "%2Brusty*x", "(", "1990-01-01", "%22@%22"
        }) {
      assertThat(closed(vehicle + "+" + odd)).as(odd).doesNotContain(job).contains("Nothing found");
    }
  }

  private String closed(String words) {
    return http.get("/jobs/closed?q=" + words).text();
  }

  @Test
  void manyJobsComePageByPage() {
    String vehicle = "Page" + UUID.randomUUID().toString().substring(0, 8);
    String first = begin(vehicle, "the first");
    for (int i = 0; i < 50; i++) {
      begin(vehicle, "one of many");
    }
    assertThat(found(vehicle)).contains("Older").doesNotContain("Newer").doesNotContain(first);
    assertThat(found(vehicle + "&page=2")).contains("Newer").contains(first);
    assertThat(found(vehicle + "&page=3")).contains("Newer").doesNotContain(vehicle + "</b>");
    assertThat(found(vehicle + "&page=-1")).contains("one of many");
    assertThat(http.openJobs()).contains(first);
  }
}
