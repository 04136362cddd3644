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
 * Remembers what was read until somebody writes, whichever process wrote: the counts of changes are
 * read with each page, before anything else of it. A gauge's readings are not counted one by one:
 * of these a page reads its own.
 */
@Component
public class JobMemo {
  /** Facts kept (our judgement: those of some thousand jobs). */
  private static final int MOST = 16_000;

  private static final String SHARED = "what jobs share";

  private final RequestMemo memo;
  private final JobChanges changes;
  private final Cache<Known, Object> kept = Caffeine.newBuilder().maximumSize(MOST).build();

  JobMemo(RequestMemo memo, JobChanges changes) {
    this.memo = memo;
    this.changes = changes;
  }

  private record Known(Object what, Object count) {}

  /**
   * A fact of a job alone, which only changes within transactions that count its change.
   *
   * @param what what kind of fact
   * @param read reads it; what it gives is never changed afterwards
   */
  public <T> T of(String what, UUID jobId, Supplier<T> read) {
    return remembered(List.of(what, jobId), () -> counts(jobId).job(), read);
  }

  /** A fact of a job into which enters what it shares with others: its vehicle, its engine type. */
  public <T> T shared(String what, UUID jobId, Supplier<T> read) {
    return remembered(List.of(what, jobId), () -> counts(jobId), read);
  }

  /** A fact of what jobs share. */
  public <T> T shared(String what, Supplier<T> read) {
    return remembered(List.of(what), this::shared, read);
  }

  @SuppressWarnings("unchecked")
  private <T> T remembered(List<Object> what, Supplier<Object> count, Supplier<T> read) {
    if (!memo.remembers()) {
      return read.get();
    }
    return memo.of(
        what,
        () -> {
          Known known = new Known(what, count.get());
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
    return counts(jobId).job().seq();
  }

  /** Read once for a page. */
  private JobChanges.Counts counts(UUID jobId) {
    return memo.of(
        List.of("counts", jobId),
        () -> {
          JobChanges.Counts counts = changes.of(jobId);
          memo.of(List.of(SHARED), counts::shared);
          return counts;
        });
  }

  private Object shared() {
    return memo.of(List.of(SHARED), changes::shared);
  }
}
