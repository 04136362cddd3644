package gotera.web.pressure.trace;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.range.Range;
import gotera.web.storage.Identifiers;
import java.nio.ByteBuffer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Keeps traces as append-only blocks. A reading that was corrected or withdrawn stays in its block,
 * and a correction says that the block does not count; what counts instead is a block of its own.
 * Its callers hold the transaction.
 */
@Component
public class TraceStore {
  private final TraceReader reader;
  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;
  private final Identifiers identifiers;
  private final Clock clock;

  TraceStore(
      TraceReader reader,
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      Identifiers identifiers,
      Clock clock) {
    this.reader = reader;
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * Appends a reading. An entry that is there already is not appended twice: whoever did not see
   * the answer may send it again.
   *
   * @param typed whether its time was typed: then it goes where it belongs
   */
  public Written append(UUID testId, UUID entry, Reading reading, boolean typed, String by) {
    Tail tail = reader.tail(testId, entry);
    if (tail.entryOf().isPresent()) {
      return tail.entryOf().get().equals(testId) ? Written.DONE : Written.ANOTHER_TEST;
    }
    double seconds = reading.seconds();
    Written appended = Written.DONE;
    if (typed && taken(reader.contents(testId).readings(), seconds)) {
      return Written.SAME_TIME;
    }
    Optional<Span> span = tail.span();
    double at = seconds;
    if (!typed && span.isPresent() && seconds <= span.get().last()) {
      // two hands at the same moment follow each other; a clock that went back is told
      boolean together = span.get().last() - seconds < TraceEvent.SAME_TIME;
      at = span.get().last() + (together ? TraceEvent.TOLD_APART : TraceEvent.SAME_TIME);
      appended = together ? Written.DONE : Written.CLOCK_BACK;
    }
    if (tooFar(span, at)) {
      return Written.TOO_FAR;
    }
    ByteBuffer packed =
        pack(List.of(new Kept(entry, 0, at, reading.kilopascals(), reading.kelvinless(), false)));
    blocks.saveAndFlush(
        new TraceBlockRecord(entry, testId, tail.nextSeq(), packed, clock.instant(), by));
    return appended;
  }

  /** Appends readings that belong together, in order of time. */
  public void append(UUID testId, List<Reading> readings, String by) {
    List<Kept> block =
        readings.stream()
            .map(r -> new Kept(testId, 0, r.seconds(), r.kilopascals(), r.kelvinless(), false))
            .toList();
    save(testId, identifiers.next(), pack(block), null, by);
  }

  private static boolean taken(List<Kept> readings, double seconds) {
    return readings.stream().anyMatch(r -> Math.abs(r.seconds() - seconds) < TraceEvent.ONE_MOMENT);
  }

  private static boolean tooFar(Optional<Span> span, double seconds) {
    return span.isPresent()
        && (!Range.TRACE_LENGTH.holds(Math.abs(seconds - span.get().first()))
            || !Range.TRACE_LENGTH.holds(Math.abs(seconds - span.get().last())));
  }

  private static Optional<Span> span(List<Kept> readings) {
    return readings.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Span(
                readings.get(0).seconds(),
                readings.get(readings.size() - 1).seconds(),
                readings.get(readings.size() - 1).gauge()));
  }

  /** Appends an event. */
  public void append(UUID testId, TraceEvent event, String by) {
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
  public boolean append(UUID testId, Trace trace, String by) {
    Contents now = reader.contents(testId);
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

  /** Takes back all that came with the last file. */
  public void retractFile(UUID testId, String by) {
    for (TraceBlockRecord block : reader.counted(testId)) {
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
  public void retractLast(UUID testId, String by) {
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
  public boolean withdrawEvent(UUID testId, UUID eventId, String by) {
    Optional<TraceEventRecord> event =
        events.findById(eventId).filter(e -> e.pressureTestId.equals(testId));
    event.filter(e -> e.withdrawnAt == null).ifPresent(e -> withdraw(e, by));
    return event.isPresent();
  }

  /** Takes back the events of a kind. */
  public void withdrawEvents(UUID testId, TraceEvent.Kind kind, String by) {
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
  public boolean withdraw(UUID testId, UUID blockId, int index, String by) {
    Optional<TraceBlockRecord> block = of(testId, blockId, index);
    block.ifPresent(b -> replace(testId, b, OptionalInt.of(index), Optional.empty(), by));
    return block.isPresent();
  }

  /** Puts another reading in the place of one. */
  public Written correct(UUID testId, UUID blockId, int index, Reading reading, String by) {
    Optional<TraceBlockRecord> block = of(testId, blockId, index);
    if (block.isEmpty()) {
      return Written.GONE;
    }
    List<Kept> others =
        reader.contents(testId).readings().stream()
            .filter(r -> !r.block().equals(blockId) || r.index() != index)
            .toList();
    if (taken(others, reading.seconds())) {
      return Written.SAME_TIME;
    }
    if (tooFar(span(others), reading.seconds())) {
      return Written.TOO_FAR;
    }
    replace(testId, block.get(), OptionalInt.of(index), Optional.of(reading), by);
    return Written.DONE;
  }

  private Optional<TraceBlockRecord> of(UUID testId, UUID blockId, int index) {
    return reader.counted(testId).stream()
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
    blocks.saveAndFlush(block);
  }
}
