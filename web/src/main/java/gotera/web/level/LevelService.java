package gotera.web.level;

import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The marks of a job. */
@Service
class LevelService {
  private final LevelMarkRecords marks;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  LevelService(LevelMarkRecords marks, JobChanges changes, Identifiers identifiers, Clock clock) {
    this.marks = marks;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The marks in order. */
  @Transactional(readOnly = true)
  List<LevelMarkRecord> marks(UUID jobId) {
    return marks.findByJobIdAndWithdrawnAtIsNullOrderByReadAtAscIdAsc(jobId);
  }

  /** Keeps a mark, or says at its fields what is wrong. */
  @Write
  void keep(UUID jobId, LevelForm form, FieldProblems problems, Figures figures, String by) {
    Instant now = clock.instant();
    LevelMarkRecord record = new LevelMarkRecord(identifiers.next(), jobId, now, by);
    form.into(record, problems, marks(jobId).isEmpty(), now, figures);
    if (problems.none()) {
      marks.save(record);
      changes.count(jobId);
    }
  }

  /** Takes a mark back; it stays in the history. */
  @Write
  void withdraw(UUID jobId, UUID id, String by) {
    LevelMarkRecord mark =
        marks
            .findById(id)
            .filter(m -> m.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("level mark " + id));
    if (mark.withdrawnAt == null) {
      mark.withdrawnAt = clock.instant();
      mark.withdrawnBy = by;
      marks.save(mark);
      changes.count(jobId);
    }
  }
}
