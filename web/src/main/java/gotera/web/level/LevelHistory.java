package gotera.web.level;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells which marks were written down and taken back. */
@Component
class LevelHistory implements HistorySource {
  private final LevelMarkRecords marks;
  private final Words words;

  LevelHistory(LevelMarkRecords marks, Words words) {
    this.marks = marks;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (LevelMarkRecord m : marks.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what =
          words.say(
              "history.level",
              Figures.fixed(m.levelMm, 1),
              Figures.plain(m.hotHours),
              Figures.millilitres(m.toppedUpMl));
      entries.add(new HistoryEntry(m.writtenAt, m.writtenBy, what));
      if (m.withdrawnAt != null && m.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(m.withdrawnAt, m.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    return entries;
  }
}
