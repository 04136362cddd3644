package gotera.web.finding;

import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.RequestMemo;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Writes findings down, and gives those of a check. */
@Service
public class FindingService {
  private final FindingRecords records;
  private final PhotoService photos;
  private final JobChanges changes;
  private final RequestMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  FindingService(
      FindingRecords records,
      PhotoService photos,
      JobChanges changes,
      RequestMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.records = records;
    this.photos = photos;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * A finding to write down.
   *
   * @param check word of the check
   * @param subject what it is about
   * @param saw what was seen or done
   * @param measures what was measured with it
   * @param unmet conditions that were not met
   * @param note anything else
   * @param photograph its photograph
   * @param ago how long ago it happened, where it is written down afterwards
   */
  public record New(
      String check,
      String subject,
      String saw,
      Measures measures,
      Set<String> unmet,
      String note,
      Optional<Photograph> photograph,
      Duration ago) {
    /** One that happens now. */
    public New(
        String check,
        String subject,
        String saw,
        Measures measures,
        Set<String> unmet,
        String note,
        Optional<Photograph> photograph) {
      this(check, subject, saw, measures, unmet, note, photograph, Duration.ZERO);
    }

    /** One without measures, note and photograph. */
    public static New of(String check, String subject, String saw) {
      return of(check, subject, saw, Measures.NONE);
    }

    /** One with what was measured. */
    public static New of(String check, String subject, String saw, Measures measures) {
      return new New(check, subject, saw, measures, Set.of(), "", Optional.empty());
    }
  }

  /** Writes it down. */
  @Write
  public UUID write(UUID jobId, New finding, String by) {
    FindingRecord record = new FindingRecord(identifiers.next(), jobId, clock.instant(), by);
    record.checkWord = finding.check();
    record.subject = finding.subject();
    record.saw = finding.saw();
    record.measure(finding.measures());
    record.unmet.addAll(finding.unmet());
    record.note = finding.note();
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

  /** The findings of a check that stand, in the order in which they were written. */
  public List<Finding> of(UUID jobId, String check) {
    List<Finding> all =
        memo.of(
            List.of("findings", jobId),
            () ->
                records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
                    .filter(r -> r.withdrawnAt == null)
                    .map(FindingService::finding)
                    .toList());
    return all.stream().filter(f -> f.check().equals(check)).toList();
  }

  static Finding finding(FindingRecord r) {
    return new Finding(
        r.id,
        r.checkWord,
        r.subject,
        r.saw,
        r.measures(),
        Set.copyOf(r.unmet),
        r.note,
        Optional.ofNullable(r.photoId),
        r.happenedAt == null ? r.writtenAt : r.happenedAt,
        r.writtenAt,
        r.writtenBy);
  }
}
