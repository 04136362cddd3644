package gotera.web.repair;

import gotera.repair.StripList;
import gotera.web.frame.NotFound;
import gotera.web.job.InTheWay;
import gotera.web.job.JobChanges;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came off in a job, and what of it is back. */
@Service
public class StripService implements InTheWay {
  private final StripLineRecords records;
  private final PhotoService photos;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Words words;
  private final Clock clock;

  StripService(
      StripLineRecords records,
      PhotoService photos,
      JobChanges changes,
      Identifiers identifiers,
      Words words,
      Clock clock) {
    this.records = records;
    this.photos = photos;
    this.changes = changes;
    this.identifiers = identifiers;
    this.words = words;
    this.clock = clock;
  }

  /**
   * Something that comes off.
   *
   * @param joint the joint that it opens; empty for none
   * @param what what it is
   * @param fasteners how many hold it
   * @param size of the fasteners, or the wrench
   * @param torque the maker's, as entered
   * @param hidden whether some of them are hidden
   * @param needless whether it turned out not to be needed
   */
  public record Off(
      String joint,
      String what,
      int fasteners,
      String size,
      String torque,
      boolean hidden,
      boolean needless) {}

  /**
   * A line as it stands.
   *
   * @param line as the computation takes it
   * @param off what came off
   * @param photo its photograph
   */
  public record Shown(StripList.Line line, Off off, Optional<UUID> photo) {}

  /** What came off, the first first. */
  @Transactional(readOnly = true)
  public List<Shown> lines(UUID jobId) {
    return records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
        .filter(r -> r.withdrawnAt == null)
        .map(StripService::shown)
        .toList();
  }

  private static Shown shown(StripLineRecord r) {
    return new Shown(
        new StripList.Line(r.id.toString(), r.what, r.fasteners, r.back, r.refittedAt != null),
        new Off(r.joint, r.what, r.fasteners, r.size, r.torque, r.hidden, r.needless),
        Optional.ofNullable(r.photoId));
  }

  /** The same, as the computation takes it. */
  public StripList list(UUID jobId) {
    return new StripList(lines(jobId).stream().map(Shown::line).toList());
  }

  /** Writes down what came off. */
  @Write
  public void off(UUID jobId, Off off, Optional<Photograph> photograph, String by) {
    StripLineRecord record = new StripLineRecord(identifiers.next(), jobId, clock.instant(), by);
    record.joint = off.joint();
    record.what = off.what();
    record.fasteners = off.fasteners();
    record.size = off.size();
    record.torque = off.torque();
    record.hidden = off.hidden();
    record.needless = off.needless();
    record.photoId = photograph.map(p -> photos.keep(jobId, p, by)).orElse(null);
    records.save(record);
    changes.count(jobId);
  }

  /** It is back, with so many fasteners. */
  @Write
  public void back(UUID jobId, UUID lineId, int fasteners, String by) {
    StripLineRecord record = require(jobId, lineId);
    record.back = fasteners;
    record.refittedAt = clock.instant();
    record.refittedBy = by;
    changes.count(jobId);
  }

  /** It is off again. */
  @Write
  public void offAgain(UUID jobId, UUID lineId) {
    StripLineRecord record = require(jobId, lineId);
    record.back = 0;
    record.refittedAt = null;
    record.refittedBy = null;
    changes.count(jobId);
  }

  /** Takes a line back; it stays in the history. */
  @Write
  public void withdraw(UUID jobId, UUID lineId, String by) {
    StripLineRecord record = require(jobId, lineId);
    if (record.withdrawnAt == null) {
      record.withdrawnAt = clock.instant();
      record.withdrawnBy = by;
      changes.count(jobId);
    }
  }

  private StripLineRecord require(UUID jobId, UUID lineId) {
    return records
        .findById(lineId)
        .filter(r -> r.jobId.equals(jobId))
        .orElseThrow(() -> new NotFound("strip line " + lineId));
  }

  @Override
  public List<String> of(UUID jobId) {
    return list(jobId).open().stream().map(this::open).toList();
  }

  /** What is open of a line, in words. */
  String open(StripList.Line line) {
    if (!line.refitted()) {
      return words.say("strip.off", line.what());
    }
    return line.missing() > 0
        ? words.say("strip.missing", line.what(), line.missing())
        : words.say("strip.left-over", line.what(), -line.missing());
  }
}
