package gotera.web.workshop;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Earlier jobs of a vehicle and of its engine type, the newest first. */
@Component
class Earlier {
  private static final String PAST =
      """
      select j.id, v.name, j.started_at, j.complaint, j.ending,
        (select group_concat(distinct r.joint separator ' ') from repair r
          where r.job_id = j.id and r.withdrawn_at is null and r.joint <> '') as repaired,
        (select coalesce(sum(w.minutes), 0) from work_entry w
          where w.job_id = j.id and w.withdrawn_at is null) as minutes
      from job j join vehicle v on v.id = j.vehicle_id
      where j.discarded_at is null and
      """;

  private static final String NEWEST = " order by j.started_at desc limit 30";

  private final JdbcTemplate database;

  Earlier(JdbcTemplate database) {
    this.database = database;
  }

  /** An earlier job. */
  record Past(
      UUID id,
      String vehicle,
      Instant begun,
      String complaint,
      String ending,
      List<String> repaired,
      double minutes) {}

  @Transactional(readOnly = true)
  public List<Past> ofVehicle(UUID vehicle, UUID but) {
    return read("j.vehicle_id = ? and j.id <> ?", vehicle.toString(), but.toString());
  }

  @Transactional(readOnly = true)
  public List<Past> ofType(UUID vehicle) {
    return read(
        "j.vehicle_id <> ? and j.vehicle_id in (select o.vehicle_id from vehicle_circuit o"
            + " join vehicle_circuit m on m.engine_type_id = o.engine_type_id"
            + " where m.vehicle_id = ?)",
        vehicle.toString(),
        vehicle.toString());
  }

  private List<Past> read(String which, Object... parameters) {
    return database.query(
        PAST + which + NEWEST,
        (row, n) -> {
          String repaired = Objects.requireNonNullElse(row.getString("repaired"), "");
          return new Past(
              UUID.fromString(row.getString("id")),
              row.getString("name"),
              row.getObject("started_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
              row.getString("complaint"),
              row.getString("ending"),
              repaired.isEmpty() ? List.of() : Arrays.asList(repaired.split(" ")),
              row.getDouble("minutes"));
        },
        parameters);
  }
}
