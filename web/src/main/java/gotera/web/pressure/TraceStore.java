package gotera.web.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.range.Range;
import gotera.web.shell.Hashes;
import gotera.web.shell.Identifiers;
import gotera.word.Worded;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Keeps traces as append-only blocks. A reading that was corrected or withdrawn stays in its block,
 * and a correction says that the block does not count; what counts instead is a block of its own.
 * Its callers hold the transaction.
 */
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

  /**
   * A reading and where it is kept.
   *
   * @param block its block
   * @param index its place in the block
   * @param seconds when (s)
   * @param gauge the gauge (kPa)
   * @param celsius the temperature (°C), not a number where none was read
   * @param fromFile whether it came with a file
   */
  record Kept(
      UUID block, int index, double seconds, double gauge, double celsius, boolean fromFile) {}

  /** An event and where it is kept. */
  record KeptEvent(UUID id, TraceEvent event, boolean fromFile) {}

  /** What a test holds that counts, in order of time. */
  record Contents(List<Kept> readings, List<KeptEvent> events) {
    Trace trace() {
      Trace.Builder trace = Trace.builder();
      double last = Double.NEGATIVE_INFINITY;
      for (Kept r : readings) {
        if (r.seconds() > last) {
          trace.reading(r.seconds(), r.gauge(), r.celsius());
          last = r.seconds();
        }
      }
      events.forEach(e -> trace.event(e.event()));
      return trace.build();
    }
  }

  /** What was stored cannot be read. */
  static final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unreadable(String what) {
      super(what);
    }
  }

  Contents contents(UUID testId) {
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
    return new Contents(readings, happened);
  }

  Trace read(UUID testId) {
    return contents(testId).trace();
  }

  /** What became of a reading. */
  enum Appended {
    /** Kept at its time. */
    YES,
    /** Kept after the last one: the clock had gone back. */
    CLOCK_BACK,
    /** There is a reading at that time already. */
    SAME_TIME,
    /** Farther from the others than a trace is long. */
    TOO_FAR,
    /** The entry is another test's. */
    ANOTHER_TEST,
    /** What was to be corrected does not count any more. */
    GONE
  }

  /**
   * Appends a reading. An entry that is there already is not appended twice: whoever did not see
   * the answer may send it again.
   *
   * @param typed whether its time was typed: then it goes where it belongs
   */
  Appended append(UUID testId, UUID entry, Reading reading, boolean typed, String by) {
    Optional<TraceBlockRecord> already = blocks.findById(entry);
    if (already.isPresent()) {
      return already.get().pressureTestId.equals(testId) ? Appended.YES : Appended.ANOTHER_TEST;
    }
    List<Kept> readings = contents(testId).readings();
    double seconds = reading.seconds();
    Appended appended = Appended.YES;
    if (typed && taken(readings, seconds)) {
      return Appended.SAME_TIME;
    }
    double at = seconds;
    if (!typed && !readings.isEmpty() && seconds <= last(readings).seconds()) {
      at = last(readings).seconds() + 1;
      appended = Appended.CLOCK_BACK;
    }
    if (tooFar(readings, at)) {
      return Appended.TOO_FAR;
    }
    save(
        testId,
        entry,
        pack(List.of(new Kept(entry, 0, at, reading.kilopascals(), reading.kelvinless(), false))),
        null,
        by);
    return appended;
  }

  private static boolean taken(List<Kept> readings, double seconds) {
    return readings.stream().anyMatch(r -> Math.abs(r.seconds() - seconds) < TraceEvent.ONE_MOMENT);
  }

  private static boolean tooFar(List<Kept> readings, double seconds) {
    return !readings.isEmpty()
        && (!Range.TRACE_LENGTH.holds(Math.abs(seconds - readings.get(0).seconds()))
            || !Range.TRACE_LENGTH.holds(Math.abs(seconds - last(readings).seconds())));
  }

  private static Kept last(List<Kept> readings) {
    return readings.get(readings.size() - 1);
  }

  /**
   * A reading to keep.
   *
   * @param seconds when (s)
   * @param kilopascals the gauge (kPa)
   * @param celsius the temperature, if it was read (°C)
   */
  record Reading(double seconds, double kilopascals, OptionalDouble celsius) {
    double kelvinless() {
      return celsius.orElse(Double.NaN);
    }
  }

  /** Appends an event. */
  void append(UUID testId, TraceEvent event, String by) {
    append(testId, event, null, by);
  }

  private void append(
      UUID testId, TraceEvent event, @org.jspecify.annotations.Nullable UUID file, String by) {
    TraceEventRecord record =
        new TraceEventRecord(
            identifiers.next(),
            testId,
            event.seconds(),
            event.kind().word(),
            event.millilitres().isPresent() ? event.millilitres().getAsDouble() : null,
            clock.instant(),
            by);
    record.sourceFile = file;
    events.save(record);
  }

  /** Appends a whole trace; false if there is anything already that counts. */
  boolean append(UUID testId, Trace trace, String by) {
    Contents now = contents(testId);
    if (!now.readings().isEmpty() || !now.events().isEmpty()) {
      return false;
    }
    UUID file = identifiers.next();
    for (int from = 0; from < trace.size(); from += TraceBlockRecord.MOST_READINGS) {
      int to = Math.min(trace.size(), from + TraceBlockRecord.MOST_READINGS);
      List<Kept> part = new ArrayList<>();
      for (int i = from; i < to; i++) {
        double celsius = trace.hasTemperature(i) ? trace.celsius(i) : Double.NaN;
        part.add(new Kept(file, i, trace.seconds(i), trace.gauge(i), celsius, true));
      }
      save(testId, identifiers.next(), pack(part), file, by);
    }
    trace.events().forEach(e -> append(testId, e, file, by));
    return true;
  }

  /** Whether the last that was kept came with a file: then undoing asks what to undo. */
  boolean lastIsOfAFile(UUID testId) {
    return blocks.lastCounted(testId).filter(b -> b.sourceFile != null).isPresent();
  }

  /** Takes back all that came with the last file. */
  void retractFile(UUID testId, String by) {
    for (TraceBlockRecord block : counted(testId)) {
      if (block.sourceFile != null) {
        retract(testId, block.id, by);
      }
    }
    for (TraceEventRecord e : events.findByPressureTestIdAndWithdrawnAtIsNullOrderById(testId)) {
      if (e.sourceFile != null) {
        withdraw(e, by);
      }
    }
  }

  /** Takes back what was kept last: a reading, or an event after it. */
  void retractLast(UUID testId, String by) {
    Optional<TraceBlockRecord> block = blocks.lastCounted(testId);
    Optional<TraceEventRecord> event =
        events.findByPressureTestIdAndWithdrawnAtIsNullOrderById(testId).stream()
            .filter(e -> e.sourceFile == null)
            .max(
                Comparator.comparing((TraceEventRecord e) -> e.writtenAt).thenComparing(e -> e.id));
    if (event.isPresent()
        && block.filter(b -> b.writtenAt.isAfter(event.get().writtenAt)).isEmpty()) {
      withdraw(event.get(), by);
    } else {
      block.ifPresent(
          b -> replace(testId, b, OptionalInt.of(b.readings - 1), Optional.empty(), by));
    }
  }

  /** Takes an event back; false where it is not one of this test. */
  boolean withdrawEvent(UUID testId, UUID eventId, String by) {
    Optional<TraceEventRecord> event =
        events.findById(eventId).filter(e -> e.pressureTestId.equals(testId));
    event.filter(e -> e.withdrawnAt == null).ifPresent(e -> withdraw(e, by));
    return event.isPresent();
  }

  /** Takes back the events of a kind. */
  void withdrawEvents(UUID testId, TraceEvent.Kind kind, String by) {
    events.findByPressureTestIdAndWithdrawnAtIsNullOrderById(testId).stream()
        .filter(e -> e.kind.equals(kind.word()))
        .forEach(e -> withdraw(e, by));
  }

  private void withdraw(TraceEventRecord event, String by) {
    event.withdrawnAt = clock.instant();
    event.withdrawnBy = by;
    events.save(event);
  }

  /** Withdraws a reading; false where it does not count any more. */
  boolean withdraw(UUID testId, UUID blockId, int index, String by) {
    Optional<TraceBlockRecord> block = of(testId, blockId, index);
    block.ifPresent(b -> replace(testId, b, OptionalInt.of(index), Optional.empty(), by));
    return block.isPresent();
  }

  /** Puts another reading in the place of one. */
  Appended correct(UUID testId, UUID blockId, int index, Reading reading, String by) {
    Optional<TraceBlockRecord> block = of(testId, blockId, index);
    if (block.isEmpty()) {
      return Appended.GONE;
    }
    List<Kept> others =
        contents(testId).readings().stream()
            .filter(r -> !r.block().equals(blockId) || r.index() != index)
            .toList();
    if (taken(others, reading.seconds())) {
      return Appended.SAME_TIME;
    }
    if (tooFar(others, reading.seconds())) {
      return Appended.TOO_FAR;
    }
    replace(testId, block.get(), OptionalInt.of(index), Optional.of(reading), by);
    return Appended.YES;
  }

  private Optional<TraceBlockRecord> of(UUID testId, UUID blockId, int index) {
    return counted(testId).stream()
        .filter(b -> b.id.equals(blockId) && index >= 0 && index < b.readings)
        .findFirst();
  }

  /** The block does not count any more; one without or with another reading counts instead. */
  private void replace(
      UUID testId,
      TraceBlockRecord block,
      OptionalInt without,
      Optional<Reading> instead,
      String by) {
    List<Kept> rest = new ArrayList<>();
    ByteBuffer packed = ByteBuffer.wrap(block.payload);
    for (int i = 0; packed.hasRemaining(); i++) {
      Kept kept =
          new Kept(block.id, i, packed.getDouble(), packed.getDouble(), packed.getDouble(), false);
      if (without.isEmpty() || without.getAsInt() != i) {
        rest.add(kept);
      } else {
        instead.ifPresent(
            r ->
                rest.add(
                    new Kept(block.id, -1, r.seconds(), r.kilopascals(), r.kelvinless(), false)));
      }
    }
    retract(testId, block.id, by);
    if (!rest.isEmpty()) {
      save(testId, identifiers.next(), pack(rest), block.sourceFile, by);
    }
  }

  private void retract(UUID testId, UUID blockId, String by) {
    corrections.save(
        new TraceCorrectionRecord(identifiers.next(), testId, blockId, clock.instant(), by));
    corrections.flush();
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

  private List<TraceBlockRecord> counted(UUID testId) {
    Set<UUID> retracted =
        corrections.findByPressureTestId(testId).stream()
            .map(c -> c.traceBlockId)
            .collect(Collectors.toSet());
    return blocks.findByPressureTestIdOrderBySeq(testId).stream()
        .filter(b -> !retracted.contains(b.id))
        .toList();
  }

  private static ByteBuffer pack(List<Kept> readings) {
    ByteBuffer packed = ByteBuffer.allocate(readings.size() * TraceBlockRecord.READING_BYTES);
    readings.forEach(
        r -> packed.putDouble(r.seconds()).putDouble(r.gauge()).putDouble(r.celsius()));
    return packed;
  }

  private void save(
      UUID testId,
      UUID id,
      ByteBuffer packed,
      @org.jspecify.annotations.Nullable UUID file,
      String by) {
    TraceBlockRecord block =
        new TraceBlockRecord(id, testId, blocks.nextSeq(testId), packed, clock.instant(), by);
    block.sourceFile = file;
    blocks.saveAndFlush(Objects.requireNonNull(block));
  }
}
