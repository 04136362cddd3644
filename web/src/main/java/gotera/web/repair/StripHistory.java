package gotera.web.repair;

import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells what came off in a job, what went back, and what was taken back. */
@Component
class StripHistory implements HistorySource {
  private final StripLineRecords records;
  private final Words words;

  StripHistory(StripLineRecords records, Words words) {
    this.records = records;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (StripLineRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what = words.say("history.strip", r.what, r.fasteners);
      entries.add(new HistoryEntry(r.writtenAt, r.writtenBy, what));
      if (r.refittedAt != null) {
        entries.add(
            new HistoryEntry(
                r.refittedAt,
                Objects.requireNonNullElse(r.refittedBy, ""),
                words.say("history.refit", r.what, r.back)));
      }
      if (r.withdrawnAt != null) {
        entries.add(
            new HistoryEntry(
                r.withdrawnAt,
                Objects.requireNonNullElse(r.withdrawnBy, ""),
                words.say("history.taken-back", what)));
      }
    }
    return entries;
  }
}
