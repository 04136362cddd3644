package gotera.web.cap;

import gotera.cap.CapTest;
import gotera.cap.TestLimit;
import gotera.quantity.GaugePressure;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The cap of a job. */
@Service
public class CapService {
  private final CapRecords caps;
  private final JobChanges changes;
  private final JobMemo memo;
  private final ApplicationEventPublisher events;
  private final Identifiers identifiers;
  private final Clock clock;

  CapService(
      CapRecords caps,
      JobChanges changes,
      ApplicationEventPublisher events,
      Identifiers identifiers,
      Clock clock,
      JobMemo memo) {
    this.memo = memo;
    this.events = events;
    this.changes = changes;
    this.caps = caps;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The cap, once it was read. */
  @Transactional(readOnly = true)
  public Optional<CapFacts> of(UUID jobId) {
    return record(jobId).map(CapService::facts);
  }

  @Transactional(readOnly = true)
  Optional<CapRecord> record(UUID jobId) {
    return memo.of("cap", jobId, () -> caps.findByJobId(jobId));
  }

  /**
   * How the cap did on its tester, as far as leaking goes.
   *
   * @param passed whether it opens no earlier than it should, and holds
   * @param at when that was written
   */
  public record Tried(boolean passed, Instant at) {}

  /** The same; empty where it was not tried as far as to tell, or was renewed since. */
  @Transactional(readOnly = true)
  public Optional<Tried> tried(UUID jobId) {
    return record(jobId)
        .filter(c -> !c.seals.equals("replaced"))
        .flatMap(
            c -> {
              TesterReadings readings = readings(c);
              List<CapTest.Problem> problems =
                  readings.of(new GaugePressure(c.ratedKpa)).problems();
              boolean fails =
                  problems.contains(CapTest.Problem.OPENS_EARLY)
                      || problems.contains(CapTest.Problem.DOES_NOT_HOLD);
              boolean told = readings.opening().isPresent() && readings.holds().isPresent();
              return fails || told ? Optional.of(new Tried(!fails, c.writtenAt)) : Optional.empty();
            });
  }

  /**
   * Writes the cap.
   *
   * @param by who writes
   * @param version version that was read; an older one is refused
   */
  @Write
  public void write(UUID jobId, CapEntry entry, String by, int version) {
    CapRecord cap =
        caps.findByJobId(jobId)
            .orElseGet(() -> new CapRecord(identifiers.next(), jobId, clock.instant(), by));
    if (cap.version != null && cap.version != version) {
      throw new OptimisticLockingFailureException("cap of " + jobId);
    }
    cap.stamp = entry.stamp();
    cap.ratedKpa = entry.rated().kilopascals();
    cap.makerFigureKpa = kilopascals(entry.makerFigure());
    cap.testPressureKpa = kilopascals(entry.testPressure());
    cap.seals = entry.seals();
    cap.note = entry.note();
    cap.writtenAt = clock.instant();
    cap.writtenBy = by;
    caps.save(cap);
    changes.count(jobId);
    events.publishEvent(new CapChanged(jobId, facts(cap)));
  }

  /**
   * Writes what the cap tester showed.
   *
   * @param by who writes
   */
  @Write
  public void tested(UUID jobId, TesterReadings readings, String by) {
    CapRecord cap = caps.findByJobId(jobId).orElseThrow(() -> new NotFound("cap of " + jobId));
    OptionalDouble altitude = readings.altitude();
    cap.openingKpa = kilopascals(readings.opening());
    cap.holdsKpa = kilopascals(readings.holds());
    cap.vacuumKpa = kilopascals(readings.vacuum());
    cap.altitudeMetres = altitude.isPresent() ? Double.valueOf(altitude.getAsDouble()) : null;
    cap.writtenAt = clock.instant();
    cap.writtenBy = by;
    if (readings.of(new GaugePressure(cap.ratedKpa)).doubtful() && !cap.seals.equals("replaced")) {
      cap.seals = "doubtful";
    }
    caps.save(cap);
    changes.count(jobId);
  }

  /** Writes what a cap tester showed besides what is known; what was not tried again stays. */
  @Write
  public void alsoTested(UUID jobId, TesterReadings readings, String by) {
    CapRecord cap = caps.findByJobId(jobId).orElseThrow(() -> new NotFound("cap of " + jobId));
    tested(jobId, readings.over(readings(cap)), by);
  }

  static TesterReadings readings(CapRecord cap) {
    return new TesterReadings(
        pressure(cap.openingKpa),
        pressure(cap.holdsKpa),
        pressure(cap.vacuumKpa),
        cap.altitudeMetres == null
            ? OptionalDouble.empty()
            : OptionalDouble.of(cap.altitudeMetres));
  }

  private static CapFacts facts(CapRecord cap) {
    GaugePressure rated = new GaugePressure(cap.ratedKpa);
    return new CapFacts(
        cap.stamp,
        rated,
        TestLimit.of(rated, pressure(cap.makerFigureKpa), pressure(cap.testPressureKpa)),
        cap.seals);
  }

  static Optional<GaugePressure> pressure(@Nullable Double kilopascals) {
    return Optional.ofNullable(kilopascals).map(GaugePressure::new);
  }

  private static @Nullable Double kilopascals(Optional<GaugePressure> pressure) {
    return pressure.map(GaugePressure::kilopascals).orElse(null);
  }
}
