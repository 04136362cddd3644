package gotera.web.watch;

import gotera.device.Silence;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What of the workshop is watched beside the machine. Each figure is asked for when it is read;
 * where the database does not answer it is not a number, never an old one.
 */
@Component
class TradeFigures {
  private static final Logger LOG = LoggerFactory.getLogger(TradeFigures.class);

  private static final String OPEN_TESTS =
      "select count(*) from pressure_test t join job j on j.id = t.job_id"
          + " where j.ended_at is null and t.finished_at is null and t.discarded_at is null";

  private static final String SILENT_TESTS =
      "select count(distinct t.id) from pressure_test t join job j on j.id = t.job_id"
          + " join gauge_at_test a on a.pressure_test_id = t.id and a.ended_at is null"
          + " join gauge g on g.id = a.gauge_id"
          + " where j.ended_at is null and t.finished_at is null and t.discarded_at is null"
          + " and (g.heard_at is null or g.heard_at < ?)";

  private static final String WAITS_OVERDUE =
      "select count(*) from job_wait where ended_at is null and due_at < ?";

  private static final String LAST_BACKUP = "select max(kept_at) from backup_kept";

  private final JdbcTemplate database;
  private final Clock clock;

  TradeFigures(MeterRegistry meters, JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
    gauge(meters, "gotera.tests.open", "Pressure tests begun and not finished", this::openTests);
    gauge(
        meters,
        "gotera.tests.silent",
        "Open tests whose gauge was not heard for ten seconds",
        this::silentTests);
    gauge(meters, "gotera.waits.overdue", "Waits that are due and not ended", this::waitsOverdue);
    gauge(
        meters,
        "gotera.backup.age.seconds",
        "Time since the last backup; not a number where there was none",
        this::backupAge);
  }

  private static void gauge(
      MeterRegistry meters, String name, String what, Supplier<Number> figure) {
    Gauge.builder(name, figure).description(what).strongReference(true).register(meters);
  }

  private Number openTests() {
    return asked(() -> database.queryForObject(OPEN_TESTS, Long.class));
  }

  private Number silentTests() {
    return asked(() -> database.queryForObject(SILENT_TESTS, Long.class, ago(Silence.AFTER)));
  }

  private Number waitsOverdue() {
    return asked(() -> database.queryForObject(WAITS_OVERDUE, Long.class, ago(Duration.ZERO)));
  }

  private Number backupAge() {
    return asked(
        () -> {
          Timestamp last = database.queryForObject(LAST_BACKUP, Timestamp.class);
          return last == null
              ? null
              : Duration.between(last.toInstant(), clock.instant()).toSeconds();
        });
  }

  private Timestamp ago(Duration before) {
    Instant at = clock.instant().minus(before);
    return Timestamp.from(at);
  }

  private static Number asked(Supplier<@Nullable Number> question) {
    try {
      Number answer = question.get();
      return answer == null ? Double.NaN : answer;
    } catch (DataAccessException e) {
      LOG.warn("a figure cannot be read: {}", e.toString());
      return Double.NaN;
    }
  }
}
