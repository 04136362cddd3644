package gotera.web.workshop;

import gotera.workshop.Visit;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The visits of the last years, in one query. */
@Component
class Visits {
  /** How far it looks back (our judgement). */
  private static final Duration BACK = Duration.ofDays(3 * 365);

  private static final String ALL =
      """
      select v.name, coalesce(t.name, '') as type, j.started_at, j.closed_at, j.ending,
        (select group_concat(r.joint separator ' ') from repair r
          where r.job_id = j.id and r.withdrawn_at is null and r.joint <> '') as repaired
      from job j
        join vehicle v on v.id = j.vehicle_id
        left join vehicle_circuit c on c.vehicle_id = v.id
        left join engine_type t on t.id = c.engine_type_id
      where j.discarded_at is null and j.started_at >= ?
      order by j.started_at
      """;

  private final JdbcTemplate database;
  private final Clock clock;

  Visits(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<Visit> all() {
    return database.query(
        ALL,
        (row, n) -> {
          String repaired = row.getString("repaired");
          return new Visit(
              row.getString("name"),
              row.getString("type"),
              moment(row.getObject("started_at", LocalDateTime.class)).orElseThrow(),
              moment(row.getObject("closed_at", LocalDateTime.class)),
              row.getString("ending").equals("proven"),
              repaired == null ? List.of() : Arrays.asList(repaired.split(" ")));
        },
        LocalDateTime.ofInstant(clock.instant().minus(BACK), ZoneOffset.UTC));
  }

  private static Optional<Instant> moment(@Nullable LocalDateTime at) {
    return Optional.ofNullable(at).map(t -> t.toInstant(ZoneOffset.UTC));
  }
}
