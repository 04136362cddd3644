package gotera.web.timer;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A wait in the database. */
@Entity
@Table(name = "job_wait")
class WaitRecord {
  @Id UUID id;
  UUID jobId;
  String kind;
  String note;
  Instant begunAt;
  Instant dueAt;
  String begunBy;
  @Nullable Instant endedAt;
  @Nullable String endedBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected WaitRecord() {}

  WaitRecord(
      UUID id,
      UUID jobId,
      String kind,
      String note,
      Instant begunAt,
      Instant dueAt,
      String begunBy) {
    this.id = id;
    this.jobId = jobId;
    this.kind = kind;
    this.note = note;
    this.begunAt = begunAt;
    this.dueAt = dueAt;
    this.begunBy = begunBy;
  }
}
