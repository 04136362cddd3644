package gotera.web.job;

import gotera.web.job.JobHeadline.Headline;
import gotera.web.job.Rail.Awaited;
import gotera.work.Step;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Keeps what the list says of each open job, so that a list of many is one query. A summary holds
 * until the job's count of changes moves, whichever process wrote, or until its time has come.
 */
@Component
class JobSummaries {
  private static final Logger LOG = LoggerFactory.getLogger(JobSummaries.class);

  /** None is older, whatever it says (our judgement): links to customers end by themselves. */
  private static final Duration LONGEST = Duration.ofHours(12);

  private final JdbcTemplate database;
  private final Rail rail;
  private final List<JobHeadline> headlines;
  private final List<JobWait> waits;
  private final Clock clock;

  JobSummaries(
      JdbcTemplate database,
      Rail rail,
      List<JobHeadline> headlines,
      List<JobWait> waits,
      Clock clock) {
    this.database = database;
    this.rail = rail;
    this.headlines = headlines;
    this.waits = waits;
    this.clock = clock;
  }

  /** Another version may say it otherwise. */
  @EventListener(ApplicationReadyEvent.class)
  public void forget() {
    database.update("delete from job_summary");
  }

  /** The summary a row carries, if it still holds. */
  Optional<JobSummary> kept(ResultSet row) throws SQLException {
    return row.getLong("kept_seq") == row.getLong("seq")
        ? before(row).filter(s -> s.dueAt().isAfter(clock.instant()))
        : Optional.empty();
  }

  /** The summary a row carries, whether it still holds or not. */
  Optional<JobSummary> before(ResultSet row) throws SQLException {
    String step = row.getString("waits_for");
    if (step == null) {
      return Optional.empty();
    }
    String shape = row.getString("shape");
    Optional<Headline> headline =
        shape == null
            ? Optional.empty()
            : Optional.of(new Headline(shape, row.getString("headline"), row.getBoolean("tight")));
    return Step.of(step)
        .map(s -> new JobSummary(s, headline, moment(row, "waits_until"), due(row)));
  }

  private static Instant due(ResultSet row) {
    return moment(row, "due_at").orElse(Instant.MIN);
  }

  /** A moment in a column; empty where there is none. */
  static Optional<Instant> moment(ResultSet row, String column) {
    try {
      return Optional.ofNullable(row.getObject(column, LocalDateTime.class))
          .map(t -> t.toInstant(ZoneOffset.UTC));
    } catch (SQLException e) {
      throw new IllegalStateException("column " + column, e);
    }
  }

  /** Works a summary out and keeps it. */
  JobSummary anew(UUID jobId, long seq) {
    Awaited awaited = rail.awaited(jobId);
    Optional<Instant> waiting =
        waits.stream().flatMap(w -> w.until(jobId).stream()).min(Instant::compareTo);
    Instant now = clock.instant();
    Instant due =
        Stream.of(awaited.until(), waiting)
            .flatMap(Optional::stream)
            .filter(now::isBefore)
            .min(Instant::compareTo)
            .filter(now.plus(LONGEST)::isAfter)
            .orElse(now.plus(LONGEST));
    JobSummary summary =
        new JobSummary(
            awaited.step(),
            headlines.stream().flatMap(h -> h.of(jobId).stream()).findFirst(),
            waiting,
            due);
    keep(jobId, seq, summary);
    return summary;
  }

  /** What cannot be kept now is worked out again next time; the list is shown all the same. */
  private void keep(UUID jobId, long seq, JobSummary s) {
    try {
      database.update(
          "replace into job_summary"
              + " (job_id, seq, due_at, waits_for, shape, headline, tight, waits_until)"
              + " values (?, ?, ?, ?, ?, ?, ?, ?)",
          jobId.toString(),
          seq,
          LocalDateTime.ofInstant(s.dueAt(), ZoneOffset.UTC),
          s.waitsFor().word(),
          s.headline().map(Headline::shape).orElse(null),
          s.headline().map(Headline::text).orElse(null),
          s.headline().filter(Headline::tight).isPresent(),
          utc(s.waitsUntil()));
    } catch (DataAccessException e) {
      LOG.warn("the summary of job {} cannot be kept", jobId, e);
    }
  }

  private static @Nullable LocalDateTime utc(Optional<Instant> moment) {
    return moment.map(m -> LocalDateTime.ofInstant(m, ZoneOffset.UTC)).orElse(null);
  }
}
