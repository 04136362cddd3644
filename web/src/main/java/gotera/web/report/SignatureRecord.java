package gotera.web.report;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A signature in the database; written once. */
@Entity
@Table(name = "report_signature")
class SignatureRecord {
  @Id UUID id;
  UUID jobId;
  String name = "";
  String drawing = "";
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected SignatureRecord() {}

  SignatureRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
