package gotera.web.job;

import java.util.List;
import java.util.UUID;

/** What a feature found besides leaks, for the report: nothing that was seen is left out. */
public interface FoundBesides {
  /** Each as a line; none where nothing was found. */
  List<String> found(UUID jobId);
}
