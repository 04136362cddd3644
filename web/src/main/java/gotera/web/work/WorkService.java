package gotera.web.work;

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

  /** The sums of a sheet: minutes and price of what the job needed, of tools, of needless work. */
  record Sums(double minutes, double price, double tools, double needlessMinutes) {}

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

  Sums sums(UUID jobId) {
    double minutes = 0;
    double price = 0;
    double tools = 0;
    double needless = 0;
    for (Entry e : entries(jobId)) {
      if (e.kind() == WorkKind.TOOL) {
        tools += e.price().orElse(0);
      } else if (e.needless()) {
        needless += e.minutes().orElse(0);
      } else {
        minutes += e.minutes().orElse(0);
        price += e.price().orElse(0);
      }
    }
    return new Sums(minutes, price, tools, needless);
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
