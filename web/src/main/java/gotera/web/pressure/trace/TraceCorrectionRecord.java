package gotera.web.pressure.trace;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Says that a block does not count: a reading taken back. The block itself stays. */
@Entity
@Table(name = "trace_correction")
class TraceCorrectionRecord {
  @Id UUID id;
  UUID pressureTestId;
  UUID traceBlockId;
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected TraceCorrectionRecord() {}

  TraceCorrectionRecord(
      UUID id, UUID pressureTestId, UUID traceBlockId, Instant writtenAt, String by) {
    this.id = id;
    this.pressureTestId = pressureTestId;
    this.traceBlockId = traceBlockId;
    this.writtenAt = writtenAt;
    this.writtenBy = by;
  }
}
