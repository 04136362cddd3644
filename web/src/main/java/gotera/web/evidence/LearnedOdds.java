package gotera.web.evidence;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import gotera.suspects.ShopOdds;
import gotera.suspects.ShopOdds.Closed;
import gotera.web.circuit.CircuitService;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.storage.Write;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/**
 * What this workshop's own closed jobs say of the odds, once the lead has switched it on. It is
 * worked out anew now and then, not with every job.
 */
@Service
public class LearnedOdds {
  /** How old it may be. */
  private static final Duration FRESH = Duration.ofMinutes(10);

  private static final String LEARNED = "learned";

  private final JdbcTemplate database;
  private final CircuitService circuits;
  private final JobChanges changes;
  private final JobMemo memo;
  private final LoadingCache<String, ShopOdds> kept;

  LearnedOdds(JdbcTemplate database, CircuitService circuits, JobChanges changes, JobMemo memo) {
    this.changes = changes;
    this.memo = memo;
    this.database = database;
    this.circuits = circuits;
    this.kept = Caffeine.newBuilder().expireAfterWrite(FRESH).build(k -> read());
  }

  /** What counts for a job now. */
  ShopOdds odds() {
    return isOn() ? learned() : ShopOdds.NONE;
  }

  /** What was learned, whether it counts or not. */
  public ShopOdds learned() {
    return kept.get(LEARNED);
  }

  /** Whether it counts. */
  public boolean isOn() {
    return memo.shared(
        "learned odds",
        () ->
            database
                .queryForList("select learned_odds from workshop_choice", Boolean.class)
                .contains(true));
  }

  /** Switches it on or off. */
  @Write
  public void switchTo(boolean on) {
    database.update(
        "insert into workshop_choice (id, learned_odds, version) values (1, ?, 0)"
            + " on duplicate key update learned_odds = ?, version = version + 1",
        on,
        on);
    changes.countShared();
    kept.invalidateAll();
  }

  private ShopOdds read() {
    Map<UUID, Set<String>> leaked = new LinkedHashMap<>();
    database.query(
        "select j.id, r.joint from job j join repair r on r.job_id = j.id"
            + " where j.closed_at is not null and j.ending in ('proven', 'provisional')"
            + " and r.withdrawn_at is null and r.joint <> '' order by j.closed_at desc",
        row -> {
          UUID job = UUID.fromString(row.getString(1));
          if (leaked.size() < ShopOdds.MOST_JOBS || leaked.containsKey(job)) {
            leaked.computeIfAbsent(job, k -> new TreeSet<>()).add(row.getString(2));
          }
        });
    List<Closed> jobs = new ArrayList<>();
    leaked.forEach((job, joints) -> jobs.add(new Closed(circuits.circuit(job), joints)));
    return ShopOdds.of(jobs);
  }
}
