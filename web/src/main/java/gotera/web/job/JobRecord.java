package gotera.web.job;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** A job in the database. */
@Entity
@Audited
@Table(name = "job")
class JobRecord {
  @Id UUID id;

  @ManyToOne(fetch = FetchType.EAGER)
  @JoinColumn(name = "vehicle_id")
  @Nullable VehicleRecord vehicle;

  String reason = "complaint";
  String complaint = "";
  String whereLost = "unknown";
  String signs = "";
  String otherComplaints = "";
  @Nullable String ground;
  @Nullable String puddleAt;
  @Nullable String trips;
  String replacedPart = "";
  @Nullable Double replacedDays;
  @Nullable Double lossMlPerWeek;
  @Nullable Double hotHoursPerWeek;
  @Nullable Double topUpMl;
  Instant startedAt;
  String startedBy;
  @Nullable Instant intakeAt;
  @Nullable Instant closedAt;
  String ending = "";
  String endingNote = "";
  @Nullable Instant discardedAt;
  @Nullable String discardedBy;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected JobRecord() {}

  JobRecord(UUID id, Instant startedAt, String startedBy) {
    this.id = id;
    this.startedAt = startedAt;
    this.startedBy = startedBy;
  }
}
