package gotera.web.link;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was written here in a job. */
@Component
class CustomerLinkHistory implements HistorySource {
  private final AuditTrail trail;

  CustomerLinkHistory(AuditTrail trail) {
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return trail.of(CustomerLinkRecord.class, "jobId", jobId, "history.report-link");
  }
}
