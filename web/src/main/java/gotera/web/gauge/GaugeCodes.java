package gotera.web.gauge;

import gotera.web.storage.Hashes;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Codes that pair a gauge with a test, each once; only their hashes are kept. */
@Component
class GaugeCodes {
  private final JdbcTemplate database;

  GaugeCodes(JdbcTemplate database) {
    this.database = database;
  }

  void offer(String code, UUID test, Instant at, String by) {
    database.update(
        "insert into gauge_code (code_sha256, pressure_test_id, made_at, made_by)"
            + " values (?, ?, ?, ?)",
        Hashes.sha256(code),
        test.toString(),
        GaugeRows.utc(at),
        by);
  }

  /** A code that was shown. */
  record Code(UUID test, String by) {}

  /** Takes a code that was made after a moment; once only. */
  Optional<Code> take(String code, Instant since, Instant now) {
    String hash = Hashes.sha256(code);
    int taken =
        database.update(
            "update gauge_code set used_at = ? where code_sha256 = ? and used_at is null"
                + " and made_at >= ?",
            GaugeRows.utc(now),
            hash,
            GaugeRows.utc(since));
    return taken == 0
        ? Optional.empty()
        : Optional.of(
            Objects.requireNonNull(
                database.queryForObject(
                    "select pressure_test_id, made_by from gauge_code where code_sha256 = ?",
                    (row, n) -> new Code(UUID.fromString(row.getString(1)), row.getString(2)),
                    hash)));
  }

  void forgetCodes(Instant before) {
    database.update("delete from gauge_code where made_at < ?", GaugeRows.utc(before));
  }
}
