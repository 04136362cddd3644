package gotera.web.pressure;

import gotera.formats.HoldDefaults;
import gotera.formats.HoldDescription;
import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome;
import gotera.formats.ResultJson;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.job.JobChanges;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Pressure tests: beginning them, reading the gauge, sealing them, and what they say. */
@Service
public class PressureService {
  private static final int ATTEMPTS = 5;

  private final PressureTestRecords tests;
  private final TraceStore traces;
  private final VerdictRecords verdicts;
  private final SealedTests sealed;
  private final JobChanges changes;
  private final Identifiers identifiers;
  private final Clock clock;
  private final TransactionTemplate transaction;
  private final JsonMapper json = JsonMapper.builder().build();

  PressureService(
      PressureTestRecords tests,
      TraceStore traces,
      VerdictRecords verdicts,
      SealedTests sealed,
      JobChanges changes,
      Identifiers identifiers,
      Clock clock,
      TransactionTemplate transaction) {
    this.changes = changes;
    this.tests = tests;
    this.traces = traces;
    this.verdicts = verdicts;
    this.sealed = sealed;
    this.identifiers = identifiers;
    this.clock = clock;
    this.transaction = transaction;
  }

  /** What became of adding something to a test. */
  public enum Added {
    /** It is stored. */
    YES,
    /** The test is sealed; nothing can be added. */
    FINISHED,
    /** Its time is not later than what is already there. */
    NOT_LATER,
    /** The test has readings already. */
    NOT_EMPTY
  }

  /** Begins a test. */
  public UUID begin(UUID jobId, Phase phase, HoldDescription hold, String readingMode, String by) {
    return retried(
        () -> {
          int number =
              tests
                      .findFirstByJobIdAndPhaseOrderByNumberDesc(jobId, phase.word())
                      .map(t -> t.number)
                      .orElse(0)
                  + 1;
          PressureTestRecord test =
              new PressureTestRecord(identifiers.next(), jobId, phase, number, clock.instant(), by);
          test.hold = HoldJson.write(hold);
          test.readingMode = readingMode;
          tests.save(test);
          changes.count(jobId);
          return test.id;
        });
  }

  /** The test, or not found. */
  public PressureTestView require(UUID testId) {
    return inTransaction(() -> view(record(testId)));
  }

  /** The latest test of a phase. */
  public Optional<PressureTestView> latest(UUID jobId, Phase phase) {
    return inTransaction(
        () -> tests.findFirstByJobIdAndPhaseOrderByNumberDesc(jobId, phase.word()).map(this::view));
  }

  /** All tests of a job in the order they were begun. */
  public List<PressureTestView> all(UUID jobId) {
    return inTransaction(
        () -> tests.findByJobIdOrderByStartedAt(jobId).stream().map(this::view).toList());
  }

  /** Time on a test's clock now (s). */
  double now(PressureTestView test) {
    return Duration.between(test.startedAt(), clock.instant()).toMillis() / 1000.0;
  }

  /**
   * Adds a reading. Once this returns, it is durable.
   *
   * @param entry identifier of the entry: sent again, it is not added twice
   */
  Added addReading(
      UUID testId,
      UUID entry,
      double seconds,
      double kilopascals,
      OptionalDouble celsius,
      String by) {
    return retried(
        () -> {
          if (locked(testId).finishedAt != null) {
            return Added.FINISHED;
          }
          boolean kept = traces.append(testId, entry, seconds, kilopascals, celsius, by);
          return kept ? counted(testId) : Added.NOT_LATER;
        });
  }

  /** Adds an event. */
  Added addEvent(UUID testId, TraceEvent event, String by) {
    return retried(
        () -> {
          if (locked(testId).finishedAt != null) {
            return Added.FINISHED;
          }
          traces.append(testId, event, by);
          return counted(testId);
        });
  }

  /** Adds a whole trace to a test that has nothing yet. */
  public Added addTrace(UUID testId, Trace trace, String by) {
    return retried(
        () -> {
          if (locked(testId).finishedAt != null) {
            return Added.FINISHED;
          }
          return traces.append(testId, trace, by) ? counted(testId) : Added.NOT_EMPTY;
        });
  }

  /** Takes the last reading back. It stays stored, but does not count. */
  Added undo(UUID testId, String by) {
    return retried(
        () -> {
          if (locked(testId).finishedAt != null) {
            return Added.FINISHED;
          }
          traces.retractLast(testId, by);
          return counted(testId);
        });
  }

  /**
   * Changes the description of a test that is not sealed.
   *
   * @param version version of the test that was read; an older one is refused
   */
  public Added describe(UUID testId, HoldDescription hold, String readingMode, int version) {
    return retried(
        () -> {
          PressureTestRecord test = locked(testId);
          if (test.finishedAt != null) {
            return Added.FINISHED;
          }
          if (test.version == null || test.version != version) {
            throw new OptimisticLockingFailureException("pressure test " + testId);
          }
          test.hold = HoldJson.write(hold);
          test.readingMode = readingMode;
          tests.save(test);
          return counted(testId);
        });
  }

  /** Seals a test: its trace is hashed and its verdict stored as given. */
  public void finish(UUID testId) {
    retried(
        () -> {
          PressureTestRecord test = locked(testId);
          if (test.finishedAt != null) {
            return Added.FINISHED;
          }
          PressureTestView view = view(test);
          test.finishedAt = clock.instant();
          test.seal = traces.seal(testId, test.hold);
          tests.save(test);
          verdicts.save(
              new VerdictRecord(
                  identifiers.next(),
                  testId,
                  view.result().estimator(),
                  view.result().verdict().word(),
                  ResultJson.line(
                      testId.toString(),
                      view.result(),
                      view.hold(),
                      new HoldDefaults(view.conditions(), view.assumed())),
                  json.writeValueAsString(view.result()),
                  clock.instant()));
          return counted(testId);
        });
  }

  /** Whether a sealed test still has the trace and description it was sealed with. */
  boolean sealHolds(UUID testId) {
    return inTransaction(
        () -> {
          PressureTestRecord test = record(testId);
          return test.seal != null && test.seal.equals(traces.seal(testId, test.hold));
        });
  }

  private PressureTestView view(PressureTestRecord test) {
    return sealed
        .of(test.id)
        // what was restored from a backup may be another state of the same test
        .filter(v -> v.finishedAt().equals(Optional.ofNullable(test.finishedAt)))
        .orElseGet(() -> sealed.keep(read(test)));
  }

  private PressureTestView read(PressureTestRecord test) {
    Trace trace = traces.read(test.id);
    if (!(HoldJson.read(test.hold) instanceof ReadOutcome.Accepted<HoldDescription> hold)) {
      throw new IllegalStateException("hold of pressure test " + test.id + " cannot be read");
    }
    HoldDefaults completed = HoldDefaults.complete(hold.value(), trace);
    PressureTestResult result =
        verdicts
            .findByPressureTestId(test.id)
            .map(v -> json.readValue(v.answer, PressureTestResult.class))
            .orElseGet(() -> new PressureTest(trace, completed.conditions()).analyse());
    return new PressureTestView(
        test.id,
        test.jobId,
        Phase.of(test.phase),
        test.number,
        test.startedAt,
        test.readingMode,
        Optional.ofNullable(test.finishedAt),
        hold.value(),
        completed.conditions(),
        completed.assumed(),
        trace,
        result,
        test.version == null ? 0 : test.version);
  }

  private PressureTestRecord record(UUID testId) {
    return tests.findById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  private PressureTestRecord locked(UUID testId) {
    return tests.findLockedById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  private Added counted(UUID testId) {
    changes.count(record(testId).jobId);
    return Added.YES;
  }

  private <T> T inTransaction(Supplier<T> work) {
    return java.util.Objects.requireNonNull(transaction.execute(status -> work.get()));
  }

  /** Runs a short transaction again when someone else was quicker. */
  private <T> T retried(Supplier<T> work) {
    for (int attempt = 1; ; attempt++) {
      try {
        return inTransaction(work);
      } catch (ConcurrencyFailureException | DataIntegrityViolationException e) {
        if (attempt == ATTEMPTS || e instanceof OptimisticLockingFailureException) {
          throw e;
        }
      }
    }
  }
}
