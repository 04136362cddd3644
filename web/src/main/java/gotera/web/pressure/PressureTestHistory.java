package gotera.web.pressure;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tells what was done in the pressure tests of a job. Readings, events and corrections are written
 * once and carry their writer.
 */
@Component
class PressureTestHistory implements HistorySource {
  private final AuditTrail trail;
  private final PressureTestRecords tests;
  private final TraceBlockRecords blocks;
  private final TraceEventRecords events;
  private final TraceCorrectionRecords corrections;
  private final Words words;

  PressureTestHistory(
      AuditTrail trail,
      PressureTestRecords tests,
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      Words words) {
    this.trail = trail;
    this.tests = tests;
    this.blocks = blocks;
    this.events = events;
    this.corrections = corrections;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries =
        new ArrayList<>(
            trail.of(PressureTestRecord.class, "jobId", jobId, "history.pressure-test"));
    tests.findByJobIdOrderByStartedAt(jobId).forEach(t -> addTrace(t.id, entries));
    return entries;
  }

  private void addTrace(UUID testId, List<HistoryEntry> entries) {
    Map<UUID, String> said = new HashMap<>();
    for (TraceBlockRecord block : blocks.findByPressureTestIdOrderBySeq(testId)) {
      String what =
          block.readings == 1
              ? words.say("history.reading", kilopascals(block))
              : words.say("history.readings", block.readings);
      said.put(block.id, what);
      entries.add(new HistoryEntry(block.writtenAt, block.writtenBy, what));
    }
    for (TraceEventRecord event : events.findByPressureTestIdOrderById(testId)) {
      entries.add(
          new HistoryEntry(event.writtenAt, event.writtenBy, words.say("event." + event.kind)));
    }
    for (TraceCorrectionRecord correction : corrections.findByPressureTestId(testId)) {
      entries.add(
          new HistoryEntry(
              correction.writtenAt,
              correction.writtenBy,
              words.say(
                  "history.taken-back", said.getOrDefault(correction.traceBlockId, "\u2013"))));
    }
  }

  private static String kilopascals(TraceBlockRecord block) {
    return Figures.plain(ByteBuffer.wrap(block.payload).getDouble(Double.BYTES));
  }
}
