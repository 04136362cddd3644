package gotera.web.frame;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells open pages what they listen for, whichever process took it: one look for all pages of this
 * process, however many there are, and none while nobody listens.
 *
 * @param <T> what a page listens for
 */
public abstract class Watch<T> implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Watch.class);

  /** A page that hears nothing for so long hears a sign of life: who left is noticed. */
  private static final Duration SIGN_OF_LIFE = Duration.ofSeconds(15);

  /** A page asks anew after this time, and is held against its account again. */
  public static final Duration LONGEST = Duration.ofMinutes(5);

  /** Most pages that one process tells (our judgement). */
  public static final int MOST_PAGES = 500;

  private final String name;
  private final Duration every;
  private final Set<Page<T>> pages = ConcurrentHashMap.newKeySet();
  private @Nullable ScheduledExecutorService watcher;

  /**
   * A watch.
   *
   * @param every how often it looks
   */
  protected Watch(String name, Duration every) {
    this.name = name;
    this.every = every;
  }

  /**
   * An open page.
   *
   * @param <T> what it listens for
   */
  public static final class Page<T> {
    private final T what;
    private final SseEmitter out = new SseEmitter(LONGEST.toMillis());
    private long quietSince = System.nanoTime();

    Page(T what) {
      this.what = what;
    }

    /** What it listens for. */
    public T what() {
      return what;
    }
  }

  /** Looks for pages, and tells them by {@link #tell}. */
  protected abstract void look(List<Page<T>> now);

  /** Tells a page from now on. */
  protected SseEmitter listen(T what) {
    Page<T> page = new Page<>(what);
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

  /** Tells a page something. */
  protected void tell(Page<T> page, String data) {
    send(page, SseEmitter.event().data(data));
  }

  private void send(Page<T> page, SseEmitter.SseEventBuilder event) {
    try {
      page.quietSince = System.nanoTime();
      page.out.send(event);
    } catch (IOException | IllegalStateException e) {
      // whoever left hears nothing more
      pages.remove(page);
    }
  }

  private void lookOnce() {
    List<Page<T>> now = List.copyOf(pages);
    if (now.isEmpty()) {
      return;
    }
    try {
      look(now);
      for (Page<T> page : now) {
        if (System.nanoTime() - page.quietSince > SIGN_OF_LIFE.toNanos()) {
          send(page, SseEmitter.event().comment(""));
        }
      }
    } catch (DataAccessException e) {
      // pages stay as they are until the database answers again
      LOG.debug("{} cannot look now", name, e);
    } catch (RuntimeException e) {
      // one look that fails must not end all that follow
      LOG.error("{} failed", name, e);
    }
  }

  @Override
  public void start() {
    watcher =
        Executors.newSingleThreadScheduledExecutor(
            r -> {
              Thread thread = new Thread(r, name);
              thread.setDaemon(true);
              return thread;
            });
    watcher.scheduleWithFixedDelay(
        this::lookOnce, every.toMillis(), every.toMillis(), TimeUnit.MILLISECONDS);
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
