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

  /**
   * How far a job is.
   *
   * @param seq how often it was written to
   * @param at when last: after a restore the same count may stand for something else
   */
  record Count(long seq, String at) {
    static final Count NONE = new Count(0, "");
  }

  /** How often it was written to so far. */
  Count of(UUID jobId) {
    return database
        .query(
            "select seq, changed_at from job_change where job_id = ?",
            (row, n) -> new Count(row.getLong(1), row.getString(2)),
            jobId.toString())
        .stream()
        .findFirst()
        .orElse(Count.NONE);
  }
}
