package gotera.web.timer;

import gotera.timing.Wait;
import gotera.timing.Wait.Kind;
import gotera.web.figures.Figures;
import gotera.web.frame.EachRow;
import gotera.web.frame.NotFound;
import gotera.web.history.HistorySource;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.job.JobService;
import gotera.web.job.JobWait;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins and ends waits. */
@Service
public class WaitService implements JobWait, HistorySource {
  private final WaitRecords waits;
  private final JobService jobs;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Words words;
  private final Clock clock;

  WaitService(
      WaitRecords waits,
      JobService jobs,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Words words,
      Clock clock) {
    this.waits = waits;
    this.jobs = jobs;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.words = words;
    this.clock = clock;
  }

  /**
   * A wait as devices show it.
   *
   * @param id its identifier
   * @param jobId its job
   * @param vehicle the job's vehicle
   * @param kind what kind of wait it is
   * @param what what is waited for
   * @param due when it is due (ms since 1970)
   * @param ringing whether it is due
   * @param at when it is due, in words
   * @param left how long that is from now, as it is counted down
   */
  public record Shown(
      UUID id,
      UUID jobId,
      String vehicle,
      Kind kind,
      String what,
      long due,
      boolean ringing,
      String at,
      String left) {}

  /** Begins a wait. */
  @Write
  public UUID begin(UUID jobId, Kind kind, Duration lasts, String note, String by) {
    Instant now = clock.instant();
    WaitRecord wait =
        new WaitRecord(identifiers.next(), jobId, kind.word(), note, now, now.plus(lasts), by);
    waits.save(wait);
    changes.count(jobId);
    changes.countShared();
    return wait.id;
  }

  /** Ends a wait; one that is ended already stays as it is. */
  @Write
  public UUID end(UUID id, String by) {
    WaitRecord wait = waits.findById(id).orElseThrow(() -> new NotFound("wait " + id));
    if (wait.endedAt == null) {
      wait.endedAt = clock.instant();
      wait.endedBy = by;
      changes.count(wait.jobId);
      changes.countShared();
    }
    return wait.jobId;
  }

  /** Waits that nobody has ended, those due first. */
  public List<Shown> open() {
    return shown(notEnded());
  }

  /** Open waits of a job, those due first. */
  @Transactional(readOnly = true)
  public List<Shown> open(UUID jobId) {
    return shown(notEnded(jobId));
  }

  private List<WaitRecord> notEnded() {
    return memo.shared("waits", waits::findByEndedAtIsNullOrderByDueAtAsc);
  }

  private List<WaitRecord> notEnded(UUID jobId) {
    return notEnded().stream().filter(w -> w.jobId.equals(jobId)).toList();
  }

  /** Open waits of a job of one kind. */
  @Transactional(readOnly = true)
  public List<Shown> open(UUID jobId, Kind kind) {
    return open(jobId).stream().filter(w -> w.kind() == kind).toList();
  }

  private List<Shown> shown(List<WaitRecord> records) {
    return EachRow.of(records, w -> w.id, this::shown, this::broken);
  }

  /** A wait that cannot be read is there all the same, so that it can be ended. */
  private Shown broken(WaitRecord w) {
    long due = w.dueAt.toEpochMilli();
    String cannot = words.say("wait.broken");
    return new Shown(
        w.id, w.jobId, "", Kind.OTHER, cannot, due, false, Figures.moment(w.dueAt), "");
  }

  private Shown shown(WaitRecord w) {
    Wait wait = new Wait(w.begunAt, w.dueAt, Optional.ofNullable(w.endedAt));
    return new Shown(
        w.id,
        w.jobId,
        jobs.require(w.jobId).vehicle().orElse(words.say("job.unnamed")),
        Worded.of(Kind.class, w.kind).orElseThrow(),
        words.say("wait." + w.kind) + (w.note.isEmpty() ? "" : ": " + w.note),
        w.dueAt.toEpochMilli(),
        wait.at(clock.instant()) == Wait.State.RINGING,
        Figures.moment(w.dueAt),
        left(wait.left(clock.instant())));
  }

  /** As the page counts it down: hours only where there are some. */
  private static String left(Duration left) {
    String seconds = Figures.minutesAndSeconds(left.toSeconds() % 3600);
    return left.toHours() > 0
        ? left.toHours() + ":" + (seconds.length() < 5 ? "0" : "") + seconds
        : seconds;
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Instant> until(UUID jobId) {
    return notEnded(jobId).stream().map(w -> w.dueAt).findFirst();
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries = new ArrayList<>();
    for (WaitRecord w : waits.findByJobIdOrderByBegunAtAscIdAsc(jobId)) {
      String what = words.say("wait." + w.kind);
      entries.add(
          new HistoryEntry(
              w.begunAt, w.begunBy, words.say("history.wait", what, Figures.moment(w.dueAt))));
      if (w.endedAt != null && w.endedBy != null) {
        entries.add(new HistoryEntry(w.endedAt, w.endedBy, words.say("history.wait-ended", what)));
      }
    }
    return entries;
  }
}
