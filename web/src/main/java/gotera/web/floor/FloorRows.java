package gotera.web.floor;

import gotera.device.Silence;
import gotera.pressure.trace.TraceEvent;
import gotera.web.pressure.Phase;
import java.nio.ByteBuffer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What the floor asks the database: one question for each kind of thing, however many there are.
 */
@Component
class FloorRows {
  private static final String RUNNING =
      """
      select t.id, t.job_id, t.phase, t.started_at,
        (select max(e.seconds) from trace_event e where e.pressure_test_id = t.id and e.kind = ?
          and e.withdrawn_at is null) as shut,
        (select b.payload from trace_block b where b.pressure_test_id = t.id
          order by b.seq desc limit 1) as block,
        (select g.name from gauge_at_test a join gauge g on g.id = a.gauge_id
          where a.pressure_test_id = t.id and a.ended_at is null limit 1) as gauge,
        (select g.heard_at from gauge_at_test a join gauge g on g.id = a.gauge_id
          where a.pressure_test_id = t.id and a.ended_at is null limit 1) as heard_at
      from pressure_test t join job j on j.id = t.job_id
      where j.ended_at is null and t.finished_at is null and t.discarded_at is null
      order by t.started_at desc limit 300
      """;

  private static final String CHECKS =
      """
      select f.job_id, f.check_word, min(f.happened_at) as begun from finding f
        join job j on j.id = f.job_id
      where j.ended_at is null and f.withdrawn_at is null and f.happened_at > ?
        and f.check_word in ('funnel', 'running-look', 'gas-check')
      group by f.job_id, f.check_word
      having max(case when f.saw = 'ended' then f.happened_at end) is null
        or max(case when f.saw = 'ended' then f.happened_at end) < max(f.happened_at)
      """;

  /** A guided check that was begun before is not running any more (our judgement). */
  private static final Duration LONGEST_CHECK = Duration.ofHours(3);

  private final JdbcTemplate database;
  private final Clock clock;

  FloorRows(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * A test that runs.
   *
   * @param shut when the valve was shut; empty while somebody pumps
   * @param gauge what was read last (kPa)
   * @param writer the gauge that writes by itself
   */
  record Running(
      UUID id,
      UUID job,
      Phase phase,
      Instant started,
      Optional<Instant> shut,
      Optional<Double> gauge,
      Optional<Writer> writer) {}

  /**
   * A gauge that writes by itself.
   *
   * @param name what it is called
   * @param heard when it was heard last
   */
  record Writer(String name, Optional<Instant> heard) {
    /** Whether nothing came from it for too long. */
    boolean isSilent(Instant now) {
      return heard.filter(h -> !h.plus(Silence.AFTER).isBefore(now)).isEmpty();
    }
  }

  /** A guided check that runs. */
  record Check(UUID job, String word, Instant begun) {}

  /** Where a job stands and who wrote to it last. */
  record Place(Optional<String> bay, Optional<String> by, Optional<Instant> at) {}

  /** Tests that run, one for each job: the one begun last. */
  Map<UUID, Running> running() {
    Map<UUID, Running> byJob = new HashMap<>();
    for (Running r :
        database.query(RUNNING, (row, n) -> running(row), TraceEvent.Kind.VALVE_SHUT.word())) {
      byJob.putIfAbsent(r.job(), r);
    }
    return byJob;
  }

  private static Running running(ResultSet row) throws SQLException {
    Instant started = moment(row, "started_at").orElseThrow();
    double shut = row.getDouble("shut");
    Optional<Instant> shutAt =
        row.wasNull() ? Optional.empty() : Optional.of(started.plusMillis(Math.round(1000 * shut)));
    byte[] block = row.getBytes("block");
    return new Running(
        UUID.fromString(row.getString("id")),
        UUID.fromString(row.getString("job_id")),
        Phase.of(row.getString("phase")),
        started,
        shutAt,
        block == null || block.length < 3 * Double.BYTES
            ? Optional.empty()
            : Optional.of(ByteBuffer.wrap(block).getDouble(block.length - 2 * Double.BYTES)),
        writer(row));
  }

  private static Optional<Writer> writer(ResultSet row) throws SQLException {
    String name = row.getString("gauge");
    return name == null ? Optional.empty() : Optional.of(new Writer(name, moment(row, "heard_at")));
  }

  List<Check> checks() {
    return database.query(
        CHECKS,
        (row, n) ->
            new Check(
                UUID.fromString(row.getString("job_id")),
                row.getString("check_word"),
                moment(row, "begun").orElseThrow()),
        LocalDateTime.ofInstant(clock.instant().minus(LONGEST_CHECK), ZoneOffset.UTC));
  }

  Map<UUID, Place> places() {
    Map<UUID, Place> places = new HashMap<>();
    database.query(
        "select j.id, b.bay, c.changed_by, c.changed_at from job j"
            + " left join job_bay b on b.job_id = j.id left join job_change c on c.job_id = j.id"
            + " where j.ended_at is null",
        row -> {
          places.put(
              UUID.fromString(row.getString("id")),
              new Place(
                  Optional.ofNullable(row.getString("bay")),
                  Optional.ofNullable(row.getString("changed_by")),
                  moment(row, "changed_at")));
        });
    return places;
  }

  /** What differs as soon as anything on the floor does. */
  String state() {
    return String.valueOf(
        database.queryForObject(
            "select concat_ws(' ', count(*), sum(c.seq), (select max(set_at) from job_bay))"
                + " from job j join job_change c on c.job_id = j.id where j.ended_at is null",
            String.class));
  }

  void put(UUID job, String bay, String by) {
    if (bay.isEmpty()) {
      database.update("delete from job_bay where job_id = ?", job.toString());
    } else {
      database.update(
          "replace into job_bay (job_id, bay, set_at, set_by) values (?, ?, ?, ?)",
          job.toString(),
          bay,
          LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
          by);
    }
  }

  private static Optional<Instant> moment(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, LocalDateTime.class))
        .map(t -> t.toInstant(ZoneOffset.UTC));
  }
}
