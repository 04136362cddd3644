package gotera.web.pressure;

import gotera.said.CaughtFrom;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was caught from an inside place; without minutes it stood there before the test. */
@Entity
@Table(name = "caught")
class CaughtRecord {
  @Id UUID id;
  UUID pressureTestId;
  String place;
  double millilitres;
  @Nullable Double minutes;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected CaughtRecord() {}

  CaughtRecord(UUID id, UUID pressureTestId, Caught caught, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.pressureTestId = pressureTestId;
    this.place = caught.place();
    this.millilitres = caught.millilitres();
    this.minutes = caught.minutes().isPresent() ? caught.minutes().getAsDouble() : null;
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
  }

  Caught caught() {
    Double m = minutes;
    return new Caught(
        java.util.Optional.of(id),
        CaughtFrom.of(place),
        millilitres,
        m == null ? java.util.OptionalDouble.empty() : java.util.OptionalDouble.of(m));
  }
}
