package gotera.web.repair;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was written here in a job. */
@Component
class RepairHistory implements HistorySource {
  private final AuditTrail trail;

  RepairHistory(AuditTrail trail) {
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return trail.of(RepairRecord.class, "jobId", jobId, "history.repair");
  }
}
