package gotera.web.pressure.trace;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.storage.Hashes;
import gotera.word.Worded;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads the traces of tests as they count: what was taken back is left out. */
@Component
public class TraceReader {
  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;

  TraceReader(
      TraceBlockRecords blocks, TraceEventRecords events, TraceCorrectionRecords corrections) {
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
  }

  /** What a test holds that counts; unreadable where that is no trace. */
  public Contents contents(UUID testId) {
    List<Kept> readings = new ArrayList<>();
    for (TraceBlockRecord block : counted(testId)) {
      if (block.payload.length % TraceBlockRecord.READING_BYTES != 0) {
        throw new Unreadable("block " + block.id + " of the trace is cut off");
      }
      ByteBuffer packed = ByteBuffer.wrap(block.payload);
      for (int i = 0; packed.hasRemaining(); i++) {
        Kept reading =
            new Kept(
                block.id,
                i,
                packed.getDouble(),
                packed.getDouble(),
                packed.getDouble(),
                block.sourceFile != null);
        if (!Double.isFinite(reading.seconds()) || !Double.isFinite(reading.gauge())) {
          throw new Unreadable("block " + block.id + " of the trace holds what is no reading");
        }
        readings.add(reading);
      }
    }
    readings.sort(Comparator.comparingDouble(Kept::seconds));
    return new Contents(readings, happened(testId));
  }

  private List<KeptEvent> happened(UUID testId) {
    List<KeptEvent> happened = new ArrayList<>();
    for (TraceEventRecord e : events.findByPressureTestIdAndWithdrawnAtIsNullOrderById(testId)) {
      TraceEvent.Kind kind =
          Worded.of(TraceEvent.Kind.class, e.kind)
              .orElseThrow(() -> new Unreadable("event " + e.id + " is of no kind"));
      Double millilitres = e.millilitres;
      happened.add(
          new KeptEvent(
              e.id,
              new TraceEvent(
                  e.seconds,
                  kind,
                  millilitres == null ? OptionalDouble.empty() : OptionalDouble.of(millilitres)),
              e.sourceFile != null));
    }
    return happened;
  }

  public Trace read(UUID testId) {
    return contents(testId).trace();
  }

  /** Whether the last that was kept came with a file: then undoing asks what to undo. */
  public boolean lastIsOfAFile(UUID testId) {
    return blocks.lastCounted(testId).filter(b -> b.sourceFile != null).isPresent();
  }

  /**
   * SHA-256 over the description, every block, event and correction, in the order they were made.
   */
  public String seal(UUID testId, String hold) {
    MessageDigest digest = Hashes.sha256();
    digest.update(hold.getBytes(StandardCharsets.UTF_8));
    for (TraceBlockRecord block : blocks.findByPressureTestIdOrderBySeq(testId)) {
      digest.update(block.payload);
    }
    for (TraceEventRecord e : events.findByPressureTestIdOrderById(testId)) {
      String withdrawn = e.withdrawnAt == null ? "" : " withdrawn";
      String line =
          String.format(Locale.ROOT, "%s %s %s%s", e.seconds, e.kind, e.millilitres, withdrawn);
      digest.update(line.getBytes(StandardCharsets.UTF_8));
    }
    List<String> retracted = new ArrayList<>();
    corrections.findByPressureTestId(testId).forEach(c -> retracted.add(c.traceBlockId.toString()));
    retracted.sort(null);
    digest.update(String.join(" ", retracted).getBytes(StandardCharsets.UTF_8));
    return HexFormat.of().formatHex(digest.digest());
  }

  /** The blocks that count, in the order they were written. */
  List<TraceBlockRecord> counted(UUID testId) {
    Set<UUID> retracted =
        corrections.findByPressureTestId(testId).stream()
            .map(c -> c.traceBlockId)
            .collect(Collectors.toSet());
    return blocks.findByPressureTestIdOrderBySeq(testId).stream()
        .filter(b -> !retracted.contains(b.id))
        .toList();
  }
}
