package gotera.web.work;

import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells which lines of time and cost were written and taken back. */
@Component
class WorkHistory implements HistorySource {
  private final WorkEntryRecords records;
  private final Words words;

  WorkHistory(WorkEntryRecords records, Words words) {
    this.records = records;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (WorkEntryRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what = words.say("history.work", words.say("work.kind." + r.kind), r.what);
      entries.add(new HistoryEntry(r.writtenAt, r.writtenBy, what));
      if (r.withdrawnAt != null && r.withdrawnBy != null) {
        entries.add(
            new HistoryEntry(r.withdrawnAt, r.withdrawnBy, words.say("history.taken-back", what)));
      }
    }
    return entries;
  }
}
