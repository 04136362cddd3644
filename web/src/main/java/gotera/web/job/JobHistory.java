package gotera.web.job;

import gotera.web.history.AuditTrail;
import gotera.web.history.HistorySource;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells what was done to the job and its vehicle. */
@Component
class JobHistory implements HistorySource {
  private final JobRecords jobs;
  private final AuditTrail trail;

  JobHistory(JobRecords jobs, AuditTrail trail) {
    this.jobs = jobs;
    this.trail = trail;
  }

  @Override
  public List<HistoryEntry> of(UUID jobId) {
    List<HistoryEntry> entries =
        new ArrayList<>(trail.of(JobRecord.class, "id", jobId, "history.job"));
    entries.addAll(trail.of(SkippedStepRecord.class, "jobId", jobId, "history.skipped-step"));
    jobs.findById(jobId)
        .map(job -> job.vehicle)
        .ifPresent(
            v -> entries.addAll(trail.of(VehicleRecord.class, "id", v.id, "history.vehicle")));
    return entries;
  }
}
