package gotera.web.decide;

import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells what was put on the sheet of a job, what was decided, and what was taken off. */
@Component
class QuoteHistory implements HistorySource {
  private final QuoteLineRecords records;
  private final Words words;

  QuoteHistory(QuoteLineRecords records, Words words) {
    this.records = records;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (QuoteLineRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what = words.say("history.quote", r.what);
      entries.add(new HistoryEntry(r.writtenAt, r.writtenBy, what));
      if (r.decidedAt != null) {
        entries.add(
            new HistoryEntry(
                r.decidedAt,
                Objects.requireNonNullElse(r.decidedBy, ""),
                words.say("history.quote-decided", r.what, words.say("decided." + r.decision))));
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
