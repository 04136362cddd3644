package gotera.web.repair;

import gotera.standing.Happened;
import gotera.web.circuit.RenewedPlaces;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.job.JobService;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was repaired in a job. */
@Service
public class RepairService implements RenewedPlaces {
  private final RepairRecords repairs;
  private final JobService jobs;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  RepairService(
      RepairRecords repairs,
      JobService jobs,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.jobs = jobs;
    this.changes = changes;
    this.memo = memo;
    this.repairs = repairs;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The notes in the order they were written. */
  @Transactional(readOnly = true)
  public List<RepairNote> notes(UUID jobId) {
    return memo.of(
        "repairs",
        jobId,
        () ->
            repairs.findByJobIdAndWithdrawnAtIsNullOrderByWrittenAt(jobId).stream()
                .map(
                    r ->
                        new RepairNote(
                            r.id, r.joint, r.note, r.renewed, r.at(), r.writtenAt, r.writtenBy))
                .sorted(Comparator.comparing(RepairNote::at))
                .toList());
  }

  /** Takes a note back; it stays in the history. */
  @Write
  public void withdraw(UUID jobId, UUID id, String by) {
    RepairRecord note =
        repairs
            .findById(id)
            .filter(r -> r.jobId.equals(jobId))
            .orElseThrow(() -> new NotFound("repair " + id));
    if (note.withdrawnAt == null) {
      note.withdrawnAt = clock.instant();
      note.withdrawnBy = by;
      repairs.save(note);
      changes.count(jobId);
      changes.countShared();
    }
  }

  /**
   * What was done.
   *
   * @param joint word of the joint; empty for none in particular
   * @param note what
   * @param renewed whether the part is new since
   * @param happened when, where it is written down later
   */
  public record Done(String joint, String note, boolean renewed, Optional<Instant> happened) {}

  /** Writes a note. */
  @Write
  public void write(UUID jobId, Done done, String by) {
    RepairRecord record =
        new RepairRecord(identifiers.next(), jobId, done.joint(), done.note(), clock.instant(), by);
    record.renewed = done.renewed();
    record.happenedAt = done.happened().orElse(null);
    repairs.save(record);
    changes.count(jobId);
    changes.countShared();
  }

  /** Places that were repaired on the vehicle of a job, in this job and in others. */
  @Transactional(readOnly = true)
  public List<Happened<String>> mended(UUID jobId) {
    return memo.shared(
        "mended",
        jobId,
        () ->
            repairs
                .findByJobIdInAndJointNotAndWithdrawnAtIsNullOrderByWrittenAt(
                    ofItsVehicle(jobId), "")
                .stream()
                .map(r -> new Happened<>(r.at(), r.joint))
                .toList());
  }

  /** The moment before which everything has happened that is written down. */
  Instant now() {
    return clock.instant();
  }

  private List<UUID> ofItsVehicle(UUID jobId) {
    return jobs.require(jobId).vehicleId().map(v -> jobs.of(List.of(v))).orElse(List.of(jobId));
  }

  @Override
  @Transactional(readOnly = true)
  public List<Renewed> renewed(UUID jobId) {
    return repairs
        .findByJobIdInAndRenewedIsTrueAndWithdrawnAtIsNullOrderByWrittenAt(ofItsVehicle(jobId))
        .stream()
        .filter(r -> !r.joint.isEmpty())
        .map(r -> new Renewed(r.joint, r.note, r.at(), !r.jobId.equals(jobId)))
        .toList();
  }
}
