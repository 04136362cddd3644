package gotera.web.pressure;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** A pressure test in the database; its hold is a {@code gotera-hold/1} description. */
@Entity
@Audited
@Table(name = "pressure_test")
class PressureTestRecord {
  @Id UUID id;
  UUID jobId;
  String phase;
  int number;
  Instant startedAt;
  String startedBy;
  String hold;
  String readingMode = "needle";
  @Nullable Instant finishedAt;
  @Nullable String seal;
  String testedLoop = "";
  boolean writtenLater;
  @Nullable Instant discardedAt;
  @Nullable String discardedBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected PressureTestRecord() {}

  PressureTestRecord(
      UUID id, UUID jobId, Phase phase, int number, Instant startedAt, String startedBy) {
    this.id = id;
    this.jobId = jobId;
    this.phase = phase.word();
    this.number = number;
    this.startedAt = startedAt;
    this.startedBy = startedBy;
    this.hold = "";
  }
}
