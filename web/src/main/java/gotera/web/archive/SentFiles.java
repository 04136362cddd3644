package gotera.web.archive;

import gotera.web.frame.NotFound;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Files that were sent and are not taken in yet: one of each sender, for a day. */
@Component
class SentFiles {
  /** How long a file waits for who sent it (our judgement). */
  private static final Duration WAITS = Duration.ofDays(1);

  private final JdbcTemplate database;
  private final Identifiers identifiers;
  private final Clock clock;

  SentFiles(JdbcTemplate database, Identifiers identifiers, Clock clock) {
    this.database = database;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** Keeps a file until it is taken in or thrown away; the one sent before goes. */
  @Write
  UUID keep(byte[] file, String by) {
    Instant now = clock.instant();
    database.update(
        "delete from job_file where sent_by = ? or sent_at < ?", by, utc(now.minus(WAITS)));
    UUID id = identifiers.next();
    database.update(
        "insert into job_file (id, content, sent_at, sent_by) values (?, ?, ?, ?)",
        id.toString(),
        file,
        utc(now),
        by);
    return id;
  }

  /** A file, for who sent it. */
  byte[] of(UUID id, String by) {
    return database
        .query(
            "select content from job_file where id = ? and sent_by = ?",
            (row, n) -> row.getBytes(1),
            id.toString(),
            by)
        .stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("job file " + id));
  }

  /** It was taken in, or is thrown away. */
  @Write
  void forget(UUID id, String by) {
    database.update("delete from job_file where id = ? and sent_by = ?", id.toString(), by);
  }

  private static LocalDateTime utc(Instant at) {
    return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
  }
}
