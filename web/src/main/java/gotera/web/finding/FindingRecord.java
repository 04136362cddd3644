package gotera.web.finding;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A finding in the database. Written once; one taken back keeps its row. */
@Entity
@Table(name = "finding")
class FindingRecord {
  @Id UUID id;
  UUID jobId;
  String checkWord = "";
  String subject = "";
  String saw = "";
  @Nullable Double volumeMl;
  @Nullable Double strength;
  @Nullable Double celsius;
  @Nullable Double ambientCelsius;
  @Nullable Double minutes;
  @Nullable Double sizeMm;
  @Nullable Double lowerCelsius;
  @Nullable Boolean thermostatOpen;
  @Nullable Boolean heaterOn;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "finding_unmet", joinColumns = @JoinColumn(name = "finding_id"))
  @Column(name = "unmet")
  Set<String> unmet = new LinkedHashSet<>();

  String note = "";
  @Nullable UUID photoId;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected FindingRecord() {}

  FindingRecord(UUID id, UUID jobId, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.jobId = jobId;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }

  void measure(Measures m) {
    volumeMl = orNull(m.millilitres());
    strength = orNull(m.strength());
    celsius = orNull(m.celsius());
    ambientCelsius = orNull(m.ambientCelsius());
    minutes = orNull(m.minutes());
    sizeMm = orNull(m.millimetres());
    lowerCelsius = orNull(m.lowerCelsius());
    thermostatOpen = m.gates().map(Measures.Gates::thermostat).orElse(null);
    heaterOn = m.gates().map(Measures.Gates::heater).orElse(null);
  }

  Measures measures() {
    return new Measures(
        optional(volumeMl),
        optional(strength),
        optional(celsius),
        optional(ambientCelsius),
        optional(minutes),
        optional(sizeMm),
        optional(lowerCelsius),
        thermostatOpen == null || heaterOn == null
            ? Optional.empty()
            : Optional.of(new Measures.Gates(thermostatOpen, heaterOn)));
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
