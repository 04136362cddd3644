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
  private final CaughtRecords caught;
  private final Words words;

  PressureTestHistory(
      AuditTrail trail,
      PressureTestRecords tests,
      TraceBlockRecords blocks,
      TraceEventRecords events,
      TraceCorrectionRecords corrections,
      CaughtRecords caught,
      Words words) {
    this.caught = caught;
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
      String what = words.say("event." + event.kind);
      entries.add(new HistoryEntry(event.writtenAt, event.writtenBy, what));
      if (event.withdrawnAt != null && event.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(
                event.withdrawnAt, event.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    for (CaughtRecord c : caught.findByPressureTestIdOrderByWrittenAt(testId)) {
      String what = words.say("history.caught", c.place, Figures.millilitres(c.millilitres));
      entries.add(new HistoryEntry(c.writtenAt, c.writtenBy, what));
      if (c.withdrawnAt != null && c.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(c.withdrawnAt, c.withdrawnBy, words.say("history.taken-back", what)));
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
  }

  private static String kilopascals(TraceBlockRecord block) {
    return Figures.plain(ByteBuffer.wrap(block.payload).getDouble(Double.BYTES));
  }
}
