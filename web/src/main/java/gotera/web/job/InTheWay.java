package gotera.web.job;

import java.util.List;
import java.util.UUID;

/** Says what stands in the way of a job being closed in one way or another. */
public interface InTheWay {
  /** Each of it in words; none where nothing does. */
  List<String> of(UUID jobId, Ending how);
}
