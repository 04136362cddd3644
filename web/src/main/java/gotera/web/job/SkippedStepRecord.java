package gotera.web.job;

import gotera.work.Step;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** A step of a job that somebody skipped, in the database; taken back it keeps its row. */
@Entity
@Audited
@Table(name = "skipped_step")
class SkippedStepRecord {
  @Id UUID id;
  UUID jobId;
  String step;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected SkippedStepRecord() {}

  SkippedStepRecord(UUID id, UUID jobId, Step step, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.step = step.word();
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
