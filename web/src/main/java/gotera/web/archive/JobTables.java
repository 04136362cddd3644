package gotera.web.archive;

import java.util.List;
import java.util.Set;

/**
 * The tables that hold a job, in an order in which each row finds what it refers to. A table that
 * is not here is named in {@link #NOT_OF_A_JOB}; a test holds both against the database.
 */
final class JobTables {
  /**
   * A table and which of its rows belong to a job.
   *
   * @param name the table
   * @param where condition with one parameter, the job's identifier
   * @param shared whether other jobs hold its rows too: where they are already, they stay
   */
  record Table(String name, String where, boolean shared) {}

  private static final String VEHICLE = "(select vehicle_id from job where id = ?)";
  private static final String TYPE =
      "(select c.engine_type_id from vehicle_circuit c join job j on j.vehicle_id = c.vehicle_id"
          + " where j.id = ?)";
  private static final String TEST = "(select id from pressure_test where job_id = ?)";

  static final List<Table> ALL =
      List.of(
          shared("engine_type", "id = " + TYPE),
          shared("engine_type_history", "id = " + TYPE),
          shared("lesson", "engine_type_id = " + TYPE),
          shared("vehicle", "id = " + VEHICLE),
          shared("vehicle_history", "id = " + VEHICLE),
          shared("vehicle_circuit", "vehicle_id = " + VEHICLE),
          shared("circuit_edit", "(vehicle_id = " + VEHICLE + " or engine_type_id = " + TYPE + ")"),
          new Table("job", "id = ?", false),
          new Table("job_history", "id = ?", false),
          own("photo"),
          own("voice"),
          own("cap"),
          own("cap_history"),
          own("pressure_test"),
          own("pressure_test_history"),
          of("trace_block"),
          of("trace_event"),
          new Table("trace_correction", "pressure_test_id in " + TEST, false),
          of("verdict"),
          of("caught"),
          own("finding"),
          new Table(
              "finding_unmet", "finding_id in (select id from finding where job_id = ?)", false),
          own("leak_site"),
          own("leak_site_history"),
          own("level_mark"),
          own("repair"),
          own("repair_history"),
          own("skipped_step"),
          own("skipped_step_history"),
          own("strip_line"),
          own("work_entry"),
          own("quote_line"),
          own("job_wait"),
          own("bench_sum"),
          of("dial"),
          own("report_signature"),
          own("chain_link"));

  /** What stays here: accounts and sessions, the workshop's own, links, and what is worked out. */
  static final Set<String> NOT_OF_A_JOB =
      Set.of(
          "account",
          "account_history",
          "SPRING_SESSION",
          "SPRING_SESSION_ATTRIBUTES",
          "entry",
          "equipment",
          "plug_check",
          "flyway_schema_history",
          "found_by",
          "gauge",
          "gauge_at_test",
          "gauge_clock",
          "gauge_sent",
          "backup_kept",
          "gauge_code",
          "installation_key",
          "job_bay",
          "job_change",
          "job_file",
          "known_workshop",
          "job_summary",
          "letterhead",
          "repair_price",
          "recovery_code",
          "report_link",
          "report_link_history",
          "revision",
          "shop_change",
          "shop_rate",
          "sign_in_try",
          "workshop_choice");

  private JobTables() {}

  private static Table own(String name) {
    return new Table(name, "job_id = ?", false);
  }

  private static Table of(String name) {
    return new Table(name, "pressure_test_id in " + TEST, false);
  }

  private static Table shared(String name, String where) {
    return new Table(name, where, true);
  }
}
