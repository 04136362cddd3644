package gotera.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.web.storage.RequestMemo;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Remembers what was read of a job until somebody writes to it, whichever process wrote: the count
 * of its changes is read with each page, before anything else of it. For what only changes within
 * transactions that count; of what others share (a vehicle's name, an engine type) or a gauge
 * writes, a page reads its own.
 */
@Component
public class JobMemo {
  /** Facts kept (our judgement: those of some thousand jobs). */
  private static final int MOST = 8000;

  private final RequestMemo memo;
  private final JobChanges changes;
  private final Cache<Known, Object> kept = Caffeine.newBuilder().maximumSize(MOST).build();

  JobMemo(RequestMemo memo, JobChanges changes) {
    this.memo = memo;
    this.changes = changes;
  }

  private record Known(String what, UUID jobId, JobChanges.Count count) {}

  /**
   * A fact of a job.
   *
   * @param what what kind of fact
   * @param read reads it; what it gives is never changed afterwards
   */
  @SuppressWarnings("unchecked")
  public <T> T of(String what, UUID jobId, Supplier<T> read) {
    if (!memo.remembers()) {
      return read.get();
    }
    return memo.of(
        List.of(what, jobId),
        () -> {
          Known known = new Known(what, jobId, count(jobId));
          Object value = kept.getIfPresent(known);
          if (value == null) {
            value = Objects.requireNonNull(read.get());
            kept.put(known, value);
          }
          return (T) value;
        });
  }

  /** How often the job was written to. */
  long seq(UUID jobId) {
    return count(jobId).seq();
  }

  /** Read once for a page. */
  private JobChanges.Count count(UUID jobId) {
    return memo.of(List.of("count", jobId), () -> changes.of(jobId));
  }
}
