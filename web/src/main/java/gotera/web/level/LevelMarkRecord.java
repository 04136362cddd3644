package gotera.web.level;

import gotera.level.LevelWatch;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A mark in the database: what was seen, and what was put in since the mark before. */
@Entity
@Table(name = "level_mark")
class LevelMarkRecord {
  @Id UUID id;
  UUID jobId;

  @Column(name = "area_cm2")
  double areaSquareCentimetres;

  double levelMm;
  double toppedUpMl;
  @Nullable Double celsius;
  double hotHours;
  @Nullable Double distanceKm;
  @Nullable UUID photoId;
  Instant readAt;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  LevelWatch.Mark mark() {
    OptionalDouble read = celsius == null ? OptionalDouble.empty() : OptionalDouble.of(celsius);
    return new LevelWatch.Mark(areaSquareCentimetres, levelMm, toppedUpMl, hotHours, read);
  }

  @SuppressWarnings("NullAway.Init")
  protected LevelMarkRecord() {}

  LevelMarkRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.readAt = writtenAt;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }
}
