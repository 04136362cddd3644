package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** Vehicles whose names only look alike are not merged silently. */
@ExtendWith(Application.class)
class AlikeVehiclesTests {
  private Http http;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    database = application.bean(JdbcTemplate.class);
  }

  private Http.Answer begin(String vehicle, String is) {
    Map<String, String> typed = new HashMap<>();
    typed.put("vehicle", vehicle);
    typed.put("vehicleIs", is);
    typed.put("complaint", "kept " + vehicle);
    typed.put("version", "0");
    return http.post("/jobs/new", typed);
  }

  private int vehicles(String like) {
    Integer found =
        database.queryForObject(
            "select count(*) from vehicle where name collate utf8mb4_unicode_ci = ?",
            Integer.class,
            like);
    return found == null ? 0 : found;
  }

  @Test
  void whoTypesANameThatLooksLikeAnothersIsAsked() {
    for (List<String> pair :
        List.of(
            List.of("Fäller 3", "Faller 3"),
            List.of("Gross 7", "Groß 7"),
            List.of("Bus \uD83D\uDE8C", "Bus \uD83D\uDE90"),
            List.of("Sorn 9", "sorn 9"))) {
      assertThat(begin(pair.get(0), "").status()).isEqualTo(302);
      Http.Answer asked = begin(pair.get(1), "");
      assertThat(asked.status()).as(pair.get(1)).isEqualTo(422);
      assertThat(asked.text())
          .contains("There is “" + pair.get(0) + "” already")
          .contains("the same as " + pair.get(0))
          .contains("kept " + pair.get(1));
      assertThat(begin(pair.get(1), "elsewhere").status()).as("no answer to it").isEqualTo(422);
      assertThat(begin(pair.get(1), pair.get(0)).status()).isEqualTo(302);
      assertThat(vehicles(pair.get(0))).as("the same").isEqualTo(1);
      assertThat(begin(pair.get(1), "another").status()).isEqualTo(302);
      assertThat(vehicles(pair.get(0))).as("another").isEqualTo(2);
      assertThat(begin(pair.get(1), "").status()).as("known by now").isEqualTo(302);
      assertThat(vehicles(pair.get(0))).isEqualTo(2);
    }
    assertThat(http.get("/?q=SORN").text()).as("search minds no case").contains("Sorn 9");
  }

  @Test
  void aTestWithoutAJobIsNotNamedByMistakeEither() {
    begin("Tolva 1", "");
    String job = http.begin().job();
    Map<String, String> built =
        Map.of("vehicle", "tolva 1", "typeName", "2.0 tolva", "version", "-1");
    assertThat(http.post(job + "/circuit", built).text()).contains("There is “Tolva 1” already");
    assertThat(vehicles("tolva 1")).isEqualTo(1);
  }
}
