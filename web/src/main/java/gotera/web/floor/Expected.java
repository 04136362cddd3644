package gotera.web.floor;

import gotera.pressure.ToGo;
import gotera.web.job.OpenJobs;
import gotera.web.job.OpenJobs.OpenJob;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * When tests that run can be expected to be proven, and what lists say of jobs that move: worked
 * out behind the page, one after the other, so that the page itself waits for nothing. What is
 * known stands on it; what became known since comes with the next look.
 */
@Component
class Expected implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Expected.class);

  /** Nothing is worked out again sooner (our judgement). */
  private static final Duration AGAIN = Duration.ofSeconds(15);

  private static final int MOST = 1000;

  private final PressureService tests;
  private final OpenJobs jobs;
  private final TransactionTemplate reading;
  private final Clock clock;
  private final Map<UUID, Known> known = new ConcurrentHashMap<>();
  private final AtomicLong news = new AtomicLong();
  private final ExecutorService behind =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread thread = new Thread(r, "floor");
            thread.setDaemon(true);
            return thread;
          });

  Expected(
      PressureService tests, OpenJobs jobs, PlatformTransactionManager transactions, Clock clock) {
    this.tests = tests;
    this.jobs = jobs;
    this.reading = new TransactionTemplate(transactions);
    this.reading.setReadOnly(true);
    this.clock = clock;
  }

  private record Known(Instant at, Optional<Instant> due) {}

  /** When a test can be proven, as far as it is known. */
  Optional<Instant> of(UUID test) {
    again(test, () -> due(test));
    Known k = known.get(test);
    return k == null ? Optional.empty() : k.due();
  }

  /** A job whose list moves is worked out, too. */
  void moved(OpenJob job) {
    again(
        job.id(),
        () -> {
          jobs.workOut(job);
          return Optional.empty();
        });
  }

  /** How often something became known. */
  long news() {
    return news.get();
  }

  private void again(UUID what, java.util.function.Supplier<Optional<Instant>> work) {
    Instant now = clock.instant();
    Known k = known.get(what);
    if (k != null && k.at().plus(AGAIN).isAfter(now)) {
      return;
    }
    if (known.size() > MOST) {
      known.clear();
    }
    Optional<Instant> before = k == null ? Optional.empty() : k.due();
    known.put(what, new Known(now, before));
    behind.execute(
        () -> {
          try {
            Optional<Instant> due = work.get();
            known.put(what, new Known(now, due));
            news.incrementAndGet();
          } catch (RuntimeException e) {
            LOG.warn("the floor does not know of {}", what, e);
          }
        });
  }

  private Optional<Instant> due(UUID testId) {
    Optional<Instant> due =
        reading.execute(
            status -> {
              PressureTestView test = tests.require(testId);
              return test.holding()
                  ? ToGo.of(test.trace(), test.conditions(), test.result())
                      .filter(t -> t.minutes().isPresent())
                      .map(t -> last(test).plusSeconds(Math.round(60 * t.minutes().getAsDouble())))
                  : Optional.<Instant>empty();
            });
    return due == null ? Optional.empty() : due;
  }

  private static Instant last(PressureTestView test) {
    double seconds = test.trace().seconds(test.trace().size() - 1);
    return test.startedAt().plusMillis(Math.round(1000 * seconds));
  }

  @Override
  public void destroy() {
    behind.shutdownNow();
  }
}
