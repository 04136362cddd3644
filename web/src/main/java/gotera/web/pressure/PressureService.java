package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.pressure.PressureTest;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.EarlierHolds;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.setup.PastHold;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.cap.CapChanged;
import gotera.web.cap.CapFacts;
import gotera.web.job.JobChanges;
import gotera.web.pressure.TraceStore.Appended;
import gotera.web.pressure.TraceStore.Unreadable;
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
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Pressure tests: beginning them, reading the gauge, sealing and reopening them, and what they say.
 * Writing never needs an analysis; a test that cannot be read is told apart and never stops others.
 */
@Service
public class PressureService {
  private static final Logger LOG = LoggerFactory.getLogger(PressureService.class);

  private final PressureTestRecords tests;
  private final TraceStore traces;
  private final VerdictRecords verdicts;
  private final CaughtRecords caught;
  private final SealedTests sealed;
  private final JobChanges changes;
  private final RequestMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

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
    /** It is stored behind the last reading: the clock had gone back. */
    CLOCK_BACK,
    /** The test is sealed; nothing can be added. */
    FINISHED,
    /** There is a reading at that time already. */
    SAME_TIME,
    /** Its time is farther from the others than a trace is long. */
    TOO_FAR,
    /** The test has readings already. */
    NOT_EMPTY,
    /** The entry is another test's. */
    ANOTHER_TEST,
    /** What it is about does not count any more. */
    GONE
  }

  /**
   * A test that cannot be read.
   *
   * @param id its identifier
   * @param phase what it is for
   * @param number its number
   * @param why what is wrong with it
   */
  public record Broken(UUID id, Phase phase, int number, String why) {}

  /** The job and phase of a test. */
  record Where(UUID id, UUID jobId, Phase phase) {}

  /** Begins a test. */
  @Write
  public UUID begin(UUID jobId, Phase phase, HoldSetup hold, String readingMode, String by) {
    return begin(jobId, phase, hold, readingMode, "", by);
  }

  /**
   * Begins a test.
   *
   * @param loop the loop that is tested, where the vehicle has more than one; else empty
   */
  @Write
  public UUID begin(
      UUID jobId, Phase phase, HoldSetup hold, String readingMode, String loop, String by) {
    int number =
        tests
                .findFirstByJobIdAndPhaseOrderByNumberDesc(jobId, phase.word())
                .map(t -> t.number)
                .orElse(0)
            + 1;
    PressureTestRecord test =
        new PressureTestRecord(identifiers.next(), jobId, phase, number, clock.instant(), by);
    test.hold = HoldText.of(hold);
    test.readingMode = readingMode;
    test.testedLoop = loop;
    tests.save(test);
    changes.count(jobId);
    return test.id;
  }

  /** Describes a test anew. A finished one stays as it is. */
  @Write
  public Added setUp(UUID testId, HoldSetup hold, String readingMode, String loop) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    test.hold = HoldText.of(hold);
    test.readingMode = readingMode;
    test.testedLoop = loop;
    tests.save(test);
    return counted(test);
  }

  /** The test; not found where there is none, or where it cannot be read. */
  @Transactional(readOnly = true)
  public PressureTestView require(UUID testId) {
    return view(record(testId));
  }

  /** Where a test stands, whether it can be read or not. */
  @Transactional(readOnly = true)
  Where where(UUID testId) {
    PressureTestRecord t = record(testId);
    return new Where(t.id, t.jobId, Phase.of(t.phase));
  }

  /** The latest test of a phase that can be read. */
  @Transactional(readOnly = true)
  public Optional<PressureTestView> latest(UUID jobId, Phase phase) {
    return all(jobId).stream().filter(t -> t.phase() == phase).reduce((a, b) -> b);
  }

  /** All tests of a job that can be read, in the order they were begun. */
  @Transactional(readOnly = true)
  public List<PressureTestView> all(UUID jobId) {
    return memo.of(
        List.of("tests", jobId),
        () -> records(jobId).stream().flatMap(t -> readable(t).stream()).toList());
  }

  /** Tests of a job that cannot be read. */
  @Transactional(readOnly = true)
  public List<Broken> broken(UUID jobId) {
    return memo.of(
        List.of("broken-tests", jobId),
        () -> records(jobId).stream().flatMap(t -> why(t).stream()).toList());
  }

  private List<PressureTestRecord> records(UUID jobId) {
    return tests.findByJobIdAndDiscardedAtIsNullOrderByStartedAt(jobId);
  }

  private Optional<PressureTestView> readable(PressureTestRecord test) {
    try {
      return Optional.of(view(test));
    } catch (RuntimeException e) {
      LOG.error("pressure test {} cannot be read", test.id, e);
      return Optional.empty();
    }
  }

  private Optional<Broken> why(PressureTestRecord test) {
    try {
      view(test);
      return Optional.empty();
    } catch (RuntimeException e) {
      String why = e instanceof Unreadable ? String.valueOf(e.getMessage()) : "";
      return Optional.of(new Broken(test.id, Phase.of(test.phase), test.number, why));
    }
  }

  /** Time on a test's clock now (s). */
  double now(PressureTestView test) {
    return Duration.between(test.startedAt(), clock.instant()).toMillis() / 1000.0;
  }

  /**
   * Adds a reading, and what was done after it. Once this returns, both are durable.
   *
   * @param entry identifier of the reading: sent again, it is not added twice
   */
  @Write
  Added add(UUID testId, Optional<Typed> reading, Optional<TraceEvent.Kind> event, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    Added added = Added.YES;
    if (reading.isPresent()) {
      Typed r = reading.get();
      added = said(traces.append(testId, r.entry(), r.reading(), r.timeTyped(), by));
      if (added != Added.YES && added != Added.CLOCK_BACK) {
        return added;
      }
      test.writtenLater |= r.later();
    }
    if (event.isPresent()) {
      double now = Duration.between(test.startedAt, clock.instant()).toMillis() / 1000.0;
      traces.append(testId, TraceEvent.at(now, event.get()), by);
      if (event.get() == TraceEvent.Kind.VALVE_SHUT) {
        recoverFromHigher(test);
      }
    }
    tests.save(test);
    counted(test);
    return added;
  }

  /**
   * A reading as it was entered.
   *
   * @param entry its identifier
   * @param reading what was read
   * @param timeTyped whether its time was typed
   * @param later whether it is written down afterwards, ahead of the clock
   */
  record Typed(UUID entry, TraceStore.Reading reading, boolean timeTyped, boolean later) {}

  private static Added said(Appended appended) {
    return switch (appended) {
      case YES -> Added.YES;
      case CLOCK_BACK -> Added.CLOCK_BACK;
      case SAME_TIME -> Added.SAME_TIME;
      case TOO_FAR -> Added.TOO_FAR;
      case ANOTHER_TEST -> Added.ANOTHER_TEST;
      case GONE -> Added.GONE;
    };
  }

  /** Adds an event. */
  @Write
  Added addEvent(UUID testId, TraceEvent event, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    traces.append(testId, event, by);
    return counted(test);
  }

  /** When the valve is shut it is known whether the hoses still recover from a higher pressure. */
  private void recoverFromHigher(PressureTestRecord test) {
    Trace trace = traces.read(test.id);
    if (trace.size() == 0) {
      return;
    }
    List<PastHold> others =
        records(test.jobId).stream()
            .filter(t -> !t.id.equals(test.id))
            .flatMap(t -> readable(t).stream())
            .map(PressureTestView::past)
            .toList();
    OptionalDouble minutes =
        EarlierHolds.minutesSinceHigher(others, clock.instant(), trace.gauge(trace.size() - 1));
    test.hold = HoldText.of(disturbed(HoldText.read(test.hold), minutes));
  }

  private static HoldSetup disturbed(HoldSetup hold, OptionalDouble minutes) {
    return hold.with(hold.course().disturbed(minutes));
  }

  /** Adds a whole trace to a test that has nothing yet. */
  @Write
  public Added addTrace(UUID testId, Trace trace, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    return traces.append(testId, trace, by) ? counted(test) : Added.NOT_EMPTY;
  }

  /** Whether what was kept last came with a file. */
  @Transactional(readOnly = true)
  boolean lastIsOfAFile(UUID testId) {
    return traces.lastIsOfAFile(testId);
  }

  /** Takes back what was kept last, reading or event. It stays stored, but does not count. */
  @Write
  Added undo(UUID testId, boolean wholeFile, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    if (wholeFile) {
      traces.retractFile(testId, by);
    } else {
      traces.retractLast(testId, by);
    }
    return counted(test);
  }

  /** Takes one reading back. */
  @Write
  Added withdrawReading(UUID testId, UUID block, int index, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    return traces.withdraw(testId, block, index, by) ? counted(test) : Added.GONE;
  }

  /** Puts another reading in the place of one. */
  @Write
  Added correctReading(UUID testId, UUID block, int index, TraceStore.Reading reading, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    Added corrected = said(traces.correct(testId, block, index, reading, by));
    return corrected == Added.YES ? counted(test) : corrected;
  }

  /** Takes one event back. */
  @Write
  Added withdrawEvent(UUID testId, UUID event, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    return traces.withdrawEvent(testId, event, by) ? counted(test) : Added.GONE;
  }

  /** What a test holds, with where each is kept. */
  @Transactional(readOnly = true)
  TraceStore.Contents contents(UUID testId) {
    return traces.contents(testId);
  }

  /** Changes the description of a test that is not sealed, as it stands now. */
  @Write
  public Added edit(UUID testId, UnaryOperator<HoldSetup> change) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    test.hold = HoldText.of(change.apply(HoldText.read(test.hold)));
    tests.save(test);
    return counted(test);
  }

  /** Another cap, another limit: the tests of a job that run keep it from now on. */
  @EventListener
  @Write
  public void on(CapChanged changed) {
    TestLimit limit = changed.cap().limit();
    for (PressureTestRecord t : records(changed.jobId())) {
      // never waits for an analysis: a limit is lowered whatever the readings are
      Optional<HoldSetup> hold = HoldText.find(t.hold);
      if (t.finishedAt == null && hold.isPresent()) {
        PressureTestRecord test = locked(t.id);
        HoldSetup.Limits under =
            hold.get()
                .limits()
                .under(
                    changed.cap().rated().kilopascals(),
                    limit.pressure().kilopascals(),
                    limit.source() != TestLimit.Source.CAP);
        test.hold = HoldText.of(hold.get().with(under));
        tests.save(test);
      }
    }
  }

  /** Keeps what was caught from an inside place during a test. */
  @Write
  Added keepCaught(UUID testId, Caught what, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    caught.save(new CaughtRecord(identifiers.next(), testId, what, clock.instant(), by));
    return counted(test);
  }

  /** Takes a catch back; it stays in the history. */
  @Write
  Added withdrawCaught(UUID testId, UUID id, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return Added.FINISHED;
    }
    Optional<CaughtRecord> kept = caught.findById(id).filter(c -> c.pressureTestId.equals(testId));
    kept.filter(c -> c.withdrawnAt == null)
        .ifPresent(
            c -> {
              c.withdrawnAt = clock.instant();
              c.withdrawnBy = by;
            });
    return kept.isPresent() ? counted(test) : Added.GONE;
  }

  /** What was caught during a test, in order. */
  @Transactional(readOnly = true)
  public List<Caught> caught(UUID testId) {
    return caught.findByPressureTestIdAndWithdrawnAtIsNullOrderByWrittenAt(testId).stream()
        .map(CaughtRecord::caught)
        .toList();
  }

  /** What a new test of a job may take from those before it. */
  @Transactional(readOnly = true)
  SetupReading.Known known(UUID jobId, CapFacts cap) {
    List<PastHold> before = all(jobId).stream().map(PressureTestView::past).toList();
    return new SetupReading.Known(
        cap, KeptCompliance.newest(before), EarlierHolds.settled(before, clock.instant()));
  }

  /** Seals a test: its trace is hashed and its verdict stored as given. */
  @Write
  public void finish(UUID testId) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt != null) {
      return;
    }
    test.finishedAt = clock.instant();
    test.seal = traces.seal(testId, test.hold);
    tests.save(test);
    // without a verdict that can be given, the seal stands alone
    readable(test).ifPresent(view -> verdicts.save(verdict(view)));
    counted(test);
  }

  private VerdictRecord verdict(PressureTestView view) {
    return new VerdictRecord(
        identifiers.next(),
        view.id(),
        view.result().estimator(),
        view.result().verdict().word(),
        HoldText.result(view),
        VerdictArchive.write(view.result(), view.conditions(), view.assumed()),
        clock.instant());
  }

  /** Opens a finished test again: its verdict is taken back and stays in the history. */
  @Write
  public void reopen(UUID testId, String by) {
    PressureTestRecord test = locked(testId);
    if (test.finishedAt == null) {
      return;
    }
    test.finishedAt = null;
    test.seal = null;
    verdicts
        .findByPressureTestIdAndWithdrawnAtIsNull(testId)
        .ifPresent(
            v -> {
              v.withdrawnAt = clock.instant();
              v.withdrawnBy = by;
              verdicts.save(v);
            });
    // a place that was not seen ends nothing
    traces.withdrawEvents(testId, TraceEvent.Kind.PLACE_SEEN, by);
    traces.withdrawEvents(testId, TraceEvent.Kind.RELEASED, by);
    tests.save(test);
    counted(test);
  }

  /** Puts a test aside; it stays stored, and can be put back. */
  @Write
  public void discard(UUID testId, String by) {
    PressureTestRecord test = locked(testId);
    if (test.discardedAt == null) {
      test.discardedAt = clock.instant();
      test.discardedBy = by;
      tests.save(test);
      counted(test);
    }
  }

  /** Puts a discarded test back. */
  @Write
  public void putBack(UUID testId) {
    PressureTestRecord test = locked(testId);
    test.discardedAt = null;
    test.discardedBy = null;
    tests.save(test);
    counted(test);
  }

  /** Tests of a job that were put aside. */
  @Transactional(readOnly = true)
  List<Broken> discarded(UUID jobId) {
    return tests.findByJobIdOrderByStartedAt(jobId).stream()
        .filter(t -> t.discardedAt != null)
        .map(t -> new Broken(t.id, Phase.of(t.phase), t.number, ""))
        .toList();
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
    HoldSetup hold = HoldText.read(test.hold);
    Optional<VerdictArchive.Stored> given =
        test.finishedAt == null
            ? Optional.empty()
            : verdicts
                .findByPressureTestIdAndWithdrawnAtIsNull(test.id)
                .map(v -> VerdictArchive.read(v.answer));
    CompletedHold completed =
        given
            .flatMap(g -> g.conditions().map(c -> new CompletedHold(c, g.assumed())))
            .orElseGet(() -> CompletedHold.of(hold, trace));
    return new PressureTestView(
        test.id,
        test.jobId,
        Phase.of(test.phase),
        test.number,
        test.startedAt,
        test.readingMode,
        test.testedLoop,
        Optional.ofNullable(test.finishedAt),
        hold,
        completed.conditions(),
        completed.assumed(),
        trace,
        given
            .map(VerdictArchive.Stored::result)
            .orElseGet(() -> new PressureTest(trace, completed.conditions()).analyse()),
        test.writtenLater,
        test.version == null ? 0 : test.version);
  }

  private PressureTestRecord record(UUID testId) {
    return tests.findById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  private PressureTestRecord locked(UUID testId) {
    return tests.findLockedById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  private Added counted(PressureTestRecord test) {
    changes.count(test.jobId);
    return Added.YES;
  }
}
