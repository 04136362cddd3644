package gotera.web.pressure;

import gotera.pressure.PressureTest;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.web.job.JobMemo;
import gotera.web.pressure.trace.Contents;
import gotera.web.pressure.trace.TraceReader;
import gotera.web.pressure.trace.Unreadable;
import gotera.web.pressure.verdict.VerdictArchive;
import gotera.web.pressure.verdict.VerdictStore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Reads tests: one that cannot be read is told apart and never stops others. */
@Component
class TestViews {
  private static final Logger LOG = LoggerFactory.getLogger(TestViews.class);

  private final PressureTestRecords tests;
  private final TraceReader traces;
  private final VerdictStore verdicts;
  private final KeptViews kept;
  private final JobMemo memo;

  TestViews(
      PressureTestRecords tests,
      TraceReader traces,
      VerdictStore verdicts,
      KeptViews kept,
      JobMemo memo) {
    this.memo = memo;
    this.tests = tests;
    this.traces = traces;
    this.verdicts = verdicts;
    this.kept = kept;
  }

  /** Tests of a job that nobody put aside, in the order they were begun. */
  List<PressureTestRecord> records(UUID jobId) {
    return all(jobId).stream().filter(t -> t.discardedAt == null).toList();
  }

  /** All of them, those put aside too. */
  List<PressureTestRecord> all(UUID jobId) {
    return memo.of("test-records", jobId, () -> tests.findByJobIdOrderByStartedAt(jobId));
  }

  /**
   * The tests of a job.
   *
   * @param readable those that can be read
   * @param broken those that cannot, and why
   */
  record Read(List<PressureTestView> readable, List<Broken> broken) {}

  /** All of them, each read once. */
  Read read(UUID jobId) {
    Read all = new Read(new ArrayList<>(), new ArrayList<>());
    for (PressureTestRecord test : records(jobId)) {
      try {
        all.readable().add(view(test));
      } catch (RuntimeException e) {
        LOG.error("pressure test {} cannot be read", test.id, e);
        String why = e instanceof Unreadable ? String.valueOf(e.getMessage()) : "";
        all.broken().add(new Broken(test.id, Phase.of(test.phase), test.number, why));
      }
    }
    return all;
  }

  Optional<PressureTestView> readable(PressureTestRecord test) {
    try {
      return Optional.of(view(test));
    } catch (RuntimeException e) {
      LOG.error("pressure test {} cannot be read", test.id, e);
      return Optional.empty();
    }
  }

  PressureTestView view(PressureTestRecord test) {
    if (test.finishedAt == null
        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
      // what is being written may be taken back yet
      return read(test);
    }
    // what was restored from a backup may be another state of the same test
    String state =
        test.finishedAt == null
            ? test.hold.hashCode() + " " + test.version + " " + traces.state(test.id)
            : "sealed " + test.finishedAt;
    return kept.of(new KeptViews.State(test.id, state), () -> read(test));
  }

  /** What a test holds that is shown, with where each reading is kept. */
  Contents contents(PressureTestView view) {
    Contents held = kept.contents(view);
    return held == null ? traces.contents(view.id()) : held;
  }

  private PressureTestView read(PressureTestRecord test) {
    Contents held = traces.contents(test.id);
    Trace trace = held.trace();
    HoldSetup hold = HoldText.read(test.hold);
    Optional<VerdictArchive.Stored> given =
        test.finishedAt == null ? Optional.empty() : verdicts.of(test.id);
    CompletedHold completed =
        given
            .flatMap(g -> g.conditions().map(c -> new CompletedHold(c, g.assumed())))
            .orElseGet(() -> CompletedHold.of(hold, trace));
    PressureTestView view =
        new PressureTestView(
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
    kept.madeOf(view, held);
    return view;
  }
}
