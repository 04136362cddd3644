package gotera.web.work;

import gotera.repair.WorkSums;
import gotera.repair.WorkSums.Item;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.time.Clock;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Time and cost of a job; tools and needless work are told apart. */
@Service
public class WorkService {
  private final WorkEntryRecords records;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  WorkService(WorkEntryRecords records, JobChanges changes, Identifiers identifiers, Clock clock) {
    this.records = records;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * A line.
   *
   * @param id its identifier
   * @param kind what it is about
   * @param what its words
   * @param minutes time (min)
   * @param price price, in the shop's currency
   * @param needless whether it turned out not to be needed
   * @param by who wrote it
   */
  record Entry(
      UUID id,
      WorkKind kind,
      String what,
      OptionalDouble minutes,
      OptionalDouble price,
      boolean needless,
      String by) {}

  @Transactional(readOnly = true)
  List<Entry> entries(UUID jobId) {
    return records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
        .filter(r -> r.withdrawnAt == null)
        .map(
            r ->
                new Entry(
                    r.id,
                    Worded.of(WorkKind.class, r.kind).orElse(WorkKind.LABOUR),
                    r.what,
                    optional(r.minutes),
                    optional(r.price),
                    r.needless,
                    r.writtenBy))
        .toList();
  }

  WorkSums sums(UUID jobId) {
    return WorkSums.of(
        entries(jobId).stream()
            .map(
                e ->
                    new Item(
                        e.kind() == WorkKind.TOOL,
                        e.needless(),
                        e.minutes().orElse(0),
                        e.price().orElse(0)))
            .toList());
  }

  @Write
  public void write(UUID jobId, Entry entry, String by) {
    WorkEntryRecord record = new WorkEntryRecord(identifiers.next(), jobId, clock.instant(), by);
    record.kind = entry.kind().word();
    record.what = entry.what();
    record.minutes = orNull(entry.minutes());
    record.price = orNull(entry.price());
    record.needless = entry.needless();
    records.save(record);
    changes.count(jobId);
  }

  @Write
  public void withdraw(UUID jobId, UUID entryId, String by) {
    WorkEntryRecord record =
        records
            .findById(entryId)
            .filter(r -> r.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("work entry " + entryId));
    if (record.withdrawnAt == null) {
      record.withdrawnAt = clock.instant();
      record.withdrawnBy = by;
      changes.count(jobId);
    }
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
