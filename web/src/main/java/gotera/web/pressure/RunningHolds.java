package gotera.web.pressure;

import gotera.pressure.trace.TraceEvent;
import gotera.web.frame.NotFound;
import gotera.web.pressure.trace.Span;
import gotera.web.pressure.trace.TraceReader;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Reads what a typed reading is held against: two questions, no analysis, no transaction. */
@Component
class RunningHolds {
  private static final String TEST =
      """
      select t.job_id, t.phase, t.started_at, t.hold, t.written_later,
        (select max(e.seconds) from trace_event e where e.pressure_test_id = t.id
          and e.kind = ? and e.withdrawn_at is null) as valve_shut
      from pressure_test t where t.id = ?
      """;

  private final JdbcTemplate database;
  private final TraceReader traces;
  private final Clock clock;

  RunningHolds(JdbcTemplate database, TraceReader traces, Clock clock) {
    this.database = database;
    this.traces = traces;
    this.clock = clock;
  }

  RunningTest of(UUID testId) {
    Optional<Span> span = traces.span(testId);
    return database
        .query(
            TEST,
            (row, n) -> read(testId, row, span),
            TraceEvent.Kind.VALVE_SHUT.word(),
            testId.toString())
        .stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  private RunningTest read(UUID testId, ResultSet row, Optional<Span> span) throws SQLException {
    LocalDateTime started = row.getObject("started_at", LocalDateTime.class);
    return new RunningTest(
        new Where(
            testId, UUID.fromString(row.getString("job_id")), Phase.of(row.getString("phase"))),
        Duration.between(started.toInstant(ZoneOffset.UTC), clock.instant()).toMillis() / 1000.0,
        row.getDouble("valve_shut"),
        span.isPresent() ? OptionalDouble.of(span.get().lastGauge()) : OptionalDouble.empty(),
        HoldText.read(row.getString("hold")),
        row.getBoolean("written_later"));
  }
}
