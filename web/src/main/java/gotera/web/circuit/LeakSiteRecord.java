package gotera.web.circuit;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Looked;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.OptionalDouble;
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
  Sight saw;
  LookState state = LookState.COLD;
  @Nullable Double dropsPerMinute;
  @Nullable Double pressureKpa;
  boolean driedBefore;
  String note;
  @Nullable UUID photoId;
  @Nullable Instant happenedAt;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected LeakSiteRecord() {}

  LeakSiteRecord(UUID id, UUID jobId, Looked look, String note, Instant writtenAt, String by) {
    this.id = id;
    this.jobId = jobId;
    this.joint = look.place();
    this.saw = look.saw();
    this.state = look.state();
    this.dropsPerMinute = orNull(look.dropsPerMinute());
    this.pressureKpa = orNull(look.gauge());
    this.driedBefore = look.driedBefore();
    this.note = note;
    this.writtenAt = writtenAt;
    this.writtenBy = by;
  }

  /** When it was seen. */
  Instant at() {
    return happenedAt == null ? writtenAt : happenedAt;
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
