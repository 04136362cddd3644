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
import gotera.web.cap.CapFacts;
import gotera.web.job.JobChanges;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import gotera.web.shell.RequestMemo;
import gotera.web.shell.Write;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Pressure tests: beginning them, reading the gauge, sealing them, and what they say. */
@Service
public class PressureService {
  private final PressureTestRecords tests;
  private final TraceStore traces;
  private final VerdictRecords verdicts;
  private final CaughtRecords caught;
  private final SealedTests sealed;
  private final JobChanges changes;
  private final RequestMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;
  private final JsonMapper json =
      JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();

  PressureService(
      PressureTestRecords tests,
      TraceStore traces,
      VerdictRecords verdicts,
      CaughtRecords caught,
      SealedTests sealed,
      JobChanges changes,
      RequestMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.changes = changes;
    this.tests = tests;
    this.traces = traces;
    this.verdicts = verdicts;
    this.caught = caught;
    this.sealed = sealed;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
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
  @Write
  public UUID begin(UUID jobId, Phase phase, HoldDescription hold, String readingMode, String by) {
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
  }

  /** The test, or not found. */
  @Transactional(readOnly = true)
  public PressureTestView require(UUID testId) {
    return view(record(testId));
  }

  /** The latest test of a phase. */
  @Transactional(readOnly = true)
  public Optional<PressureTestView> latest(UUID jobId, Phase phase) {
    return tests.findFirstByJobIdAndPhaseOrderByNumberDesc(jobId, phase.word()).map(this::view);
  }

  /** All tests of a job in the order they were begun. */
  @Transactional(readOnly = true)
  public List<PressureTestView> all(UUID jobId) {
    return memo.of(
        List.of("tests", jobId),
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
  @Write
  Added addReading(
      UUID testId,
      UUID entry,
      double seconds,
      double kilopascals,
      OptionalDouble celsius,
      String by) {
    if (locked(testId).finishedAt != null) {
      return Added.FINISHED;
    }
    boolean kept = traces.append(testId, entry, seconds, kilopascals, celsius, by);
    return kept ? counted(testId) : Added.NOT_LATER;
  }

  /** Adds an event. */
  @Write
  Added addEvent(UUID testId, TraceEvent event, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    traces.append(testId, event, by);
    if (event.kind() == TraceEvent.Kind.VALVE_SHUT) {
      recoverFromHigher(test);
    }
    return counted(testId);
  }

  /** When the valve is shut it is known whether the hoses still recover from a higher pressure. */
  private void recoverFromHigher(PressureTestRecord test) {
    Trace trace = traces.read(test.id);
    if (trace.size() == 0) {
      return;
    }
    List<PressureTestView> others =
        all(test.jobId).stream().filter(t -> !t.id().equals(test.id)).toList();
    OptionalDouble minutes =
        EarlierTests.minutesSinceHigher(others, clock.instant(), trace.gauge(trace.size() - 1));
    test.hold = HoldJson.write(description(test).edit().releasedBeforeMin(minutes).done());
    tests.save(test);
  }

  /** Adds a whole trace to a test that has nothing yet. */
  @Write
  public Added addTrace(UUID testId, Trace trace, String by) {
    if (locked(testId).finishedAt != null) {
      return Added.FINISHED;
    }
    return traces.append(testId, trace, by) ? counted(testId) : Added.NOT_EMPTY;
  }

  /** Takes the last reading back. It stays stored, but does not count. */
  @Write
  Added undo(UUID testId, String by) {
    if (locked(testId).finishedAt != null) {
      return Added.FINISHED;
    }
    traces.retractLast(testId, by);
    return counted(testId);
  }

  /** Changes the description of a test that is not sealed, as it stands now. */
  @Write
  public Added edit(UUID testId, UnaryOperator<HoldDescription> change) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    test.hold = HoldJson.write(change.apply(description(test)));
    tests.save(test);
    return counted(testId);
  }

  /** Keeps what was caught from an inside place during a test. */
  @Write
  void keepCaught(UUID testId, Caught what, String by) {
    caught.save(new CaughtRecord(identifiers.next(), testId, what, clock.instant(), by));
    counted(testId);
  }

  /** What was caught during a test, in order. */
  @Transactional(readOnly = true)
  public List<Caught> caught(UUID testId) {
    return caught.findByPressureTestIdOrderByWrittenAt(testId).stream()
        .map(CaughtRecord::caught)
        .toList();
  }

  /** What a new test of a job may take from those before it. */
  @Transactional(readOnly = true)
  SetupReading.Known known(UUID jobId, CapFacts cap) {
    List<PressureTestView> before = all(jobId);
    return new SetupReading.Known(
        cap, KeptCompliance.newest(before), EarlierTests.settled(before, clock.instant()));
  }

  /** Seals a test: its trace is hashed and its verdict stored as given. */
  @Write
  public void finish(UUID testId) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return;
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
    changes.count(test.jobId);
  }

  /** Whether a sealed test still has the trace and description it was sealed with. */
  @Transactional(readOnly = true)
  boolean sealHolds(UUID testId) {
    PressureTestRecord test = record(testId);
    return test.seal != null && test.seal.equals(traces.seal(testId, test.hold));
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
    HoldDescription hold = description(test);
    HoldDefaults completed = HoldDefaults.complete(hold, trace);
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
        hold,
        completed.conditions(),
        completed.assumed(),
        trace,
        result,
        test.version == null ? 0 : test.version);
  }

  private static HoldDescription description(PressureTestRecord test) {
    if (HoldJson.read(test.hold) instanceof ReadOutcome.Accepted<HoldDescription> hold) {
      return hold.value();
    }
    throw new IllegalStateException("hold of pressure test " + test.id + " cannot be read");
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
}
