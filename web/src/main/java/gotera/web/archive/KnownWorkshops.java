package gotera.web.archive;

import gotera.web.storage.Write;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Workshops whose key was compared with them once. A signature proves that a file is as its signer
 * left it; who the signer is, only somebody who asked them can say.
 */
@Component
class KnownWorkshops {
  private final JdbcTemplate database;
  private final Clock clock;

  KnownWorkshops(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** Whose key that is, where it is known. */
  Optional<String> name(String fingerprint) {
    return database
        .queryForList(
            "select name from known_workshop where fingerprint = ?", String.class, fingerprint)
        .stream()
        .findFirst();
  }

  /** Somebody compared it. */
  @Write
  void know(String fingerprint, String name, String by) {
    database.update(
        "insert into known_workshop (fingerprint, name, known_at, known_by) values (?, ?, ?, ?)"
            + " on duplicate key update name = values(name), known_at = values(known_at),"
            + " known_by = values(known_by)",
        fingerprint,
        name,
        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
        by);
  }
}
