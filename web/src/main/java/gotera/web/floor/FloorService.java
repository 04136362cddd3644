package gotera.web.floor;

import gotera.web.job.JobChanges;
import gotera.web.storage.Write;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Where vehicles stand. */
@Service
class FloorService {
  private final FloorRows rows;
  private final JobChanges changes;

  FloorService(FloorRows rows, JobChanges changes) {
    this.rows = rows;
    this.changes = changes;
  }

  /** Puts a job's vehicle somewhere; an empty name takes it away. */
  @Write
  public void put(UUID jobId, String bay, String by) {
    rows.put(jobId, bay, by);
    changes.count(jobId);
  }
}
