package gotera.web.job;

import gotera.web.storage.Entries;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * Counts how often a job was written to, so that pages of others learn of it, whichever process
 * wrote. Callers hold the transaction and count last, for the count is a row that writers share.
 */
@Component
public class JobChanges {
  private final JdbcTemplate database;
  private final Entries entries;
  private final Clock clock;

  JobChanges(JdbcTemplate database, Entries entries, Clock clock) {
    this.clock = clock;
    this.database = database;
    this.entries = entries;
  }

  /** Counts one, and claims the entry that is being written. */
  public void count(UUID jobId) {
    entries.claim();
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    database.update(
        "insert into job_change (job_id, seq, changed_at, changed_by) values (?, 1, ?, ?)"
            + " on duplicate key update seq = seq + 1, changed_at = values(changed_at),"
            + " changed_by = coalesce(values(changed_by), changed_by)",
        jobId.toString(),
        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
        who == null || who instanceof AnonymousAuthenticationToken ? null : who.getName());
  }

  /** How often it was written to so far. */
  long of(UUID jobId) {
    return database
        .query(
            "select seq from job_change where job_id = ?",
            (row, n) -> row.getLong(1),
            jobId.toString())
        .stream()
        .findFirst()
        .orElse(0L);
  }
}
