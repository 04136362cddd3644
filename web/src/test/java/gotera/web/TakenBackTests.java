package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** A job that is proven, and a leak that is seen after it: all pages tell the same. */
@ExtendWith(Application.class)
class TakenBackTests {
  private Http lead;
  private String job;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    job = lead.job("Corrie 12");
    database = application.bean(JdbcTemplate.class);
  }

  /** The demonstration's job stays as it was, for other tests. */
  @AfterEach
  void asItWas() {
    String look = lead.get(job + "/find?joint=" + joint()).text();
    var withdraw =
        java.util.regex.Pattern.compile("(/jobs/[^\"]+/looks/[0-9a-f-]{36}/withdraw)")
            .matcher(look);
    if (seen && withdraw.find()) {
      lead.post(withdraw.group(1), Map.of());
    }
  }

  private boolean seen;

  private String joint() {
    return database.queryForObject(
        "select joint from repair where job_id = ? and withdrawn_at is null order by written_at desc limit 1",
        String.class,
        job.replace("/jobs/", ""));
  }

  @Test
  void aFreshDripTakesProvenBackOnEveryPage() {
    assertThat(lead.get("/?q=Corrie").text()).doesNotContain("Leaks after the repair");
    Http.Answer saw =
        lead.post(
            job + "/find",
            Map.of("joint", joint(), "saw", "wet", "state", "cold-pressure", "drops", "10"));
    assertThat(saw.status()).as(saw.text()).isEqualTo(302);
    seen = true;
    for (String page : new String[] {"/?q=Corrie", job + "/find", job + "/intake"}) {
      assertThat(lead.get(page).text()).as(page).contains("Leaks after the repair");
    }
    assertThat(lead.get(job + "/find").text()).contains("leaks again; it was repaired on");
    assertThat(lead.get(job + "/re-test/proof").text())
        .contains("It leaks after the repair")
        .contains("was wet, under pressure");
    assertThat(lead.get(job + "/report").text())
        .contains("It leaks after the repair")
        .doesNotContain("no coolant is lost any more");
    lead.post(job + "/close", Map.of("ending", "proven"));
    assertThat(lead.get(job + "/hand-over").text()).contains("It leaks after the repair");
    assertThat(
            database.queryForObject(
                "select count(*) from job where id = ? and closed_at is null",
                Integer.class,
                job.replace("/jobs/", "")))
        .as("not closed as proven")
        .isEqualTo(1);
  }

  /** The vehicle comes back: the same place wet in a new job. */
  @Test
  void thePlaceThatWasRepairedInAnEarlierJobIsNamedInTheNewOne() {
    String joint = joint();
    String back = begin("Corrie 12");
    try {
      Map<String, String> wet = Map.of("joint", joint, "saw", "wet", "state", "cold-pressure");
      assertThat(lead.get(back + "/find").text()).doesNotContain("leaks again");
      assertThat(lead.post(back + "/find", wet).status()).isEqualTo(302);
      assertThat(lead.get(back + "/find").text()).contains("leaks again; it was repaired on");
    } finally {
      lead.post(back + "/close", Map.of("ending", "diagnosis-only"));
      assertThat(lead.get("/?q=Corrie").text()).as("put away again").doesNotContain(back);
    }
  }

  private String begin(String vehicle) {
    return lead.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }
}
