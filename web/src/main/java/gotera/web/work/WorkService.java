package gotera.web.work;

import gotera.repair.WorkSums;
import gotera.repair.WorkSums.Item;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
  private final Words words;
  private final Clock clock;

  WorkService(
      WorkEntryRecords records,
      JobChanges changes,
      Identifiers identifiers,
      Words words,
      Clock clock) {
    this.words = words;
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
   * @param time how long it took
   * @param price price, in the shop's currency
   * @param needless whether it turned out not to be needed
   * @param by who wrote it
   */
  record Entry(
      UUID id,
      WorkKind kind,
      String what,
      Time time,
      OptionalDouble price,
      boolean needless,
      String by) {}

  /**
   * How long something took.
   *
   * @param minutes by hand, else by the clock (min)
   * @param step the step of the job it belongs to, if it was said
   * @param from when the clock was started, where one was
   * @param running whether it runs
   */
  record Time(
      OptionalDouble minutes, Optional<Step> step, Optional<Instant> from, boolean running) {
    static Time typed(OptionalDouble minutes, Optional<Step> step) {
      return new Time(minutes, step, Optional.empty(), false);
    }
  }

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
                    time(r),
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
                        e.time().minutes().orElse(0),
                        e.price().orElse(0)))
            .toList());
  }

  @Write
  public void write(UUID jobId, Entry entry, String by) {
    WorkEntryRecord record = new WorkEntryRecord(identifiers.next(), jobId, clock.instant(), by);
    record.kind = entry.kind().word();
    record.what = entry.what();
    record.minutes = orNull(entry.time().minutes());
    record.step = entry.time().step().map(Step::word).orElse("");
    record.price = orNull(entry.price());
    record.needless = entry.needless();
    records.save(record);
    changes.count(jobId);
  }

  /** Minutes by step, in the order of the work; those of no step are not in it. */
  Map<Step, Double> bySteps(UUID jobId) {
    Map<Step, Double> minutes = new EnumMap<>(Step.class);
    for (Entry e : entries(jobId)) {
      e.time().step().ifPresent(s -> minutes.merge(s, e.time().minutes().orElse(0), Double::sum));
    }
    return minutes;
  }

  private Time time(WorkEntryRecord r) {
    Optional<Instant> from = Optional.ofNullable(r.clockFrom);
    OptionalDouble clocked =
        from.isEmpty()
            ? OptionalDouble.empty()
            : OptionalDouble.of(
                WorkSums.minutes(
                    from.get(), Objects.requireNonNullElseGet(r.clockTo, clock::instant)));
    return new Time(
        r.minutes == null ? clocked : optional(r.minutes),
        Step.of(r.step),
        from,
        from.isPresent() && r.clockTo == null);
  }

  /** Starts somebody's clock on a step; whatever clock of theirs runs elsewhere stops. */
  @Write
  public void start(UUID jobId, Step step, String by) {
    stop(by);
    WorkEntryRecord record = new WorkEntryRecord(identifiers.next(), jobId, clock.instant(), by);
    record.kind = WorkKind.LABOUR.word();
    record.what = words.say("step." + step.word());
    record.step = step.word();
    record.clockFrom = clock.instant();
    records.save(record);
    changes.count(jobId);
  }

  /** Stops somebody's clock, wherever it runs. */
  @Write
  public void stop(String by) {
    records.findByWrittenByAndClockFromIsNotNullAndClockToIsNullAndWithdrawnAtIsNull(by).stream()
        .forEach(
            r -> {
              r.clockTo = clock.instant();
              changes.count(r.jobId);
            });
  }

  /** Minutes by hand stand above those of the clock (min). */
  @Write
  public void correct(UUID jobId, UUID entryId, double minutes) {
    WorkEntryRecord record = require(jobId, entryId);
    record.minutes = minutes;
    if (record.clockFrom != null && record.clockTo == null) {
      record.clockTo = clock.instant();
    }
    changes.count(jobId);
  }

  private WorkEntryRecord require(UUID jobId, UUID entryId) {
    return records
        .findById(entryId)
        .filter(r -> r.jobId.equals(jobId))
        .orElseThrow(() -> new NotFound("work entry " + entryId));
  }

  @Write
  public void withdraw(UUID jobId, UUID entryId, String by) {
    WorkEntryRecord record = require(jobId, entryId);
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
