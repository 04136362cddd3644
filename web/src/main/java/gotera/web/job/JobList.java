package gotera.web.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lists of jobs, open and closed, page by page, as far as they match what is looked for. */
@Component
class JobList {
  /** Rows of a page (our judgement: more than anybody reads). */
  static final int PAGE = 50;

  /** Words of a search that are looked at (our judgement). */
  private static final int MOST_WORDS = 8;

  private static final String ROWS =
      """
      select j.id, v.name, j.complaint, j.started_at, j.closed_at, j.discarded_at, j.ending,
        coalesce(c.seq, 0) as seq, s.seq as kept_seq, s.due_at, s.waits_for, s.shape, s.headline,
        s.tight, s.waits_until
      from job j
        left join vehicle v on v.id = j.vehicle_id
        left join job_change c on c.job_id = j.id
        left join job_summary s on s.job_id = j.id
      """;

  private static final String OPEN = " where j.ended_at is null ";
  private static final String NOT_OPEN = " where j.ended_at is not null ";

  /** A word is in the vehicle, the complaint, the engine type, the ending, a date, or a place. */
  private static final String HAS =
      """
       and (concat_ws(' ', v.name collate utf8mb4_unicode_ci, v.description, j.complaint, j.ending, j.ending_note,
              date_format(j.started_at, '%Y-%m-%d %e %b'), date_format(j.closed_at, '%Y-%m-%d %e %b'))
              like ?
         or exists (select 1 from vehicle_circuit vc join engine_type t on t.id = vc.engine_type_id
              where vc.vehicle_id = j.vehicle_id and t.name like ?)
         or exists (select 1 from leak_site l where l.job_id = j.id and l.saw <> 'dry'
              and replace(replace(l.joint, '-', ' '), '.', ' ') like ?)
         or exists (select 1 from repair r where r.job_id = j.id
              and replace(replace(r.joint, '-', ' '), '.', ' ') like ?))
      """;

  private static final int HAS_PARAMETERS = 4;

  /** What can be worked on now comes first, then the newest. */
  private static final String OPEN_ORDER =
      " order by case when s.waits_until > utc_timestamp(6) then s.waits_until else '1970-01-01'"
          + " end, j.started_at desc, j.id limit ? offset ?";

  private static final String CLOSED_ORDER =
      " order by j.ended_at desc, j.id desc limit ? offset ?";

  private final JdbcTemplate database;
  private final JobSummaries summaries;
  private final JobWords index;

  JobList(JdbcTemplate database, JobSummaries summaries, JobWords index) {
    this.database = database;
    this.index = index;
    this.summaries = summaries;
  }

  /**
   * What is looked for.
   *
   * @param words each must be found somewhere in the job; empty for all jobs
   * @param page the page, from 1
   */
  record Query(String words, int page) {}

  /**
   * A job in a list.
   *
   * @param seq its count of changes
   * @param kept what was kept of it and still holds
   * @param before what was kept of it, whether it holds or not
   */
  record Row(
      UUID id,
      Optional<String> vehicle,
      String complaint,
      Times times,
      String ending,
      long seq,
      Optional<JobSummary> kept,
      Optional<JobSummary> before) {}

  /** When it began, and when it was closed or put aside. */
  record Times(Instant started, Optional<Instant> closed, Optional<Instant> discarded) {}

  /** A page of them, and whether more follow. */
  record Rows(List<Row> rows, boolean more) {}

  /** Open jobs. */
  @Transactional(readOnly = true)
  Rows open(Query query) {
    return read(OPEN, OPEN_ORDER, query);
  }

  /** Open jobs, the newest first, at most so many. */
  List<Row> newest(int most) {
    return database.query(
        ROWS + OPEN + " order by j.started_at desc, j.id desc limit ?", (row, n) -> row(row), most);
  }

  /** Jobs that are closed or put aside, the newest first. */
  @Transactional(readOnly = true)
  Rows notOpen(Query query) {
    return read(NOT_OPEN, CLOSED_ORDER, query);
  }

  private Rows read(String which, String order, Query query) {
    StringBuilder sql = new StringBuilder(ROWS).append(which);
    List<Object> parameters = new ArrayList<>();
    List<String> words =
        Arrays.stream(query.words().split("\\s+"))
            .filter(w -> !w.isEmpty())
            .limit(MOST_WORDS)
            .toList();
    for (String word : words) {
      sql.append(HAS);
      parameters.addAll(Collections.nCopies(HAS_PARAMETERS, anywhere(word)));
    }
    Optional<Set<UUID>> some = which.equals(NOT_OPEN) ? index.having(words) : Optional.empty();
    if (some.isPresent()) {
      if (some.get().isEmpty()) {
        return new Rows(List.of(), false);
      }
      sql.append(" and j.id in (")
          .append(String.join(",", Collections.nCopies(some.get().size(), "?")))
          .append(")");
      some.get().forEach(id -> parameters.add(id.toString()));
    }
    sql.append(order);
    parameters.add(PAGE + 1);
    parameters.add((query.page() - 1) * PAGE);
    List<Row> rows = database.query(sql.toString(), (row, n) -> row(row), parameters.toArray());
    return new Rows(rows.subList(0, Math.min(PAGE, rows.size())), rows.size() > PAGE);
  }

  /** A pattern for what has the word somewhere. */
  static String anywhere(String word) {
    return "%" + word.replaceAll("([\\\\%_])", "\\\\$1") + "%";
  }

  private Row row(ResultSet row) throws SQLException {
    return new Row(
        UUID.fromString(row.getString("id")),
        Optional.ofNullable(row.getString("name")),
        row.getString("complaint"),
        new Times(
            JobSummaries.moment(row, "started_at").orElseThrow(),
            JobSummaries.moment(row, "closed_at"),
            JobSummaries.moment(row, "discarded_at")),
        row.getString("ending"),
        row.getLong("seq"),
        summaries.kept(row),
        summaries.before(row));
  }
}
