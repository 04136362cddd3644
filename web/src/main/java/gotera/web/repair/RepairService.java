package gotera.web.repair;

import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was repaired in a job. */
@Service
public class RepairService {
  private final RepairRecords repairs;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;

  RepairService(RepairRecords repairs, JobChanges changes, Identifiers identifiers, Clock clock) {
    this.changes = changes;
    this.repairs = repairs;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The notes in the order they were written. */
  @Transactional(readOnly = true)
  public List<RepairNote> notes(UUID jobId) {
    return repairs.findByJobIdAndWithdrawnAtIsNullOrderByWrittenAt(jobId).stream()
        .map(r -> new RepairNote(r.id, r.joint, r.note, r.writtenAt, r.writtenBy))
        .toList();
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
    }
  }

  /** Writes a note. */
  @Write
  public void write(UUID jobId, String joint, String note, String by) {
    repairs.save(new RepairRecord(identifiers.next(), jobId, joint, note, clock.instant(), by));
    changes.count(jobId);
  }
}
