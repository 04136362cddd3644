package gotera.web.level;

import gotera.coolant.CoolantMixture;
import gotera.level.LevelWatch;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The marks of a job. */
@Service
public class LevelService {
  private final LevelMarkRecords marks;
  private final JobService jobs;
  private final PhotoService photos;
  private final ApplicationEventPublisher events;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  LevelService(
      LevelMarkRecords marks,
      JobService jobs,
      PhotoService photos,
      ApplicationEventPublisher events,
      JobChanges changes,
      Identifiers identifiers,
      Clock clock) {
    this.jobs = jobs;
    this.photos = photos;
    this.events = events;
    this.marks = marks;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The marks in order. */
  @Transactional(readOnly = true)
  List<LevelMarkRecord> marks(UUID jobId) {
    return marks.findByJobIdAndWithdrawnAtIsNullOrderByReadAtAscIdAsc(jobId);
  }

  /** How many of a job's marks somebody wrote within a day, those taken back too. */
  @Transactional(readOnly = true)
  int lately(UUID jobId, String by) {
    return marks.countByJobIdAndWrittenByAndWrittenAtAfter(
        jobId, by, clock.instant().minus(Duration.ofDays(1)));
  }

  /**
   * What the marks say that were read since then.
   *
   * @param watch from the first of them to the last
   * @param days days between them (d)
   * @param last when the last of them was read
   */
  public record Watched(LevelWatch watch, double days, Instant last) {}

  /** The watch of the marks read since then, whenever they were written; nothing without two. */
  @Transactional(readOnly = true)
  public Optional<Watched> since(UUID jobId, Instant then) {
    List<LevelMarkRecord> later =
        marks(jobId).stream().filter(m -> m.readAt.isAfter(then)).toList();
    List<LevelWatch.Mark> read = later.stream().map(LevelMarkRecord::mark).toList();
    if (read.size() < 2) {
      return Optional.empty();
    }
    JobView job = jobs.require(jobId);
    CoolantMixture coolant =
        new CoolantMixture(job.strength().orElse(CoolantMixture.USUAL_STRENGTH));
    return Optional.of(
        new Watched(
            LevelWatch.of(read, coolant, job.liquidMl()),
            days(later),
            later.get(later.size() - 1).readAt));
  }

  /** Days from the first of some marks to the last (d). */
  static double days(List<LevelMarkRecord> marks) {
    return Duration.between(marks.get(0).readAt, marks.get(marks.size() - 1).readAt).toMinutes()
        / (double) Duration.ofDays(1).toMinutes();
  }

  /**
   * What the owner adds to a mark.
   *
   * @param km distance since the mark before (km)
   * @param photograph of the mark
   */
  record FromOwner(OptionalDouble km, Optional<Photograph> photograph) {
    static final FromOwner NOTHING = new FromOwner(OptionalDouble.empty(), Optional.empty());
  }

  /** Keeps a mark, or says at its fields what is wrong. */
  @Write
  void keep(
      UUID jobId,
      LevelForm form,
      FromOwner owner,
      FieldProblems problems,
      Figures figures,
      String by) {
    Instant now = clock.instant();
    LevelMarkRecord record = new LevelMarkRecord(identifiers.next(), jobId, now, by);
    form.into(record, problems, marks(jobId), now, figures);
    if (problems.none()) {
      record.distanceKm = owner.km().isPresent() ? owner.km().getAsDouble() : null;
      record.photoId = owner.photograph().map(p -> photos.keep(jobId, p, by)).orElse(null);
      marks.save(record);
      changes.count(jobId);
      events.publishEvent(new LevelMarked(jobId));
    }
  }

  /**
   * Takes back the last mark that somebody wrote, if that was within a day: a mistake is noticed
   * soon.
   *
   * @return whether there was one
   */
  @Write
  boolean undo(UUID jobId, String by) {
    Instant since = clock.instant().minus(Duration.ofDays(1));
    Optional<LevelMarkRecord> last =
        marks(jobId).stream()
            .filter(m -> m.writtenBy.equals(by) && m.writtenAt.isAfter(since))
            .max(Comparator.comparing(m -> m.writtenAt));
    last.ifPresent(m -> withdraw(jobId, m.id, by));
    return last.isPresent();
  }

  /** Takes a mark back; it stays in the history. */
  @Write
  void withdraw(UUID jobId, UUID id, String by) {
    LevelMarkRecord mark =
        marks
            .findById(id)
            .filter(m -> m.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("level mark " + id));
    if (mark.withdrawnAt == null) {
      mark.withdrawnAt = clock.instant();
      mark.withdrawnBy = by;
      marks.save(mark);
      changes.count(jobId);
    }
  }
}
