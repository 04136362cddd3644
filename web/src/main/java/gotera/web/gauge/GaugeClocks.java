package gotera.web.gauge;

import gotera.device.DeviceClock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The clocks of gauges in the database; whoever calls holds the transaction. */
@Component
class GaugeClocks {
  private final JdbcTemplate database;

  GaugeClocks(JdbcTemplate database) {
    this.database = database;
  }

  /**
   * A clock of a gauge.
   *
   * @param reached the latest reading by it (s)
   * @param clock what is known of it
   * @param earlier numbers of the gauge before those that are counted beside this clock
   */
  record Kept(double reached, DeviceClock clock, long earlier) {}

  Optional<Kept> clock(UUID gauge, String name) {
    return database
        .query(
            "select reached, state, earlier from gauge_clock where gauge_id = ? and name = ?",
            (row, n) ->
                new Kept(row.getDouble(1), ClockText.read(row.getString(2)), row.getLong(3)),
            gauge.toString(),
            name)
        .stream()
        .findFirst();
  }

  /** Keeps a clock that is there already, or a new one; the gauge is locked. */
  void keep(UUID gauge, String name, Kept kept, Instant now) {
    int changed =
        database.update(
            "update gauge_clock set reached = ?, state = ?, used_at = ?"
                + " where gauge_id = ? and name = ?",
            kept.reached(),
            ClockText.of(kept.clock()),
            GaugeRows.utc(now),
            gauge.toString(),
            name);
    if (changed == 0) {
      database.update(
          "insert into gauge_clock (gauge_id, name, reached, state, earlier, used_at)"
              + " values (?, ?, ?, ?, ?, ?)",
          gauge.toString(),
          name,
          kept.reached(),
          ClockText.of(kept.clock()),
          kept.earlier(),
          GaugeRows.utc(now));
    }
  }

  /** Numbers of a gauge before those that it counts now. */
  long earlier(UUID gauge) {
    Long most =
        database.queryForObject(
            "select max(earlier) from gauge_clock where gauge_id = ?",
            Long.class,
            gauge.toString());
    return most == null ? 0 : most;
  }

  /** Forgets the clocks of a gauge that were used longest ago, but for so many. */
  void forgetClocks(UUID gauge, int most) {
    List<String> old =
        database.queryForList(
            "select name from gauge_clock where gauge_id = ? order by used_at desc limit 1000 offset ?",
            String.class,
            gauge.toString(),
            most);
    for (String name : old) {
      database.update(
          "delete from gauge_clock where gauge_id = ? and name = ?", gauge.toString(), name);
    }
  }
}
