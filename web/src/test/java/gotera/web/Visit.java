package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.springframework.jdbc.core.JdbcTemplate;

/** What whole visits do again and again, in the words of the screen. */
final class Visit {
  private Visit() {}

  /** Begins a job of a vehicle whose liquid is known. */
  static void begin(Bench bench, String vehicle, String liquid, String... chosen) {
    bench.open("/jobs/new");
    bench.fill("Vehicle", vehicle);
    bench.fill("Liquid in the system", liquid);
    bench.fill("Strength, %", "50");
    for (String value : chosen) {
      bench.choose(value);
    }
    bench.click("Begin the job");
  }

  /** Reads the cap. */
  static void cap(Bench bench, String stamp) {
    bench.step("Cap");
    bench.fill("Stamped on the cap", stamp);
    bench.click("Save the cap");
  }

  /** A proof: a hold with its draws, as a file, until it is sealed. */
  static void provenTight(Bench bench, SimulatedHold hold, String liquid) {
    bench.open(bench.jobPath() + "/re-test?again=true");
    bench.hold(hold, "0.1 kPa", liquid);
    bench.closed(hold);
    bench.finish();
    bench.shows(".statement", "The computed leak rate is zero: at most");
  }

  /** Closes the job with its ending. */
  static void closeAs(Bench bench, String ending) {
    bench.step("Hand over");
    bench.choose(ending);
    bench.click("Close the job");
    bench.until("document.querySelector('#open-title, .field-wrong .wrong') !== null");
    assertThat(bench.page.locator(".field-wrong .wrong").allInnerTexts()).isEmpty();
    bench.open("/jobs/closed");
  }

  /** So many days later: everything of a job was that much longer ago. */
  static void later(Application.Running application, String jobPath, int days) {
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String job = jobPath.replace("/jobs/", "");
    database
        .queryForList(
            """
            select t.table_name as name, group_concat(c.column_name) as columns
            from information_schema.columns t
              join information_schema.columns c using (table_schema, table_name)
            where t.table_schema = database() and c.data_type = 'datetime'
              and t.column_name = 'job_id' and t.table_name not like '%link%'
            group by t.table_name
            """)
        .forEach(
            t ->
                database.update(
                    "update "
                        + t.get("name")
                        + " set "
                        + t.get("columns")
                            .toString()
                            .replaceAll("(\\w+)", "$1 = $1 - interval " + days + " day")
                        + " where job_id = ?",
                    job));
    database.update("update job_change set seq = seq + 1 where job_id = ?", job);
    database.update(
        "update job set started_at = started_at - interval ? day,"
            + " closed_at = closed_at - interval ? day where id = ?",
        days,
        days,
        job);
  }

  /** Books what was drained at a place. */
  static void drain(Bench bench, String at, String volume, String caught) {
    bench.page.locator("#at").selectOption(at);
    bench.fill("How much", volume);
    bench.choose(caught);
    bench.click("Book it");
  }

  /** Holds air or a vacuum, with a reading every minute, each so much more or less. */
  static void air(Bench bench, String link, String start, int perMinute, int minutes) {
    bench.follow("#fill-steps a:text-is('" + link + "')");
    bench.fill("Finest reading you can make", "0.1 kPa");
    bench.use(bench.page.locator(".more summary").first());
    bench.choose("overnight");
    bench.click("Begin pumping");
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,event\n0,0,\n20,");
    csv.append(start).append(",valve-shut\n");
    for (int minute = 1; minute <= minutes; minute++) {
      int gauge = Integer.parseInt(start) + perMinute * minute;
      csv.append(20 + 60 * minute).append(',').append(gauge).append(",\n");
    }
    bench.curve(csv.toString());
    bench.finish();
  }

  /** Takes something off. */
  static void stripped(Bench bench, String what, String fasteners, String size) {
    bench.fill("What", what);
    bench.fill("Screws, bolts, clips", fasteners);
    bench.fill("Size", size);
    bench.click("It is off");
    bench.shows("#refit", what);
  }
}
