package gotera.web.report;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was written here in a job. */
@Component
class ReportLinkHistory implements HistorySource {
  private final AuditTrail trail;

  ReportLinkHistory(AuditTrail trail) {
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    return trail.of(ReportLinkRecord.class, "jobId", jobId, "history.report-link");
  }
}
