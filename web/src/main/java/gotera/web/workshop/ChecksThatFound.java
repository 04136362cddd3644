package gotera.web.workshop;

import gotera.suspects.FoundBy;
import gotera.web.evidence.Cases;
import gotera.web.storage.Write;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Which checks found what was repaired in the end, over the closed jobs. What a job says is worked
 * out when it is first asked for after its closing, and kept.
 */
@Component
class ChecksThatFound {
  /** Jobs worked out at one asking; the others have their turn next time (our judgement). */
  private static final int AT_ONCE = 50;

  /** Kept for a job that has been worked out, whatever was checked in it. */
  private static final String DONE = "";

  private static final String WAITING =
      """
      select j.id, j.closed_at,
        (select group_concat(distinct r.joint separator ' ') from repair r
          where r.job_id = j.id and r.withdrawn_at is null and r.joint <> '') as repaired
      from job j
      where j.closed_at is not null
        and exists (select 1 from repair x
          where x.job_id = j.id and x.joint <> '' and x.withdrawn_at is null)
        and not exists (select 1 from found_by f
          where f.job_id = j.id and f.check_word = '' and f.closed_at = j.closed_at)
      order by j.closed_at desc limit ?
      """;

  private static final String ALL =
      """
      select f.check_word, count(*) as done, sum(f.found) as found
      from found_by f join job j on j.id = f.job_id and j.closed_at = f.closed_at
      where f.check_word <> ''
      group by f.check_word order by found desc, done desc, f.check_word
      """;

  private final JdbcTemplate database;
  private final Cases cases;

  ChecksThatFound(JdbcTemplate database, Cases cases) {
    this.database = database;
    this.cases = cases;
  }

  /**
   * A check.
   *
   * @param word its name
   * @param done closed and repaired jobs in which it was done
   * @param found those of them in which it showed what was repaired
   */
  record Check(String word, int done, int found) {}

  private record Closed(UUID job, LocalDateTime at, Set<String> repaired) {}

  @Write
  public List<Check> all() {
    database
        .query(
            WAITING,
            (row, n) ->
                new Closed(
                    UUID.fromString(row.getString("id")),
                    row.getObject("closed_at", LocalDateTime.class),
                    new HashSet<>(Arrays.asList(row.getString("repaired").split(" ")))),
            AT_ONCE)
        .forEach(this::keep);
    return database.query(
        ALL,
        (row, n) ->
            new Check(row.getString("check_word"), row.getInt("done"), row.getInt("found")));
  }

  private void keep(Closed job) {
    database.update("delete from found_by where job_id = ?", job.job().toString());
    row(job, DONE, false);
    Map<String, Boolean> checks = FoundBy.of(cases.of(job.job()).observed(), job.repaired());
    checks.forEach((check, found) -> row(job, check, found));
  }

  private void row(Closed job, String check, boolean found) {
    database.update(
        "insert into found_by (job_id, check_word, closed_at, found) values (?, ?, ?, ?)",
        job.job().toString(),
        check,
        job.at(),
        found);
  }
}
