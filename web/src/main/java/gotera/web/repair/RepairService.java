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
import java.util.List;
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
                    r -> new RepairNote(r.id, r.joint, r.note, r.renewed, r.writtenAt, r.writtenBy))
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

  /** Writes a note; {@code renewed} says that the part is new since. */
  @Write
  public void write(UUID jobId, String joint, String note, boolean renewed, String by) {
    RepairRecord record =
        new RepairRecord(identifiers.next(), jobId, joint, note, clock.instant(), by);
    record.renewed = renewed;
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
                .map(r -> new Happened<>(r.writtenAt, r.joint))
                .toList());
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
        .map(r -> new Renewed(r.joint, r.note, r.writtenAt, !r.jobId.equals(jobId)))
        .toList();
  }
}
