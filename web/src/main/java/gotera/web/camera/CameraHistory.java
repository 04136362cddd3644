package gotera.web.camera;

import gotera.web.history.HistorySource;
import gotera.web.pressure.Phase;
import gotera.web.words.Words;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells who touched a dial for the camera; what it read stands with the readings. */
@Component
class CameraHistory implements HistorySource {
  private final JdbcTemplate database;
  private final Words words;

  CameraHistory(JdbcTemplate database, Words words) {
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
    return database.query(
        "select d.set_at, d.set_by, t.phase, t.number from dial d"
            + " join pressure_test t on t.id = d.pressure_test_id where t.job_id = ?",
        (row, n) ->
            new HistoryEntry(
                row.getObject("set_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
                row.getString("set_by"),
                words.say(
                    "history.dial",
                    words.say(
                        "pressure." + Phase.of(row.getString("phase")).word() + ".title",
                        row.getInt("number")))),
        jobId.toString());
  }
}
