package gotera.web.pressure.trace;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.nio.ByteBuffer;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/**
 * A packed block of readings: for each, time (s), gauge (kPa) and temperature (°C, not a number
 * where none was read) as three big-endian doubles. Written once, never changed.
 */
@Entity
@Table(name = "trace_block")
class TraceBlockRecord implements Persistable<UUID> {
  static final int READING_BYTES = 3 * Double.BYTES;
  static final int MOST_READINGS = 8192;

  @Id UUID id;
  UUID pressureTestId;
  int seq;
  int readings;

  @Column(columnDefinition = "mediumblob")
  byte[] payload;

  @Nullable UUID sourceFile;

  /** Time of the first and the last of its readings (s); none in blocks of before. */
  @Nullable Double firstSeconds;

  @Nullable Double lastSeconds;
  Instant writtenAt;
  String writtenBy;

  /** Whether it is not stored yet. */
  @Transient private boolean fresh;

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
    for (int i = 0; i < payload.length; i += READING_BYTES) {
      double seconds = packed.getDouble(i);
      firstSeconds = firstSeconds == null ? seconds : Math.min(firstSeconds, seconds);
      lastSeconds = lastSeconds == null ? seconds : Math.max(lastSeconds, seconds);
    }
    this.writtenAt = writtenAt;
    this.writtenBy = by;
    this.fresh = true;
  }

  @Override
  public UUID getId() {
    return id;
  }

  @Override
  public boolean isNew() {
    return fresh;
  }
}
