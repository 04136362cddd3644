package gotera.web.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** What was repaired, in the database. */
@Entity
@Audited
@Table(name = "repair")
class RepairRecord {
  @Id UUID id;
  UUID jobId;
  String joint;
  String note;
  boolean renewed;
  @Nullable Instant happenedAt;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected RepairRecord() {}

  RepairRecord(
      UUID id, UUID jobId, String joint, String note, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.joint = joint;
    this.note = note;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }

  /** When it was done. */
  Instant at() {
    return happenedAt == null ? writtenAt : happenedAt;
  }
}
