package gotera.web.job;

import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.work.Step;
import java.time.Clock;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Steps that somebody skipped on a job: they are not waited for, and can be taken up any time. */
@Service
class SkippedSteps {
  private final SkippedStepRecords records;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  SkippedSteps(
      SkippedStepRecords records,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.records = records;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The steps that are skipped now. */
  Set<Step> of(UUID jobId) {
    return memo.of(
        "skipped",
        jobId,
        () ->
            records.findByJobIdAndWithdrawnAtIsNull(jobId).stream()
                .flatMap(r -> Step.of(r.step).stream())
                .collect(Collectors.toSet()));
  }

  /** Skips a step; one that is skipped stays so. */
  @Write
  void skip(UUID jobId, Step step, String by) {
    boolean is =
        records.findByJobIdAndWithdrawnAtIsNull(jobId).stream()
            .anyMatch(r -> r.step.equals(step.word()));
    if (!is) {
      records.save(new SkippedStepRecord(identifiers.next(), jobId, step, clock.instant(), by));
      changes.count(jobId);
    }
  }

  /** Takes up a step again that was skipped. */
  @Write
  void takeUp(UUID jobId, Step step, String by) {
    records.findByJobIdAndWithdrawnAtIsNull(jobId).stream()
        .filter(r -> r.step.equals(step.word()))
        .forEach(
            r -> {
              r.withdrawnAt = clock.instant();
              r.withdrawnBy = by;
              records.save(r);
            });
    changes.count(jobId);
  }
}
