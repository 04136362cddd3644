package gotera.web.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.shell.Hashes;
import gotera.web.shell.Identifiers;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Keeps traces as append-only blocks. Its callers hold the transaction. */
@Component
class TraceStore {
  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;
  private final Identifiers identifiers;
  private final Clock clock;

  TraceStore(
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      Identifiers identifiers,
      Clock clock) {
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  Trace read(UUID testId) {
    Trace.Builder trace = Trace.builder();
    for (TraceBlockRecord block : counted(testId)) {
      ByteBuffer packed = ByteBuffer.wrap(block.payload);
      while (packed.hasRemaining()) {
        trace.reading(packed.getDouble(), packed.getDouble(), packed.getDouble());
      }
    }
    for (TraceEventRecord event : events.findByPressureTestIdOrderById(testId)) {
      Double millilitres = event.millilitres;
      trace.event(
          new TraceEvent(
              event.seconds,
              TraceEvent.Kind.of(event.kind).orElseThrow(),
              millilitres == null ? OptionalDouble.empty() : OptionalDouble.of(millilitres)));
    }
    return trace.build();
  }

  /**
   * Appends a reading; false if it is not later than the last one. An entry that is there already
   * is not appended twice: whoever did not see the answer may send it again.
   */
  boolean append(
      UUID testId,
      UUID entry,
      double seconds,
      double kilopascals,
      OptionalDouble celsius,
      String by) {
    Optional<TraceBlockRecord> already = blocks.findById(entry);
    if (already.isPresent()) {
      return already.get().pressureTestId.equals(testId);
    }
    Optional<TraceBlockRecord> last = blocks.lastCounted(testId);
    if (last.isPresent() && seconds <= lastSeconds(last.get())) {
      return false;
    }
    ByteBuffer packed = ByteBuffer.allocate(TraceBlockRecord.READING_BYTES);
    packed.putDouble(seconds).putDouble(kilopascals).putDouble(celsius.orElse(Double.NaN));
    save(testId, entry, packed, blocks.nextSeq(testId), by);
    return true;
  }

  /** Appends an event. */
  void append(UUID testId, TraceEvent event, String by) {
    events.save(
        new TraceEventRecord(
            identifiers.next(),
            testId,
            event.seconds(),
            event.kind().word(),
            event.millilitres().isPresent() ? event.millilitres().getAsDouble() : null,
            clock.instant(),
            by));
  }

  /** Appends a whole trace; false if there is anything already. */
  boolean append(UUID testId, Trace trace, String by) {
    if (blocks.lastCounted(testId).isPresent()
        || !events.findByPressureTestIdOrderById(testId).isEmpty()) {
      return false;
    }
    int seq = blocks.nextSeq(testId);
    for (int from = 0; from < trace.size(); from += TraceBlockRecord.MOST_READINGS) {
      int to = Math.min(trace.size(), from + TraceBlockRecord.MOST_READINGS);
      ByteBuffer packed = ByteBuffer.allocate((to - from) * TraceBlockRecord.READING_BYTES);
      for (int i = from; i < to; i++) {
        packed
            .putDouble(trace.seconds(i))
            .putDouble(trace.gauge(i))
            .putDouble(trace.hasTemperature(i) ? trace.celsius(i) : Double.NaN);
      }
      save(testId, identifiers.next(), packed, seq++, by);
    }
    trace.events().forEach(e -> append(testId, e, by));
    return true;
  }

  /** Marks the last block as not counting. */
  void retractLast(UUID testId, String by) {
    blocks
        .lastCounted(testId)
        .ifPresent(
            last ->
                corrections.save(
                    new TraceCorrectionRecord(
                        identifiers.next(), testId, last.id, clock.instant(), by)));
  }

  /**
   * SHA-256 over the description, every block, event and correction, in the order they were made.
   */
  String seal(UUID testId, String hold) {
    MessageDigest digest = Hashes.sha256();
    digest.update(hold.getBytes(StandardCharsets.UTF_8));
    for (TraceBlockRecord block : blocks.findByPressureTestIdOrderBySeq(testId)) {
      digest.update(block.payload);
    }
    for (TraceEventRecord e : events.findByPressureTestIdOrderById(testId)) {
      String line = String.format(Locale.ROOT, "%s %s %s", e.seconds, e.kind, e.millilitres);
      digest.update(line.getBytes(StandardCharsets.UTF_8));
    }
    List<String> retracted = new ArrayList<>();
    corrections.findByPressureTestId(testId).forEach(c -> retracted.add(c.traceBlockId.toString()));
    retracted.sort(null);
    digest.update(String.join(" ", retracted).getBytes(StandardCharsets.UTF_8));
    return HexFormat.of().formatHex(digest.digest());
  }

  private List<TraceBlockRecord> counted(UUID testId) {
    Set<UUID> retracted =
        corrections.findByPressureTestId(testId).stream()
            .map(c -> c.traceBlockId)
            .collect(Collectors.toSet());
    return blocks.findByPressureTestIdOrderBySeq(testId).stream()
        .filter(b -> !retracted.contains(b.id))
        .toList();
  }

  private static double lastSeconds(TraceBlockRecord last) {
    return ByteBuffer.wrap(last.payload)
        .getDouble(last.payload.length - TraceBlockRecord.READING_BYTES);
  }

  private void save(UUID testId, UUID id, ByteBuffer packed, int seq, String by) {
    blocks.save(new TraceBlockRecord(id, testId, seq, packed, clock.instant(), by));
  }
}
