package gotera.web.pressure.trace;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.nio.ByteBuffer;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A packed block of readings: for each, time (s), gauge (kPa) and temperature (°C, not a number
 * where none was read) as three big-endian doubles. Written once, never changed.
 */
@Entity
@Table(name = "trace_block")
class TraceBlockRecord {
  static final int READING_BYTES = 3 * Double.BYTES;
  static final int MOST_READINGS = 8192;

  @Id UUID id;
  UUID pressureTestId;
  int seq;
  int readings;

  @Column(columnDefinition = "mediumblob")
  byte[] payload;

  @Nullable UUID sourceFile;
  Instant writtenAt;
  String writtenBy;

  @SuppressWarnings("NullAway.Init")
  protected TraceBlockRecord() {}

  TraceBlockRecord(
      UUID id, UUID pressureTestId, int seq, ByteBuffer packed, Instant writtenAt, String by) {
    this.id = id;
    this.pressureTestId = pressureTestId;
    this.seq = seq;
    this.payload = new byte[packed.position()];
    this.readings = payload.length / READING_BYTES;
    packed.flip().get(payload);
    this.writtenAt = writtenAt;
    this.writtenBy = by;
  }
}
