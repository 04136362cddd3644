package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** A hold that is written down afterwards: it happened before, and stands in nobody's way. */
@ExtendWith(Application.class)
class WrittenAfterwardsTests {
  private Http here;
  private Http.Begun begun;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    begun = here.begin();
    database = application.bean(JdbcTemplate.class);
  }

  private void typed(String at, String gauge) {
    Map<String, String> reading = Map.of("at", at, "gauge", gauge + " kPa", "later", "true");
    assertThat(here.post("/tests/" + begun.test() + "/readings", reading).status()).isEqualTo(302);
  }

  private Instant started() {
    return database
        .queryForObject(
            "select started_at from pressure_test where id = ?",
            java.time.LocalDateTime.class,
            begun.test())
        .toInstant(java.time.ZoneOffset.UTC);
  }

  @Test
  void itBeganSoMuchEarlier() {
    typed("0:00", "110");
    typed("20:00", "104");
    assertThat(started()).isBefore(Instant.now().minus(Duration.ofMinutes(19)));
    typed("10:00", "107");
    assertThat(started()).isAfter(Instant.now().minus(Duration.ofMinutes(25)));
  }

  @Test
  void letOffIsHeardAtOnceAndHotIsSaidBesidePressure() {
    typed("0:00", "110");
    typed("20:00", "104");
    here.post(begun.job() + "/make-safe/temperature", Map.of("coolant", "48 °C"));
    assertThat(here.get(begun.job() + "/make-safe").text())
        .contains("The gauge shows pressure")
        .contains("still about 48 °C");
    here.post(begun.job() + "/make-safe", Map.of("saw", "vented"));
    assertThat(here.get(begun.job() + "/make-safe").text())
        .doesNotContain("The gauge shows pressure")
        .contains("Still 48 °C");
    here.post("/tests/" + begun.test() + "/finish", Map.of("sure", "true"));
    here.post(begun.job() + "/make-safe/temperature", Map.of("coolant", "24 °C", "sure", "true"));
    here.post(begun.job() + "/make-safe", Map.of("saw", "soft"));
    assertThat(here.get(begun.job() + "/make-safe").text()).contains("may be opened until");
  }

  private Http.Answer wet(String day, String time) {
    return here.post(
        begun.job() + "/find",
        Map.of(
            "joint", "upper-hose.radiator-end",
            "saw", "wet",
            "state", "cold-pressure",
            "happenedOn", day,
            "happenedTime", time));
  }

  /** Repair and looks in the wrong order of writing: what counts is when they happened. */
  @Test
  void whatHappenedBeforeTheRepairLeaksNotAfterIt() {
    String day = LocalDate.now().minusDays(1).toString();
    Map<String, String> repair =
        Map.of(
            "joint", "upper-hose.radiator-end",
            "note", "New clamp",
            "happenedOn", day,
            "happenedTime", "12:00");
    assertThat(here.post(begun.job() + "/repair", repair).status()).isEqualTo(302);
    assertThat(wet(day, "10:00").status()).isEqualTo(302);
    assertThat(here.get(begun.job() + "/find").text())
        .doesNotContain("Leaks after the repair")
        .contains("Prove the repair");
    assertThat(wet(day, "14:00").status()).isEqualTo(302);
    assertThat(here.get(begun.job() + "/find").text())
        .contains("Leaks after the repair")
        .contains("leaks again; it was repaired on");
    assertThat(here.get(begun.job() + "/history").text()).contains("when it happened");
  }

  @Test
  void whatHasNotComeYetIsRefusedAndKept() {
    String tomorrow = LocalDate.now().plusDays(2).toString();
    Http.Answer refused = wet(tomorrow, "");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("has not come yet").contains(tomorrow);
    Http.Answer typo = wet("2026-13-40", "");
    assertThat(typo.status()).isEqualTo(422);
    assertThat(typo.text()).contains("not a valid date");
  }
}
