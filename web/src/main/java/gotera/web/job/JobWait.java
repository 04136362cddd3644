package gotera.web.job;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Tells until when a job waits for something that takes its time. */
public interface JobWait {
  /** When the first of its waits is due; empty where nothing is waited for. */
  Optional<Instant> until(UUID jobId);
}
