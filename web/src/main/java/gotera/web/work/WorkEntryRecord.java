package gotera.web.work;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line of the sheet of time and cost, in the database. */
@Entity
@Table(name = "work_entry")
class WorkEntryRecord {
  @Id UUID id;
  UUID jobId;
  String kind = "";
  String what = "";
  @Nullable Double minutes;
  @Nullable Double price;
  String step = "";
  @Nullable Instant clockFrom;
  @Nullable Instant clockTo;
  boolean needless;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected WorkEntryRecord() {}

  WorkEntryRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
