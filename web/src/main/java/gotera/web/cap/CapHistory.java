package gotera.web.cap;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was written here in a job. */
@Component
class CapHistory implements HistorySource {
  private final AuditTrail trail;

  CapHistory(AuditTrail trail) {
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return trail.of(CapRecord.class, "jobId", jobId, "history.cap");
  }
}
