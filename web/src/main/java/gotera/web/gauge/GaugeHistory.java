package gotera.web.gauge;

import gotera.web.history.HistorySource;
import gotera.web.pressure.Phase;
import gotera.web.words.Words;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells which gauge wrote into the tests of a job, from when to when, and by whom it was put. */
@Component
class GaugeHistory implements HistorySource {
  private static final String STANDS =
      """
      select g.name, g.withdrawn_at, g.withdrawn_by, a.begun_at, a.begun_by, a.ended_at, a.ended_by,
        t.phase, t.number
      from gauge_at_test a join gauge g on g.id = a.gauge_id
        join pressure_test t on t.id = a.pressure_test_id
      where t.job_id = ? order by a.begun_at
      """;

  private final JdbcTemplate database;
  private final Words words;

  GaugeHistory(JdbcTemplate database, Words words) {
    this.database = database;
    this.words = words;
  }

  @Override
  public boolean isOfUncounted() {
    return true;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    database.query(
        STANDS,
        row -> {
          String test =
              words.say(
                  "pressure." + Phase.of(row.getString("phase")).word() + ".title",
                  row.getInt("number"));
          told(row, "begun", test, entries);
          told(row, "ended", test, entries);
          told(row, "withdrawn", test, entries);
        },
        jobId.toString());
    return entries.stream().distinct().toList();
  }

  private void told(ResultSet row, String what, String test, List<HistoryEntry> entries)
      throws SQLException {
    LocalDateTime at = row.getObject(what + "_at", LocalDateTime.class);
    String by = row.getString(what + "_by");
    if (at != null && by != null) {
      Instant moment = at.toInstant(ZoneOffset.UTC);
      String said = words.say("history.gauge." + what, row.getString("name"), test);
      entries.add(new HistoryEntry(moment, by, said));
    }
  }
}
