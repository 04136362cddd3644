package gotera.web.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Says what shows that a job leaks after its repair: then nothing of it is proven anywhere. */
public interface TakenBack {
  /** What shows it, in words; empty while nothing does. */
  Optional<String> by(UUID jobId);

  /** Places that were repaired on this vehicle before, in any job, and leak again, in words. */
  List<String> twice(UUID jobId);
}
