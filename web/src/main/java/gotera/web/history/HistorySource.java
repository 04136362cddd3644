package gotera.web.history;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** A feature that tells what was done in a job. */
public interface HistorySource {
  /** Everything it knows, in any order. */
  List<HistoryEntry> of(UUID jobId);

  /** Whether it tells of anything that is written without the job's change being counted. */
  default boolean isOfUncounted() {
    return false;
  }

  /**
   * One thing that was done.
   *
   * @param at when
   * @param by the account
   * @param what in a few words
   */
  record HistoryEntry(Instant at, String by, String what) {}
}
