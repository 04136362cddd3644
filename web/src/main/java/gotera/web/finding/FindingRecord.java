package gotera.web.finding;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A finding in the database. Written once; one taken back keeps its row. */
@Entity
@Table(name = "finding")
class FindingRecord {
  @Id UUID id;
  UUID jobId;
  String checkWord = "";
  String subject = "";
  String saw = "";
  @Nullable Double amount;
  @Nullable Double second;
  String note = "";
  @Nullable UUID photoId;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected FindingRecord() {}

  FindingRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
