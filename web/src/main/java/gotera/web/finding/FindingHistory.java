package gotera.web.finding;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tells what was written into the log of a job, and what was taken back. */
@Component
class FindingHistory implements HistorySource {
  private final FindingRecords records;
  private final Words words;

  FindingHistory(FindingRecords records, Words words) {
    this.records = records;
    this.words = words;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (FindingRecord r : records.findByJobIdOrderByWrittenAtAscIdAsc(jobId)) {
      String what = what(r);
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

  private void known(List<String> parts, String key) {
    if (words.knows(key)) {
      parts.add(words.say(key));
    }
  }

  private void measured(List<String> parts, String what, @Nullable Double value) {
    if (value != null) {
      parts.add(words.say("measured." + what, Figures.plain(value)));
    }
  }

  private String what(FindingRecord r) {
    List<String> parts = new ArrayList<>();
    known(parts, "joint." + r.subject);
    known(parts, "drip-spot." + r.subject);
    parts.add(words.say(r.checkWord + ".saw." + r.saw));
    known(parts, "dye-match." + r.subject);
    measured(parts, "volume", r.volumeMl);
    measured(parts, "temperature", r.celsius);
    measured(parts, "minutes", r.minutes);
    measured(parts, "size", r.sizeMm);
    measured(parts, "lower", r.lowerCelsius);
    r.unmet.stream().sorted().forEach(u -> known(parts, "unmet." + u));
    if (r.photoId != null) {
      parts.add(words.say("history.photoId.set"));
    }
    if (!r.note.isEmpty()) {
      parts.add("\u201c" + r.note + "\u201d");
    }
    return words.say("check." + r.checkWord) + ": " + String.join(", ", parts);
  }
}
