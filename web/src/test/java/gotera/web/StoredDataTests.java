package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * A workshop that an earlier Gotera left: the demonstration as it was stored before entries, ways
 * back and the stored form of verdicts had versions. It is restored, brought up to date, and read.
 */
class StoredDataTests {
  private static final Path FOLDER = Path.of("target", "stored-database").toAbsolutePath();
  private static final String PASSWORD = "only for the stored workshop";
  private static final List<String> STEPS =
      List.of(
          "intake",
          "circuit",
          "make-safe",
          "cap",
          "visual-check",
          "pressure-test",
          "find",
          "dye",
          "inside",
          "repair",
          "fill-up",
          "re-test",
          "hand-over",
          "suspects",
          "history");

  private static Server server;
  private static Http lead;

  @BeforeAll
  static void start() {
    Script.run("database", "stop", FOLDER.toString());
    Script.delete(FOLDER);
    Script.run("database", "start", FOLDER.toString(), "26160");
    Path stored = Path.of("src/test/resources/gotera/web/stored/demo-1.sql.gz").toAbsolutePath();
    Script.Ended restored = Script.end(Server.database(FOLDER), "restore", stored.toString());
    assertThat(restored.status()).as(restored.said()).isZero();
    Map<String, String> settings = new HashMap<>(Server.database(FOLDER));
    settings.put("GOTERA_DEMO_PASSWORD", PASSWORD);
    server = Server.start("stored", settings);
    lead = Http.signedIn(server.address(), "lead", PASSWORD);
  }

  @AfterAll
  static void stop() {
    if (server != null) {
      server.close();
    }
    Script.run("database", "stop", FOLDER.toString());
  }

  @Test
  void everyPageOfEveryJobOpens() throws SQLException {
    assertThat(lead.get("/").status()).isEqualTo(200);
    List<String> jobs = column("select id from job");
    assertThat(jobs).hasSize(4);
    for (String job : jobs) {
      for (String step : STEPS) {
        Http.Answer page = lead.get("/jobs/" + job + "/" + step);
        assertThat(page.status()).as("%s of %s", step, job).isIn(200, 302);
        assertThat(page.text()).as("%s of %s", step, job).doesNotContain("cannot be read");
      }
      assertThat(lead.get("/jobs/" + job + "/pressure-test").status()).isEqualTo(200);
    }
  }

  @Test
  void verdictsAndSealsStandAsTheyWereGiven() throws SQLException {
    Map<String, String> given = new LinkedHashMap<>();
    try (Connection connection = Server.connect(FOLDER);
        Statement sql = connection.createStatement();
        ResultSet rows =
            sql.executeQuery(
                "select t.id, t.job_id, t.phase, v.kind from pressure_test t"
                    + " join verdict v on v.pressure_test_id = t.id")) {
      while (rows.next()) {
        String phase = rows.getString("phase").equals("search") ? "pressure-test" : "re-test";
        given.put(
            "/jobs/" + rows.getString("job_id") + "/" + phase + "?test=" + rows.getString("id"),
            rows.getString("kind"));
      }
    }
    assertThat(given).hasSize(4);
    given.forEach(
        (address, kind) -> {
          String text = lead.get(address).text();
          assertThat(text)
              .as(address)
              .contains(Map.of("leak", "Leak", "tight", "Tight", "gross", "Gross").get(kind))
              .doesNotContain("does not fit its seal");
        });
    // and beside it what the computation of today would say
    assertThat(given.keySet().stream().map(a -> lead.get(a).text()))
        .anyMatch(t -> t.contains("This verdict is kept as version"));
  }

  @Test
  void whatWasMeasuredStandsInItsColumn() throws SQLException {
    assertThat(
            column(
                "select concat_ws(' ', saw, subject, volume_ml, minutes, thermostat_open, heater_on,"
                    + " size_mm) from finding where check_word = 'dye' order by id"))
        .contains("dosed matched 22", "ran  16 1 0", "glow radiator.drain-tap 9")
        .noneMatch(s -> s.startsWith("dosed-"));
  }

  private static List<String> column(String query) throws SQLException {
    List<String> values = new ArrayList<>();
    try (Connection connection = Server.connect(FOLDER);
        Statement sql = connection.createStatement();
        ResultSet rows = sql.executeQuery(query)) {
      while (rows.next()) {
        values.add(rows.getString(1));
      }
    }
    return values;
  }
}
