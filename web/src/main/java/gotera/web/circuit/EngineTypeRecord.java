package gotera.web.circuit;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** An engine type in the database: a name and the features its circuit is built from. */
@Entity
@Audited
@Table(name = "engine_type")
class EngineTypeRecord {
  @Id UUID id;
  String name = "";
  String features = "";
  Instant writtenAt;
  String writtenBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected EngineTypeRecord() {}

  EngineTypeRecord(UUID id, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
