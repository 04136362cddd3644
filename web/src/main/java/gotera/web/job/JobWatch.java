package gotera.web.job;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells the open pages of a job that somebody wrote to it, whichever process took the entry: one
 * question for all jobs that are watched here, however many pages there are, and none while nobody
 * watches.
 */
@Component
class JobWatch implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(JobWatch.class);

  /** How often it is asked (our judgement): a reading is seen by the others within a second. */
  private static final Duration EVERY = Duration.ofMillis(500);

  /** After so many askings without news a page hears a sign of life: who left is noticed. */
  private static final int SIGN_OF_LIFE = 30;

  /** A page asks anew after this time, and is held against its account again. */
  static final Duration LONGEST = Duration.ofMinutes(5);

  /** Most pages that one process tells (our judgement). */
  static final int MOST_PAGES = 500;

  private final JdbcTemplate database;
  private final Set<Page> pages = ConcurrentHashMap.newKeySet();
  private @Nullable ScheduledExecutorService watcher;

  JobWatch(JdbcTemplate database) {
    this.database = database;
  }

  /** An open page, and the count it knows of. */
  private static final class Page {
    private final UUID job;
    private final SseEmitter out;
    private long seq;
    private int quiet;

    Page(UUID job, long seq) {
      this.job = job;
      this.seq = seq;
      this.out = new SseEmitter(LONGEST.toMillis());
    }
  }

  /**
   * Tells a page from now on.
   *
   * @param seq the count it was made with; what came since is told at once
   */
  SseEmitter watch(UUID job, long seq) {
    Page page = new Page(job, seq);
    page.out.onCompletion(() -> pages.remove(page));
    page.out.onTimeout(page.out::complete);
    page.out.onError(e -> pages.remove(page));
    if (pages.size() >= MOST_PAGES) {
      page.out.complete();
      return page.out;
    }
    try {
      // the browser knows at once that it is heard
      page.out.send(SseEmitter.event().comment(""));
      pages.add(page);
    } catch (IOException e) {
      LOG.debug("a page left before it listened", e);
    }
    return page.out;
  }

  private void look() {
    List<Page> now = List.copyOf(pages);
    if (now.isEmpty()) {
      return;
    }
    try {
      Map<UUID, Long> counts = counts(now);
      now.forEach(p -> tell(p, counts.getOrDefault(p.job, p.seq)));
    } catch (DataAccessException e) {
      // pages stay as they are until the database answers again
      LOG.debug("jobs cannot be watched now", e);
    }
  }

  private Map<UUID, Long> counts(List<Page> of) {
    List<String> jobs = of.stream().map(p -> p.job.toString()).distinct().toList();
    String marks = String.join(",", java.util.Collections.nCopies(jobs.size(), "?"));
    Map<UUID, Long> counts = new HashMap<>();
    database.query(
        "select job_id, seq from job_change where job_id in (" + marks + ")",
        row -> {
          counts.put(UUID.fromString(row.getString(1)), row.getLong(2));
        },
        new ArrayList<Object>(jobs).toArray());
    return counts;
  }

  private void tell(Page page, long seq) {
    page.quiet++;
    try {
      if (seq != page.seq) {
        page.seq = seq;
        page.quiet = 0;
        page.out.send(SseEmitter.event().data(Long.toString(seq)));
      } else if (page.quiet >= SIGN_OF_LIFE) {
        page.quiet = 0;
        page.out.send(SseEmitter.event().comment(""));
      }
    } catch (IOException | IllegalStateException e) {
      // whoever left hears nothing more
      pages.remove(page);
    }
  }

  @Override
  public void start() {
    watcher =
        Executors.newSingleThreadScheduledExecutor(
            r -> {
              Thread thread = new Thread(r, "job watch");
              thread.setDaemon(true);
              return thread;
            });
    watcher.scheduleWithFixedDelay(
        this::look, EVERY.toMillis(), EVERY.toMillis(), TimeUnit.MILLISECONDS);
  }

  /** Before the web server waits for its answers to end: these would not. */
  @Override
  public void stop() {
    if (watcher != null) {
      watcher.shutdownNow();
      watcher = null;
    }
    pages.forEach(p -> p.out.complete());
  }

  @Override
  public boolean isRunning() {
    return watcher != null;
  }

  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }
}
