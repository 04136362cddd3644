package gotera.web.repair;

import gotera.repair.StripList;
import gotera.web.frame.NotFound;
import gotera.web.job.Ending;
import gotera.web.job.InTheWay;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.voice.Recording;
import gotera.web.voice.VoiceService;
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
  private final VoiceService voices;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final StripWords says;
  private final Clock clock;

  StripService(
      StripLineRecords records,
      PhotoService photos,
      VoiceService voices,
      JobChanges changes,
      Identifiers identifiers,
      StripWords says,
      Clock clock,
      JobMemo memo) {
    this.memo = memo;
    this.records = records;
    this.photos = photos;
    this.voices = voices;
    this.changes = changes;
    this.identifiers = identifiers;
    this.says = says;
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
   * @param voice what was said with it
   */
  public record Shown(
      StripList.TakenOff line, Off off, Optional<UUID> photo, Optional<UUID> voice) {}

  /** A photograph and a recording of something that comes off. */
  record Kept(Optional<Photograph> photograph, Optional<Recording> recording) {}

  /** What came off, the first first. */
  @Transactional(readOnly = true)
  public List<Shown> lines(UUID jobId) {
    return memo.of(
        "strip-list",
        jobId,
        () ->
            records.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
                .filter(r -> r.withdrawnAt == null)
                .map(StripService::shown)
                .toList());
  }

  private static Shown shown(StripLineRecord r) {
    return new Shown(
        new StripList.TakenOff(r.id.toString(), r.what, r.fasteners, r.back, r.refittedAt != null),
        new Off(r.joint, r.what, r.fasteners, r.size, r.torque, r.hidden, r.needless),
        Optional.ofNullable(r.photoId),
        Optional.ofNullable(r.voiceId));
  }

  /** The same, as the computation takes it. */
  public StripList list(UUID jobId) {
    return new StripList(lines(jobId).stream().map(Shown::line).toList());
  }

  /** Writes down what came off. */
  @Write
  public void off(UUID jobId, Off off, Kept kept, String by) {
    StripLineRecord record = new StripLineRecord(identifiers.next(), jobId, clock.instant(), by);
    record.joint = off.joint();
    record.what = off.what();
    record.fasteners = off.fasteners();
    record.size = off.size();
    record.torque = off.torque();
    record.hidden = off.hidden();
    record.needless = off.needless();
    record.photoId = kept.photograph().map(p -> photos.keep(jobId, p, by)).orElse(null);
    record.voiceId = kept.recording().map(v -> voices.keep(jobId, v, by)).orElse(null);
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
  public List<String> of(UUID jobId, Ending how) {
    if (how != Ending.PROVEN) {
      return List.of();
    }
    return list(jobId).open().stream().map(says::open).toList();
  }
}
