package gotera.web.report;

import gotera.web.history.HistorySource;
import gotera.web.job.JobChanges;
import gotera.web.report.ReportPage.Head;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a report carries besides the job: the letterhead, and who signed. */
@Service
public class PaperService implements HistorySource {
  /** Papers that are printed on. */
  static final List<String> PAPERS = List.of("a4", "letter");

  private final LetterheadRecords letterheads;
  private final SignatureRecords signatures;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Words words;
  private final Clock clock;

  PaperService(
      LetterheadRecords letterheads,
      SignatureRecords signatures,
      JobChanges changes,
      Identifiers identifiers,
      Words words,
      Clock clock) {
    this.letterheads = letterheads;
    this.signatures = signatures;
    this.changes = changes;
    this.identifiers = identifiers;
    this.words = words;
    this.clock = clock;
  }

  /** The letterhead; without a name until somebody gives one. */
  @Transactional(readOnly = true)
  Head head() {
    LetterheadRecord record =
        letterheads.findById(LetterheadRecord.ONLY).orElseGet(LetterheadRecord::new);
    return new Head(record.name, record.address.lines().toList(), record.paper);
  }

  /** Writes the letterhead. */
  @Write
  public void head(String name, String address, String paper) {
    LetterheadRecord record =
        letterheads.findById(LetterheadRecord.ONLY).orElseGet(LetterheadRecord::new);
    record.name = name;
    record.address = address;
    record.paper = paper;
    letterheads.save(record);
  }

  /** Signatures of a job, in order of time. */
  @Transactional(readOnly = true)
  List<SignatureRecord> signatures(UUID jobId) {
    return signatures.findByJobIdOrderByWrittenAt(jobId);
  }

  /**
   * Signs.
   *
   * @param name who signs
   * @param drawing the strokes, as the path of a drawing; empty for a name alone
   */
  @Write
  void sign(UUID jobId, String name, String drawing, String by) {
    SignatureRecord record = new SignatureRecord(identifiers.next(), jobId, clock.instant(), by);
    record.name = name;
    record.drawing = drawing;
    signatures.save(record);
    changes.count(jobId);
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return signatures(jobId).stream()
        .map(s -> new HistoryEntry(s.writtenAt, s.writtenBy, words.say("history.signed", s.name)))
        .toList();
  }
}
