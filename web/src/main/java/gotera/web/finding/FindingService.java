package gotera.web.finding;

import gotera.said.Said;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Writes findings down, and gives those of a check. */
@Service
public class FindingService {
  private final FindingRecords records;
  private final PhotoService photos;
  private final JobChanges changes;
  private final JobMemo memo;
  private final FindingHealth health;
  private final Identifiers identifiers;
  private final Clock clock;

  FindingService(
      FindingRecords records,
      PhotoService photos,
      JobChanges changes,
      JobMemo memo,
      FindingHealth health,
      Identifiers identifiers,
      Clock clock) {
    this.records = records;
    this.photos = photos;
    this.changes = changes;
    this.memo = memo;
    this.health = health;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * Something to write down.
   *
   * @param said what was said, seen or done
   * @param note anything else
   * @param photograph its photograph
   * @param ago how long ago it happened, where it is written down afterwards
   */
  public record New(Said said, String note, Optional<Photograph> photograph, Duration ago) {
    /** One that happens now, with a note. */
    public New(Said said, String note) {
      this(said, note, Optional.empty(), Duration.ZERO);
    }
  }

  /** Writes down what happens now. */
  @Write
  public UUID write(UUID jobId, Said said, String by) {
    return write(jobId, new New(said, ""), by);
  }

  /** Writes it down. */
  @Write
  public UUID write(UUID jobId, New finding, String by) {
    FindingRecord record = new FindingRecord(identifiers.next(), jobId, clock.instant(), by);
    record.say(FindingCodec.write(finding.said()), finding.note());
    record.happenedAt = finding.ago().isZero() ? null : record.writtenAt.minus(finding.ago());
    record.photoId = finding.photograph().map(p -> photos.keep(jobId, p, by)).orElse(null);
    records.save(record);
    changes.count(jobId);
    return record.id;
  }

  /** Takes one back; it stays in the history. */
  @Write
  public void withdraw(UUID jobId, UUID id, String by) {
    FindingRecord record =
        records
            .findById(id)
            .filter(r -> r.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("finding " + id));
    if (record.withdrawnAt == null) {
      record.withdrawnAt = clock.instant();
      record.withdrawnBy = by;
      changes.count(jobId);
    }
  }

  /** What was said of a kind and stands, in the order in which it was written. */
  public <S extends Said> List<Finding<S>> of(UUID jobId, Class<S> kind) {
    return log(jobId).known().stream()
        .filter(f -> kind.isInstance(f.said()))
        .map(f -> cast(f, kind))
        .toList();
  }

  /** The same of any of several kinds. */
  public List<Finding<Said>> of(UUID jobId, List<Class<? extends Said>> kinds) {
    return log(jobId).known().stream()
        .filter(f -> kinds.stream().anyMatch(k -> k.isInstance(f.said())))
        .toList();
  }

  /** Lines that nobody can read: what they say is not known, nor what they leave unsaid. */
  public List<Unread> unread(UUID jobId) {
    return log(jobId).unread();
  }

  /** The log of a job, as far as it stands. */
  private record Log(List<Finding<Said>> known, List<Unread> unread) {}

  private Log log(UUID jobId) {
    return memo.of(
        "findings",
        jobId,
        () -> {
          Log log = new Log(new ArrayList<>(), new ArrayList<>());
          for (FindingRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
            if (r.withdrawnAt == null) {
              r.read().ifPresentOrElse(log.known()::add, () -> log.unread().add(r.unread()));
            }
          }
          health.seen(log.unread());
          return log;
        });
  }

  private static <S extends Said> Finding<S> cast(Finding<Said> f, Class<S> kind) {
    return new Finding<>(
        f.id(), kind.cast(f.said()), f.note(), f.photo(), f.at(), f.writtenAt(), f.by());
  }
}
