package gotera.web.circuit;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** What was seen at a joint, in the database. Written once; the latest of a joint counts. */
@Entity
@Audited
@Table(name = "leak_site")
class LeakSiteRecord {
  @Id UUID id;
  UUID jobId;
  String joint;
  String saw;
  String state = "cold";
  @Nullable Double dropsPerMinute;
  @Nullable Double pressureKpa;
  String note;
  @Nullable UUID photoId;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected LeakSiteRecord() {}

  LeakSiteRecord(
      UUID id,
      UUID jobId,
      String joint,
      String saw,
      String state,
      String note,
      Instant writtenAt,
      String by) {
    this.id = id;
    this.jobId = jobId;
    this.joint = joint;
    this.saw = saw;
    this.state = state;
    this.note = note;
    this.writtenAt = writtenAt;
    this.writtenBy = by;
  }
}
