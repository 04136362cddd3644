package gotera.web.gauge;

import gotera.device.Sequence;
import gotera.web.storage.Hashes;
import gotera.web.storage.Identifiers;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Gauges in the database. By plain statements, for each of many gauges writes every second; its
 * callers hold the transaction.
 */
@Component
class GaugeRows {
  private static final String COLUMNS =
      "select id, name, step_kpa, step_k, simulated, paired_by, withdrawn_at, received, lost, not_kept,"
          + " not_shown, heard_at, told_at, last_kpa from gauge ";

  private static final String OPEN =
      "select a.id, a.gauge_id, a.pressure_test_id, a.begun_at, a.ended_at from gauge_at_test a ";

  private final JdbcTemplate database;
  private final Identifiers identifiers;

  GaugeRows(JdbcTemplate database, Identifiers identifiers) {
    this.database = database;
    this.identifiers = identifiers;
  }

  /** A gauge as it is kept. */
  record Row(
      UUID id,
      Made made,
      String pairedBy,
      Optional<Instant> withdrawn,
      Sequence received,
      Sequence lost,
      Left left,
      Optional<Instant> heard,
      Optional<Instant> told,
      Optional<Double> last) {}

  /**
   * Readings that came and are in no test.
   *
   * @param nowhere made at no test, or at one that is finished
   * @param notShown beyond what any gauge shows
   */
  record Left(long nowhere, long notShown) {
    Left and(int moreNowhere, int moreNotShown) {
      return new Left(nowhere + moreNowhere, notShown + moreNotShown);
    }
  }

  /**
   * How a gauge is made.
   *
   * @param name what it is called
   * @param step its smallest step (kPa)
   * @param kelvins that of its thermometer (K), where it has one
   * @param simulated whether it is a stand-in
   */
  record Made(String name, double step, Optional<Double> kelvins, boolean simulated) {}

  /** Where a gauge stood, from when to when. */
  record Stand(UUID id, UUID gauge, UUID test, Instant begun, Optional<Instant> ended) {
    boolean holds(double ours) {
      return ours >= seconds(begun) && ended.map(e -> ours <= seconds(e)).orElse(true);
    }
  }

  static double seconds(Instant at) {
    return at.getEpochSecond() + at.getNano() / 1e9;
  }

  static LocalDateTime utc(Instant at) {
    return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
  }

  private static Optional<Instant> moment(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, LocalDateTime.class))
        .map(t -> t.toInstant(ZoneOffset.UTC));
  }

  private static Row row(ResultSet row) throws SQLException {
    double last = row.getDouble("last_kpa");
    Optional<Double> shown = row.wasNull() ? Optional.empty() : Optional.of(last);
    return new Row(
        UUID.fromString(row.getString("id")),
        new Made(
            row.getString("name"),
            row.getDouble("step_kpa"),
            Optional.ofNullable((Double) row.getObject("step_k")),
            row.getBoolean("simulated")),
        row.getString("paired_by"),
        moment(row, "withdrawn_at"),
        Sequence.read(row.getString("received")),
        Sequence.read(row.getString("lost")),
        new Left(row.getLong("not_kept"), row.getLong("not_shown")),
        moment(row, "heard_at"),
        moment(row, "told_at"),
        shown);
  }

  private static Stand stand(ResultSet row) throws SQLException {
    return new Stand(
        UUID.fromString(row.getString("id")),
        UUID.fromString(row.getString("gauge_id")),
        UUID.fromString(row.getString("pressure_test_id")),
        moment(row, "begun_at").orElseThrow(),
        moment(row, "ended_at"));
  }

  /** Gauges that were heard at tests that run, and when last. */
  List<FellSilent.Waiting> atRunningTests() {
    return database.query(
        "select g.id, t.job_id, g.heard_at from gauge_at_test a"
            + " join gauge g on g.id = a.gauge_id"
            + " join pressure_test t on t.id = a.pressure_test_id"
            + " where a.ended_at is null and g.heard_at is not null and t.finished_at is null"
            + " and t.discarded_at is null",
        (row, n) ->
            new FellSilent.Waiting(
                UUID.fromString(row.getString("id")),
                UUID.fromString(row.getString("job_id")),
                moment(row, "heard_at").orElseThrow()));
  }

  void add(Message.Paired paired, Made made, Instant at, String by) {
    database.update(
        "insert into gauge (id, name, step_kpa, step_k, simulated, token_sha256, paired_at,"
            + " paired_by, received, lost) values (?, ?, ?, ?, ?, ?, ?, ?, '', '')",
        paired.gauge(),
        made.name(),
        made.step(),
        made.kelvins().orElse(null),
        made.simulated(),
        Hashes.sha256(paired.token()),
        utc(at),
        by);
  }

  /** The gauge of a token, locked until the transaction ends. */
  Optional<Row> locked(String token) {
    return database
        .query(
            COLUMNS + "where token_sha256 = ? for update",
            (row, n) -> row(row),
            Hashes.sha256(token))
        .stream()
        .findFirst();
  }

  Optional<Row> locked(UUID id) {
    return database
        .query(COLUMNS + "where id = ? for update", (row, n) -> row(row), id.toString())
        .stream()
        .findFirst();
  }

  /** Those that may write, the one that was heard last first. */
  List<Row> all() {
    return database.query(
        COLUMNS + "where withdrawn_at is null order by heard_at desc, paired_at desc limit 200",
        (row, n) -> row(row));
  }

  void withdraw(UUID id, Instant at, String by) {
    database.update(
        "update gauge set withdrawn_at = ?, withdrawn_by = ? where id = ? and withdrawn_at is null",
        utc(at),
        by,
        id.toString());
  }

  /** What came of a batch. */
  void took(Row after, @Nullable Double lastCelsius) {
    database.update(
        "update gauge set received = ?, lost = ?, not_kept = ?, not_shown = ?, heard_at = ?, told_at = ?,"
            + " last_kpa = ?, last_celsius = ? where id = ?",
        after.received().text(),
        after.lost().text(),
        after.left().nowhere(),
        after.left().notShown(),
        after.heard().map(GaugeRows::utc).orElse(null),
        after.told().map(GaugeRows::utc).orElse(null),
        after.last().orElse(null),
        lastCelsius,
        after.id().toString());
  }

  /** Where a gauge stood lately, the last first. */
  List<Stand> stands(UUID gauge) {
    return database.query(
        OPEN + "where a.gauge_id = ? order by a.begun_at desc limit 20",
        (row, n) -> stand(row),
        gauge.toString());
  }

  /** The gauge that stands at a test now. */
  Optional<Stand> at(UUID test) {
    return database
        .query(
            OPEN + "where a.pressure_test_id = ? and a.ended_at is null",
            (row, n) -> stand(row),
            test.toString())
        .stream()
        .findFirst();
  }

  /** Every stand that lasts. */
  List<Stand> standing() {
    return database.query(
        OPEN
            + "join gauge g on g.id = a.gauge_id where a.ended_at is null and g.withdrawn_at is null",
        (row, n) -> stand(row));
  }

  void begin(UUID gauge, UUID test, Instant at, String by) {
    database.update(
        "insert into gauge_at_test (id, gauge_id, pressure_test_id, begun_at, begun_by)"
            + " values (?, ?, ?, ?, ?)",
        identifiers.next().toString(),
        gauge.toString(),
        test.toString(),
        utc(at),
        by);
  }

  /** A gauge stood there already before it was put there. */
  void beganEarlier(Stand stand, Instant at, int taken) {
    database.update(
        "update gauge_at_test set begun_at = ? where id = ?", utc(at), stand.id().toString());
    database.update(
        "update gauge set not_kept = greatest(0, not_kept - ?) where id = ?",
        taken,
        stand.gauge().toString());
  }

  void end(Stand stand, Instant at, String by) {
    database.update(
        "update gauge_at_test set ended_at = ?, ended_by = ? where id = ? and ended_at is null",
        utc(at),
        by,
        stand.id().toString());
  }
}
