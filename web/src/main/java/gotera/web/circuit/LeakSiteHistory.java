package gotera.web.circuit;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was written here in a job. */
@Component
class LeakSiteHistory implements HistorySource {
  private final AuditTrail trail;

  LeakSiteHistory(AuditTrail trail) {
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return trail.of(LeakSiteRecord.class, "jobId", jobId, "history.leak-site");
  }
}
