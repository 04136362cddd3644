package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.pressure.setup.HoldSetup;
import gotera.web.cap.CapChanged;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.pressure.trace.Written;
import gotera.web.storage.Identifiers;
import gotera.web.storage.RequestMemo;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Pressure tests: beginning them, describing them, putting them aside, and what they say. Writing
 * never needs an analysis; a test that cannot be read is told apart and never stops others.
 */
@Service
public class PressureService {
  private final PressureTestRecords tests;
  private final UnfinishedTest open;
  private final TestViews views;
  private final JobChanges changes;
  private final RequestMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  PressureService(
      PressureTestRecords tests,
      UnfinishedTest open,
      TestViews views,
      JobChanges changes,
      RequestMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.tests = tests;
    this.open = open;
    this.views = views;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

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
  public Written setUp(UUID testId, HoldSetup hold, String readingMode, String loop) {
    return open.change(
        testId,
        test -> {
          test.hold = HoldText.of(hold);
          test.readingMode = readingMode;
          test.testedLoop = loop;
        });
  }

  /** Changes the description of a test that is not sealed, as it stands now. */
  @Write
  public Written edit(UUID testId, UnaryOperator<HoldSetup> change) {
    return open.change(
        testId, test -> test.hold = HoldText.of(change.apply(HoldText.read(test.hold))));
  }

  /** Another cap, another limit: the tests of a job that run keep it from now on. */
  @EventListener
  @Write
  public void on(CapChanged changed) {
    TestLimit limit = changed.cap().limit();
    for (PressureTestRecord t : views.records(changed.jobId())) {
      // never waits for an analysis: a limit is lowered whatever the readings are
      Optional<HoldSetup> hold = HoldText.find(t.hold);
      if (t.finishedAt == null && hold.isPresent()) {
        PressureTestRecord test = open.locked(t.id);
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

  /** The test; not found where there is none, or where it cannot be read. */
  @Transactional(readOnly = true)
  public PressureTestView require(UUID testId) {
    return views.view(record(testId));
  }

  /** Where a test stands, whether it can be read or not. */
  @Transactional(readOnly = true)
  public Where where(UUID testId) {
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
    return tests(jobId).readable();
  }

  /** Tests of a job that cannot be read. */
  @Transactional(readOnly = true)
  public List<Broken> broken(UUID jobId) {
    return tests(jobId).broken();
  }

  private TestViews.Read tests(UUID jobId) {
    return memo.of(List.of("tests", jobId), () -> views.read(jobId));
  }

  /** Time on a test's clock now (s). */
  public double now(PressureTestView test) {
    return Duration.between(test.startedAt(), clock.instant()).toMillis() / 1000.0;
  }

  /** Puts a test aside; it stays stored, and can be put back. */
  @Write
  public void discard(UUID testId, String by) {
    PressureTestRecord test = open.locked(testId);
    if (test.discardedAt == null) {
      test.discardedAt = clock.instant();
      test.discardedBy = by;
      tests.save(test);
      open.counted(test);
    }
  }

  /** Puts a discarded test back. */
  @Write
  public void putBack(UUID testId) {
    PressureTestRecord test = open.locked(testId);
    test.discardedAt = null;
    test.discardedBy = null;
    tests.save(test);
    open.counted(test);
  }

  /** Tests of a job that were put aside. */
  @Transactional(readOnly = true)
  public List<Broken> discarded(UUID jobId) {
    return views.all(jobId).stream()
        .filter(t -> t.discardedAt != null)
        .map(t -> new Broken(t.id, Phase.of(t.phase), t.number, ""))
        .toList();
  }

  private PressureTestRecord record(UUID testId) {
    return tests.findById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }
}
