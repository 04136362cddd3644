package gotera.web.pressure;

import gotera.web.figures.Figures;
import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import gotera.web.job.JobMemo;
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
  private final TestViews views;
  private final JobMemo memo;
  private final TraceHistory traces;
  private final CaughtRecords caught;
  private final Words words;

  PressureTestHistory(
      AuditTrail trail,
      TestViews views,
      JobMemo memo,
      TraceHistory traces,
      CaughtRecords caught,
      Words words) {
    this.caught = caught;
    this.trail = trail;
    this.views = views;
    this.memo = memo;
    this.traces = traces;
    this.words = words;
  }

  @Override
  public boolean isOfUncounted() {
    return true;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries =
        new ArrayList<>(
            trail.of(PressureTestRecord.class, "jobId", jobId, "history.pressure-test"));
    for (PressureTestRecord t : views.all(jobId)) {
      entries.addAll(
          t.finishedAt == null
              ? whatWasDone(t.id)
              : memo.of("history of " + t.id, jobId, () -> whatWasDone(t.id)));
    }
    return entries;
  }

  private List<HistoryEntry> whatWasDone(UUID testId) {
    List<HistoryEntry> entries = new ArrayList<>(traces.of(testId));
    for (CaughtRecord c : caught.findByPressureTestIdOrderByWrittenAt(testId)) {
      String what = words.say("history.caught", c.place, Figures.millilitres(c.millilitres));
      entries.add(new HistoryEntry(c.writtenAt, c.writtenBy, what));
      if (c.withdrawnAt != null && c.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(c.withdrawnAt, c.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    return entries;
  }
}
