package gotera.web.pressure.trace;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.storage.Hashes;
import gotera.web.words.Words;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was read and done in a test. It is written once and carries its writer. */
@Component
public class TraceHistory {
  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;

  /** Digits of a hash that people read. */
  private static final int HASH_SHOWN = 16;

  private final Words words;

  TraceHistory(
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      Words words) {
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
    this.words = words;
  }

  /** Everything that was read and done, taken back or not. */
  public List<HistoryEntry> of(UUID testId) {
    List<HistoryEntry> entries = new ArrayList<>();
    Map<UUID, String> said = new HashMap<>();
    for (TraceBlockRecord block : blocks.findByPressureTestIdOrderBySeq(testId)) {
      String what =
          block.readings == 1
              ? words.say("history.reading", kilopascals(block))
              : words.say(
                  "history.readings",
                  block.readings,
                  Hashes.sha256(block.payload).substring(0, HASH_SHOWN));
      said.put(block.id, what);
      entries.add(new HistoryEntry(block.writtenAt, block.writtenBy, what));
    }
    for (TraceEventRecord event : events.findByPressureTestIdOrderById(testId)) {
      String what = words.say("event." + event.kind);
      entries.add(new HistoryEntry(event.writtenAt, event.writtenBy, what));
      if (event.withdrawnAt != null && event.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(
                event.withdrawnAt, event.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    for (TraceCorrectionRecord correction : corrections.findByPressureTestId(testId)) {
      entries.add(
          new HistoryEntry(
              correction.writtenAt,
              correction.writtenBy,
              words.say(
                  "history.taken-back", said.getOrDefault(correction.traceBlockId, "\u2013"))));
    }
    return entries;
  }

  private static String kilopascals(TraceBlockRecord block) {
    return Figures.plain(ByteBuffer.wrap(block.payload).getDouble(Double.BYTES));
  }
}
