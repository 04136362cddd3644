package gotera.web.job;

import gotera.web.storage.Entries;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
   * Lets nobody else write to a job until the transaction ends: what is read of it afterwards stays
   * so. Callers hold the transaction and read nothing before.
   */
  public void hold(UUID jobId) {
    database.query(
        "select seq from job_change where job_id = ? for update", row -> {}, jobId.toString());
  }

  /**
   * Counts one of what jobs share: vehicles, engine types, waits, choices of the workshop. Counted
   * after the job's own, for it is one row for all.
   */
  public void countShared() {
    database.update(
        "update shop_change set seq = seq + 1, changed_at = ?",
        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC));
  }

  /**
   * How far a job is, or what jobs share.
   *
   * @param seq how often it was written to
   * @param at when last: after a restore the same count may stand for something else
   */
  record Count(long seq, @Nullable String at) {
    static final Count NONE = new Count(0, "");
  }

  /**
   * How often was written so far.
   *
   * @param job to the job
   * @param shared to what jobs share
   */
  record Counts(Count job, Count shared) {}

  /** How often was written so far, in one question. */
  Counts of(UUID jobId) {
    Map<String, Count> counts = new HashMap<>();
    database.query(
        "select 'shared', seq, changed_at from shop_change"
            + " union all select 'job', seq, changed_at from job_change where job_id = ?",
        row -> {
          counts.put(row.getString(1), new Count(row.getLong(2), row.getString(3)));
        },
        jobId.toString());
    return new Counts(
        counts.getOrDefault("job", Count.NONE), counts.getOrDefault("shared", Count.NONE));
  }

  /** How often was written to what jobs share. */
  Count shared() {
    return database
        .query(
            "select seq, changed_at from shop_change",
            (row, n) -> new Count(row.getLong(1), row.getString(2)))
        .stream()
        .findFirst()
        .orElse(Count.NONE);
  }
}
