package gotera.web.finding;

import gotera.said.Said;
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
import java.util.Map;
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
  @Nullable Double areaCm2;
  @Nullable Double gaugeKpa;
  @Nullable Double counted;
  @Nullable Boolean thermostatOpen;
  @Nullable Boolean heaterOn;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "finding_unmet", joinColumns = @JoinColumn(name = "finding_id"))
  @Column(name = "unmet")
  Set<String> unmet = new LinkedHashSet<>();

  String note = "";
  @Nullable UUID photoId;
  @Nullable Instant happenedAt;
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

  /** Puts what was said into the columns. */
  void say(Row row, String written) {
    checkWord = row.check();
    subject = row.subject();
    saw = row.saw();
    unmet.addAll(row.unmet());
    note = row.source().isEmpty() ? written : row.source();
    measure(row.measures());
  }

  /** What the columns say; nothing where no version of this program has said so. */
  Optional<Finding<Said>> read() {
    Row row = new Row(checkWord, subject, saw, measures(), unmet, note);
    try {
      Said said = FindingCodec.read(row);
      // where the note is a word of what was said it is nobody's own
      String own = FindingCodec.write(said).source().isEmpty() ? note : "";
      return Optional.of(
          new Finding<>(
              id, said, own, Optional.ofNullable(photoId), happened(), writtenAt, writtenBy));
    } catch (Row.Unknown e) {
      return Optional.empty();
    }
  }

  Unread unread() {
    return new Unread(id, checkWord, saw, subject, happened(), writtenBy);
  }

  private Instant happened() {
    return happenedAt == null ? writtenAt : happenedAt;
  }

  private void measure(Measures m) {
    volumeMl = m.values().get(Measure.MILLILITRES);
    strength = m.values().get(Measure.STRENGTH);
    celsius = m.values().get(Measure.CELSIUS);
    ambientCelsius = m.values().get(Measure.AMBIENT_CELSIUS);
    minutes = m.values().get(Measure.MINUTES);
    sizeMm = m.values().get(Measure.MILLIMETRES);
    lowerCelsius = m.values().get(Measure.LOWER_CELSIUS);
    areaCm2 = m.values().get(Measure.SQUARE_CENTIMETRES);
    gaugeKpa = m.values().get(Measure.KILOPASCALS);
    counted = m.values().get(Measure.COUNT);
    thermostatOpen = m.gates().map(Measures.Gates::thermostat).orElse(null);
    heaterOn = m.gates().map(Measures.Gates::heater).orElse(null);
  }

  private Measures measures() {
    Optional<Measures.Gates> gates =
        thermostatOpen == null || heaterOn == null
            ? Optional.empty()
            : Optional.of(new Measures.Gates(thermostatOpen, heaterOn));
    return new Measures(Map.of(), gates)
        .and(Measure.MILLILITRES, optional(volumeMl))
        .and(Measure.STRENGTH, optional(strength))
        .and(Measure.CELSIUS, optional(celsius))
        .and(Measure.AMBIENT_CELSIUS, optional(ambientCelsius))
        .and(Measure.MINUTES, optional(minutes))
        .and(Measure.MILLIMETRES, optional(sizeMm))
        .and(Measure.LOWER_CELSIUS, optional(lowerCelsius))
        .and(Measure.SQUARE_CENTIMETRES, optional(areaCm2))
        .and(Measure.KILOPASCALS, optional(gaugeKpa))
        .and(Measure.COUNT, optional(counted));
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
