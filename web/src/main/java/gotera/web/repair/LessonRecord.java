package gotera.web.repair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was learned on an engine type, in the database. */
@Entity
@Table(name = "lesson")
class LessonRecord {
  @Id UUID id;
  UUID engineTypeId;
  String kind = "";
  String what = "";
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected LessonRecord() {}

  LessonRecord(
      UUID id, UUID engineTypeId, String kind, String what, Instant writtenAt, String writtenBy) {
    this.kind = kind;
    this.id = id;
    this.engineTypeId = engineTypeId;
    this.what = what;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
