package gotera.web.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that came off, in the database. */
@Entity
@Table(name = "strip_line")
class StripLineRecord {
  @Id UUID id;
  UUID jobId;
  String joint = "";
  String what = "";
  int fasteners;
  int back;
  String size = "";
  String torque = "";
  boolean hidden;
  boolean needless;
  @Nullable UUID photoId;
  @Nullable UUID voiceId;
  @Nullable Instant refittedAt;
  @Nullable String refittedBy;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected StripLineRecord() {}

  StripLineRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
