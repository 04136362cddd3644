package gotera.web.equipment;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A tester's check against a plug, as it was made. */
@Entity
@Table(name = "plug_check")
class PlugCheckRecord {
  @Id UUID id;
  UUID equipmentId;
  double beforeKpa;
  double afterKpa;
  double minutes;
  double ownLeak;
  double ownLeakUncertainty;
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected PlugCheckRecord() {}

  PlugCheckRecord(UUID id, UUID equipmentId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.equipmentId = equipmentId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
