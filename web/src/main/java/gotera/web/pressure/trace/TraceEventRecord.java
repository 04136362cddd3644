package gotera.web.pressure.trace;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that happened during a pressure test; one taken back keeps its row. */
@Entity
@Table(name = "trace_event")
class TraceEventRecord {
  @Id UUID id;
  UUID pressureTestId;
  double seconds;
  String kind;
  @Nullable Double millilitres;
  @Nullable UUID sourceFile;
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected TraceEventRecord() {}

  TraceEventRecord(
      UUID id,
      UUID pressureTestId,
      double seconds,
      String kind,
      @Nullable Double millilitres,
      Instant writtenAt,
      String by) {
    this.id = id;
    this.pressureTestId = pressureTestId;
    this.seconds = seconds;
    this.kind = kind;
    this.millilitres = millilitres;
    this.writtenAt = writtenAt;
    this.writtenBy = by;
  }
}
