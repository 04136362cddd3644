package gotera.web.tools;

import gotera.cap.CapStamp;
import gotera.quantity.GaugePressure;
import gotera.web.cap.CapEntry;
import gotera.web.cap.CapFacts;
import gotera.web.cap.CapService;
import gotera.web.history.HistorySource;
import gotera.web.job.JobChanges;
import gotera.web.job.JobService;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.web.tools.Sums.SumLine;
import gotera.web.words.Words;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps sums of the bench into a job: as they were said, and what the job can use of them. */
@Service
class KeptSums implements HistorySource {
  private final JdbcTemplate database;
  private final CapService caps;
  private final JobService jobs;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Words words;
  private final Clock clock;

  KeptSums(
      JdbcTemplate database,
      CapService caps,
      JobService jobs,
      JobChanges changes,
      Identifiers identifiers,
      Words words,
      Clock clock) {
    this.database = database;
    this.caps = caps;
    this.jobs = jobs;
    this.changes = changes;
    this.identifiers = identifiers;
    this.words = words;
    this.clock = clock;
  }

  /**
   * Keeps them: the cap and its readings where the job's cap is this one or none was written, what
   * the system holds and its strength where the vehicle has none, and all of it as it was said.
   *
   * @return the job's cap where it is another: then nothing was kept
   */
  @Write
  public Optional<CapFacts> keep(UUID jobId, Sums sums, List<SumLine> lines, String by) {
    Optional<CapFacts> cap = caps.of(jobId);
    Optional<CapFacts> other = cap.filter(c -> isAnother(c, sums));
    if (other.isPresent()) {
      return other;
    }
    if (sums.pressure().isPresent() && cap.isEmpty()) {
      GaugePressure rated = new GaugePressure(sums.pressure().getAsDouble());
      caps.write(jobId, CapEntry.stamped(sums.stamp(), rated, "not-looked"), by, 0);
    }
    if (sums.tester().tried() && sums.pressure().isPresent()) {
      caps.alsoTested(jobId, sums.tester(), by);
    }
    jobs.learn(jobId, sums.capacity(), sums.strength());
    database.update(
        "insert into bench_sum (id, job_id, kept_at, kept_by, said) values (?, ?, ?, ?, ?)",
        identifiers.next().toString(),
        jobId.toString(),
        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
        by,
        lines.stream().map(l -> l.name() + ": " + l.value()).collect(Collectors.joining("\n")));
    changes.count(jobId);
    return Optional.empty();
  }

  private static boolean isAnother(CapFacts cap, Sums sums) {
    return sums.pressure().isPresent()
        && !CapStamp.same(cap.rated(), new GaugePressure(sums.pressure().getAsDouble()));
  }

  @Override
  public boolean isOfUncounted() {
    return true;
  }

  @Override
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(UUID jobId) {
    return database.query(
        "select kept_at, kept_by, said from bench_sum where job_id = ? order by kept_at, id",
        (row, n) ->
            new HistoryEntry(
                row.getObject("kept_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
                row.getString("kept_by"),
                words.say("history.bench-sum", row.getString("said").replace("\n", "; "))),
        jobId.toString());
  }
}
