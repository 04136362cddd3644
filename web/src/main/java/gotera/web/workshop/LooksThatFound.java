package gotera.web.workshop;

import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** In which state a look found what was repaired in the end, over the closed jobs. */
@Component
class LooksThatFound {
  private static final String ALL =
      """
      select l.state, count(distinct l.job_id) as looked,
        count(distinct case when l.saw = 'wet' and r.id is not null then l.job_id end) as found
      from leak_site l
        join job j on j.id = l.job_id
        left join repair r on r.job_id = l.job_id and r.joint = l.joint and r.withdrawn_at is null
      where j.closed_at is not null and l.withdrawn_at is null
        and exists (select 1 from repair x
          where x.job_id = j.id and x.joint <> '' and x.withdrawn_at is null)
      group by l.state order by found desc, l.state
      """;

  private final JdbcTemplate database;

  LooksThatFound(JdbcTemplate database) {
    this.database = database;
  }

  /**
   * A state in which was looked.
   *
   * @param state its word
   * @param looked closed and repaired jobs in which somebody looked so
   * @param found those of them in which the place that was repaired was seen wet so
   */
  record Look(String state, int looked, int found) {}

  @Transactional(readOnly = true)
  public List<Look> all() {
    return database.query(
        ALL,
        (row, n) -> new Look(row.getString("state"), row.getInt("looked"), row.getInt("found")));
  }
}
