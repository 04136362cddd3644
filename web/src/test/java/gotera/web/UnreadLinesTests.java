package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** Rows whose words no version has written are told where they stand, and taken for nothing. */
@ExtendWith(Application.class)
class UnreadLinesTests {

  @Test
  void aLineThatNobodyCanReadIsTakenForNothing(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = job(http, "Tarn 7, unread");
    http.post(job + "/make-safe", Map.of("saw", "soft"));
    http.post(job + "/make-safe/temperature", Map.of("coolant", "18 C", "room", "18 C"));
    assertThat(http.get(job + "/make-safe").text()).contains("may be opened");
    write(application, job, "safe", "soft-ish", "");
    write(application, job, "dye", "shimmers", "radiator.core");
    assertThat(http.get(job + "/make-safe").text())
        .contains("2 lines of this job’s log cannot be read")
        .doesNotContain("may be opened");
    assertThat(http.get(job + "/dye").text())
        .contains("not scanned")
        .doesNotContain("dark under the lamp");
    assertThat(http.get(job + "/history").text())
        .contains("cannot be read, kept as it is: dye shimmers radiator.core");
    assertThat(
            application
                .bean(io.micrometer.core.instrument.MeterRegistry.class)
                .get("gotera.findings.unread")
                .gauge()
                .value())
        .isGreaterThanOrEqualTo(2);
  }

  /** A job that waits for any step stands on the floor and in the list; so does one that is bad. */
  @Test
  void oneBadJobIsANoticeInItsPlaceOnEveryList(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String job = job(http, "Tarn 8, bad");
    job(http, "Tarn 9, good");
    String id = job.replace("/jobs/", "");
    http.get("/");
    database.update(
        "insert into job_wait (id, job_id, kind, note, begun_at, due_at, begun_by, version) values"
            + " (?, ?, 'soak', '', utc_timestamp(6) + interval 1 hour, utc_timestamp(6), 'bench', 0)",
        UUID.randomUUID().toString(),
        id);
    database.update("update shop_change set seq = seq + 1");
    try {
      for (String list : new String[] {"/", "/floor", "/waits"}) {
        Http.Answer page = http.get(list);
        assertThat(page.status()).as(list).isEqualTo(200);
        assertThat(page.text()).as(list).contains("cannot be read");
      }
      assertThat(http.get("/floor").text()).contains("Tarn 8, bad").contains("Tarn 9, good");
      assertThat(http.get(job + "/intake").status()).isEqualTo(200);
    } finally {
      database.update("delete from job_wait where job_id = ?", id);
      database.update("update shop_change set seq = seq + 1");
    }
  }

  private static String job(Http http, String vehicle) {
    return http.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private static void write(
      Application.Running application, String job, String check, String saw, String subject) {
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String id = job.replace("/jobs/", "");
    database.update("update job_change set seq = seq + 1 where job_id = ?", id);
    database.update(
        "insert into finding (id, job_id, check_word, saw, subject, note, written_at, written_by)"
            + " values (?, ?, ?, ?, ?, '', utc_timestamp(6), 'bench')",
        UUID.randomUUID().toString(),
        id,
        check,
        saw,
        subject);
  }
}
