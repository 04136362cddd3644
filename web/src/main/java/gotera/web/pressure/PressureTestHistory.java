package gotera.web.pressure;

import gotera.web.figures.Figures;
import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import gotera.web.pressure.trace.TraceHistory;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
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
  private final TraceHistory traces;
  private final CaughtRecords caught;
  private final Words words;

  PressureTestHistory(
      AuditTrail trail,
      PressureTestRecords tests,
      TraceHistory traces,
      CaughtRecords caught,
      Words words) {
    this.caught = caught;
    this.trail = trail;
    this.tests = tests;
    this.traces = traces;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries =
        new ArrayList<>(
            trail.of(PressureTestRecord.class, "jobId", jobId, "history.pressure-test"));
    tests.findByJobIdOrderByStartedAt(jobId).forEach(t -> addWhatWasDone(t.id, entries));
    return entries;
  }

  private void addWhatWasDone(UUID testId, List<HistoryEntry> entries) {
    entries.addAll(traces.of(testId));
    for (CaughtRecord c : caught.findByPressureTestIdOrderByWrittenAt(testId)) {
      String what = words.say("history.caught", c.place, Figures.millilitres(c.millilitres));
      entries.add(new HistoryEntry(c.writtenAt, c.writtenBy, what));
      if (c.withdrawnAt != null && c.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(c.withdrawnAt, c.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
  }
}
