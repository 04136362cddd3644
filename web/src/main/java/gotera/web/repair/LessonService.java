package gotera.web.repair;

import gotera.web.circuit.EngineTypeService;
import gotera.web.circuit.EngineTypeService.EngineType;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the shop learned on an engine type: every job of that type shows it. */
@Service
public class LessonService {
  private static final String LESSON = "lesson";
  private static final String REFILL = "refill";

  private final LessonRecords records;
  private final EngineTypeService types;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  LessonService(
      LessonRecords records,
      EngineTypeService types,
      JobChanges changes,
      Identifiers identifiers,
      Clock clock) {
    this.records = records;
    this.types = types;
    this.changes = changes;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** A lesson. */
  public record Lesson(UUID id, String what, String by) {}

  /** Whether the job's vehicle has an engine type that can learn. */
  public boolean known(UUID jobId) {
    return types.of(jobId).isPresent();
  }

  /** What was learned on the engine type of a job. */
  @Transactional(readOnly = true)
  public List<Lesson> of(UUID jobId) {
    return of(jobId, LESSON);
  }

  /** The maker's way to refill the engine type of a job, as it was written last. */
  @Transactional(readOnly = true)
  public Optional<Lesson> refill(UUID jobId) {
    return of(jobId, REFILL).stream().reduce((a, b) -> b);
  }

  private List<Lesson> of(UUID jobId, String kind) {
    return types
        .of(jobId)
        .map(EngineType::id)
        .map(
            t ->
                records.findByEngineTypeIdAndKindAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(
                    t, kind))
        .orElse(List.of())
        .stream()
        .map(r -> new Lesson(r.id, r.what, r.writtenBy))
        .toList();
  }

  /** Writes one down. */
  @Write
  public void learn(UUID jobId, String what, String by) {
    write(jobId, LESSON, what, by);
  }

  /** Writes down how the maker has it refilled. */
  @Write
  public void refill(UUID jobId, String what, String by) {
    write(jobId, REFILL, what, by);
  }

  private void write(UUID jobId, String kind, String what, String by) {
    UUID type = types.of(jobId).orElseThrow(() -> new NotFound("engine type of " + jobId)).id();
    records.save(new LessonRecord(identifiers.next(), type, kind, what, clock.instant(), by));
    changes.count(jobId);
  }

  /** Takes one back. */
  @Write
  public void withdraw(UUID jobId, UUID lessonId, String by) {
    UUID type = types.of(jobId).orElseThrow(() -> new NotFound("engine type of " + jobId)).id();
    LessonRecord record =
        records
            .findById(lessonId)
            .filter(r -> r.engineTypeId.equals(type))
            .orElseThrow(() -> new NotFound("lesson " + lessonId));
    if (record.withdrawnAt == null) {
      record.withdrawnAt = clock.instant();
      record.withdrawnBy = by;
      changes.count(jobId);
    }
  }
}
