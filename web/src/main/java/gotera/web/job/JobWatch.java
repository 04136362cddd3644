package gotera.web.job;

import gotera.web.frame.Watch;
import gotera.web.job.JobWatch.Seen;
import java.time.Duration;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells the open pages of a job that somebody wrote to it: one question for all of them. */
@Component
class JobWatch extends Watch<Seen> {
  /** How often it is asked (our judgement): a reading is seen by the others within a second. */
  private static final Duration EVERY = Duration.ofMillis(500);

  private final JdbcTemplate database;

  JobWatch(JdbcTemplate database) {
    super("job watch", EVERY);
    this.database = database;
  }

  /** The job of an open page, and the count it knows of. */
  static final class Seen {
    private final UUID job;
    private long seq;

    Seen(UUID job, long seq) {
      this.job = job;
      this.seq = seq;
    }
  }

  /**
   * Tells a page from now on.
   *
   * @param seq the count it was made with; what came since is told at once
   */
  SseEmitter watch(UUID job, long seq) {
    return listen(new Seen(job, seq));
  }

  @Override
  protected void look(List<Page<Seen>> now) {
    Map<UUID, Long> counts = counts(now);
    for (Page<Seen> page : now) {
      long seq = counts.getOrDefault(page.what().job, page.what().seq);
      if (seq != page.what().seq) {
        page.what().seq = seq;
        tell(page, Long.toString(seq));
      }
    }
  }

  private Map<UUID, Long> counts(List<Page<Seen>> of) {
    List<String> jobs = of.stream().map(p -> p.what().job.toString()).distinct().toList();
    String marks = String.join(",", Collections.nCopies(jobs.size(), "?"));
    Map<UUID, Long> counts = new HashMap<>();
    database.query(
        "select job_id, seq from job_change where job_id in (" + marks + ")",
        row -> {
          counts.put(UUID.fromString(row.getString(1)), row.getLong(2));
        },
        jobs.toArray());
    return counts;
  }
}
