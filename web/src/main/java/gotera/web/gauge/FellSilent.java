package gotera.web.gauge;

import gotera.device.Silence;
import gotera.web.job.JobChanges;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * A gauge that falls silent at a test that runs changes what is known of its job: pages that stay
 * open are told, for nothing else comes from it any more.
 */
@Component
class FellSilent {
  private final GaugeRows rows;
  private final JobChanges changes;
  private final Clock clock;

  /** When each gauge was heard last that was told to be silent. */
  private final Map<UUID, Instant> told = new HashMap<>();

  FellSilent(GaugeRows rows, JobChanges changes, Clock clock) {
    this.rows = rows;
    this.changes = changes;
    this.clock = clock;
  }

  /** A gauge at a test that runs, and when it was heard last. */
  record Waiting(UUID gauge, UUID job, Instant heard) {}

  /** Counts a change of the jobs whose gauge fell silent since. */
  @Write
  public synchronized void look() {
    Instant silent = clock.instant().minus(Silence.AFTER);
    List<Waiting> now =
        rows.atRunningTests().stream().filter(w -> w.heard().isBefore(silent)).toList();
    for (Waiting w : now) {
      if (!w.heard().equals(told.get(w.gauge()))) {
        changes.count(w.job());
      }
    }
    told.clear();
    now.forEach(w -> told.put(w.gauge(), w.heard()));
  }
}
