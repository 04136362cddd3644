package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.records.Member;
import gotera.formats.records.RecordsFormat;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A row that no form writes, however it came in: it may spoil pages of its own job, but no list, no
 * head, no wall and no other job's page. Walks every column of every table of a job; {@code
 * -Dfilled.rows=all} walks all of them, else every third, another third each day.
 */
@ExtendWith(Application.class)
class BadRowsTests {
  private static final String VEHICLE = "Corrie 12";
  private static final String OTHER = "Halde 31";
  private static final boolean ALL = "all".equals(System.getProperty("filled.rows"));
  private static final int THIRD = 3;

  private JdbcTemplate database;
  private String job;

  /** One value of one row, by what tells the row. */
  private record Cell(String table, String column, String where, Object[] key) {}

  @Test
  void oneRowSpoilsNoListAndNoOtherJob(Application.Running application) {
    database = application.bean(JdbcTemplate.class);
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String path = http.job(VEHICLE);
    job = path.replace("/jobs/", "");
    List<String> pages =
        List.of("/", "/floor", "/jobs/closed", "/waits", "/workshop", http.job(OTHER) + "/find");
    http.post(path + "/waits", Map.of("kind", "soak", "minutes", "90"));
    List<String> broken = new ArrayList<>();
    long day = java.time.LocalDate.now().toEpochDay();
    int number = 0;
    int spoiled = 0;
    for (String table : RecordsFormat.tables()) {
      if (table.endsWith(RecordsFormat.HISTORY)) {
        continue;
      }
      for (Member member : RecordsFormat.members(table)) {
        if (ALL || (number++ + day) % THIRD == 0) {
          Optional<Cell> cell = cell(member);
          cell.ifPresent(c -> broken.addAll(spoil(http, pages, c, member)));
          spoiled += cell.isPresent() ? 1 : 0;
        }
      }
    }
    database.update("delete from job_wait where job_id = ?", job);
    database.update("update shop_change set seq = seq + 1");
    assertThat(broken).isEmpty();
    assertThat(spoiled).as("guard: the job has rows to spoil").isGreaterThan(50);
    assertThat(http.get(path + "/find").status()).as("put back").isEqualTo(200);
  }

  /** Values that the column takes and no form writes. */
  private static List<Object> hostile(Member member) {
    return switch (member.kind()) {
      case NUMBER -> List.of(1e308, -1e308);
      case WHOLE -> List.of(-1, Integer.MAX_VALUE);
      case WORD, TEXT -> List.of("\u0000<x>", "no-such-word");
      case MOMENT -> List.of("0001-01-01 00:00:00", "9999-12-31 23:59:59");
      case DAY -> List.of("0001-01-01", "9999-12-31");
      case BYTES, FILE -> List.of(new byte[] {1, 2, 3});
      case HASH -> List.of("");
      case YES_NO -> List.of(-7);
      case ID, OF -> List.of();
    };
  }

  private List<String> spoil(Http http, List<String> pages, Cell cell, Member member) {
    Object before =
        database.queryForObject(
            "select " + cell.column() + " from " + cell.table() + " where " + cell.where(),
            Object.class,
            cell.key());
    List<String> broken = new ArrayList<>();
    for (Object value : hostile(member)) {
      if (!set(cell, value)) {
        continue; // the database itself refuses it
      }
      for (String page : pages) {
        Http.Answer answer = http.get(page);
        boolean others = answer.text().contains(OTHER) || !page.equals("/");
        if (answer.status() != 200 || !others) {
          broken.add(cell.table() + "." + cell.column() + " = " + value + " breaks " + page);
        }
      }
    }
    set(cell, before);
    return broken;
  }

  private boolean set(Cell cell, Object value) {
    List<Object> parameters = new ArrayList<>();
    parameters.add(value);
    parameters.addAll(List.of(cell.key()));
    try {
      database.update(
          "update " + cell.table() + " set " + cell.column() + " = ? where " + cell.where(),
          parameters.toArray());
    } catch (DataAccessException e) {
      return false;
    }
    // whoever wrote it counted it
    database.update("update shop_change set seq = seq + 1");
    database.update("update job_change set seq = seq + 1 where job_id = ?", job);
    return true;
  }

  /** The first row of the job in a member's table, where it has one. */
  private Optional<Cell> cell(Member member) {
    String table = member.table();
    List<Map<String, Object>> rows =
        database.queryForList(
            "select * from " + table + " where " + ofTheJob(table) + " limit 1", parameters(table));
    if (rows.isEmpty()) {
      return Optional.empty();
    }
    Map<String, Object> key = new LinkedHashMap<>();
    for (String column :
        database.queryForList(
            "select column_name from information_schema.key_column_usage where table_schema ="
                + " database() and table_name = ? and constraint_name = 'PRIMARY'",
            String.class,
            table)) {
      key.put(column, rows.get(0).get(column).toString());
    }
    String where = String.join(" and ", key.keySet().stream().map(k -> k + " = ?").toList());
    return Optional.of(new Cell(table, member.name(), where, key.values().toArray()));
  }

  private static String ofTheJob(String table) {
    String vehicle = "(select vehicle_id from job where id = ?)";
    return switch (table) {
      case "job" -> "id = ?";
      case "vehicle" -> "id = " + vehicle;
      case "vehicle_circuit" -> "vehicle_id = " + vehicle;
      case "engine_type" ->
          "id = (select engine_type_id from vehicle_circuit where vehicle_id = " + vehicle + ")";
      case "lesson", "circuit_edit" ->
          "engine_type_id = (select engine_type_id from vehicle_circuit where vehicle_id = "
              + vehicle
              + ")";
      case "finding_unmet" -> "finding_id in (select id from finding where job_id = ?)";
      case "trace_block", "trace_event", "trace_correction", "verdict", "caught", "dial" ->
          "pressure_test_id in (select id from pressure_test where job_id = ?)";
      default -> "job_id = ?";
    };
  }

  private Object[] parameters(String table) {
    return ofTheJob(table).chars().filter(c -> c == '?').mapToObj(c -> job).toArray();
  }
}
