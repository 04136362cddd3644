package gotera.web.pressure.trace;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.storage.Hashes;
import gotera.word.Worded;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Reads the traces of tests as they count: what was taken back is left out. */
@Component
public class TraceReader {
  /** What is asked of a trace before a reading is added, in one question. */
  private static final String TAIL =
      """
      select
        (select b.payload from trace_block b where b.pressure_test_id = t.test and not exists
          (select 1 from trace_correction c where c.trace_block_id = b.id
            and c.pressure_test_id = t.test)
          order by b.last_seconds desc limit 1) as payload,
        (select b.first_seconds from trace_block b where b.pressure_test_id = t.test and not exists
          (select 1 from trace_correction c where c.trace_block_id = b.id
            and c.pressure_test_id = t.test)
          order by b.first_seconds limit 1) as earliest,
        (select coalesce(max(b.seq), 0) + 1 from trace_block b
          where b.pressure_test_id = t.test) as next_seq,
        (select b.pressure_test_id from trace_block b where b.id = t.entry) as entry_of
      from (select cast(? as uuid) as test, cast(? as uuid) as entry) t
      """;

  /** The blocks that count. */
  private static final String COUNTED =
      """
      select b.id, b.payload, b.source_file from trace_block b
      where b.pressure_test_id = ? and not exists
        (select 1 from trace_correction c where c.trace_block_id = b.id
          and c.pressure_test_id = b.pressure_test_id)
      order by b.seq
      """;

  /** What tells a state of a trace from any other: nothing of it is ever changed or deleted. */
  private static final String STATE =
      """
      select concat_ws(' ',
        (select b.id from trace_block b where b.pressure_test_id = t.test order by b.seq desc limit 1),
        (select concat(count(*), max(c.id)) from trace_correction c
          where c.pressure_test_id = t.test),
        (select concat_ws('/', count(*), max(e.id), max(e.withdrawn_at)) from trace_event e
          where e.pressure_test_id = t.test))
      from (select cast(? as uuid) as test) t
      """;

  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;
  private final JdbcTemplate database;

  TraceReader(
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      JdbcTemplate database) {
    this.database = database;
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
  }

  /** What a test holds that counts; unreadable where that is no trace. */
  public Contents contents(UUID testId) {
    List<Kept> readings = new ArrayList<>();
    // a gauge that writes by itself leaves thousands of blocks: they are read as what they are
    database.query(
        COUNTED,
        row -> {
          unpack(
              UUID.fromString(row.getString("id")),
              row.getBytes("payload"),
              row.getString("source_file") != null,
              readings);
        },
        testId.toString());
    readings.sort(Comparator.comparingDouble(Kept::seconds));
    return new Contents(readings, happened(testId));
  }

  private static void unpack(UUID block, byte[] payload, boolean ofFile, List<Kept> into) {
    if (payload.length % TraceBlockRecord.READING_BYTES != 0) {
      throw new Unreadable("block " + block + " of the trace is cut off");
    }
    ByteBuffer packed = ByteBuffer.wrap(payload);
    for (int i = 0; packed.hasRemaining(); i++) {
      Kept reading =
          new Kept(block, i, packed.getDouble(), packed.getDouble(), packed.getDouble(), ofFile);
      if (!Double.isFinite(reading.seconds()) || !Double.isFinite(reading.gauge())) {
        throw new Unreadable("block " + block + " of the trace holds what is no reading");
      }
      into.add(reading);
    }
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

  /** What tells this state of a trace from any other. */
  public String state(UUID testId) {
    return Objects.requireNonNull(database.queryForObject(STATE, String.class, testId.toString()));
  }

  /** From where to where the readings that count go; empty where there are none. */
  public Optional<Span> span(UUID testId) {
    return tail(testId, testId).span();
  }

  /** What is known of a trace before an entry is added to it. */
  Tail tail(UUID testId, UUID entry) {
    return Objects.requireNonNull(
        database.queryForObject(
            TAIL, (row, n) -> tail(testId, row), testId.toString(), entry.toString()));
  }

  private Tail tail(UUID testId, ResultSet row) throws SQLException {
    byte[] payload = row.getBytes("payload");
    return new Tail(
        payload == null ? Optional.empty() : Optional.of(span(testId, row, payload)),
        row.getInt("next_seq"),
        Optional.ofNullable(row.getString("entry_of")).map(UUID::fromString));
  }

  private Span span(UUID testId, ResultSet row, byte[] payload) throws SQLException {
    double first = row.getDouble("earliest");
    if (row.wasNull()) {
      // a block of before says nothing of itself, so all are read
      List<Kept> all = contents(testId).readings();
      Kept last = all.get(all.size() - 1);
      return new Span(all.get(0).seconds(), last.seconds(), last.gauge());
    }
    ByteBuffer packed = ByteBuffer.wrap(payload);
    double last = Double.NEGATIVE_INFINITY;
    double gauge = 0;
    while (packed.remaining() >= TraceBlockRecord.READING_BYTES) {
      double seconds = packed.getDouble();
      double kilopascals = packed.getDouble();
      packed.getDouble();
      if (seconds >= last) {
        last = seconds;
        gauge = kilopascals;
      }
    }
    return new Span(first, last, gauge);
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
