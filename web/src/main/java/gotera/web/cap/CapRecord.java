package gotera.web.cap;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** The cap of a job in the database. */
@Entity
@Audited
@Table(name = "cap")
class CapRecord {
  @Id UUID id;
  UUID jobId;
  String stamp = "";
  double ratedKpa;
  @Nullable Double makerFigureKpa;
  @Nullable Double testPressureKpa;
  @Nullable Double openingKpa;
  @Nullable Double holdsKpa;
  @Nullable Double vacuumKpa;

  @Column(name = "altitude_m")
  @Nullable Double altitudeMetres;

  String seals = "not-looked";
  String note = "";
  Instant writtenAt;
  String writtenBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected CapRecord() {}

  CapRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
