package gotera.web.finding;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells what was written into the log of a job, and what was taken back. */
@Component
class FindingHistory implements HistorySource {
  private final FindingRecords records;
  private final FindingWords says;
  private final Words words;

  FindingHistory(FindingRecords records, FindingWords says, Words words) {
    this.records = records;
    this.says = says;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (FindingRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what =
          r.read().map(f -> says.withCheck(f, Figures.USUAL)).orElseGet(() -> says.say(r.unread()));
      entries.add(new HistoryEntry(r.writtenAt, r.writtenBy, what));
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
