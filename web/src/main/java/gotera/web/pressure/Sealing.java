package gotera.web.pressure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.pressure.trace.TraceEvent;
import gotera.web.pressure.trace.TraceReader;
import gotera.web.pressure.trace.TraceStore;
import gotera.web.pressure.verdict.VerdictStore;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Seals tests and opens them again. */
@Service
public class Sealing {
  /** How often a trace is hashed for who looks at it: a change is noticed within this. */
  private static final Duration HASHED_EVERY = Duration.ofMinutes(1);

  /** Tests whose seal is remembered at most. */
  private static final int MOST_HASHED = 10_000;

  private final UnfinishedTest open;
  private final TestViews views;
  private final PressureTestRecords tests;
  private final TraceStore traces;
  private final TraceReader reader;
  private final VerdictStore verdicts;
  private final Clock clock;
  private final Cache<KeptViews.State, Boolean> lately =
      Caffeine.newBuilder().maximumSize(MOST_HASHED).expireAfterWrite(HASHED_EVERY).build();

  Sealing(
      UnfinishedTest open,
      TestViews views,
      PressureTestRecords tests,
      TraceStore traces,
      TraceReader reader,
      VerdictStore verdicts,
      Clock clock) {
    this.open = open;
    this.views = views;
    this.tests = tests;
    this.traces = traces;
    this.reader = reader;
    this.verdicts = verdicts;
    this.clock = clock;
  }

  /** Seals a test: its trace is hashed and its verdict stored as given. */
  @Write
  public void finish(UUID testId) {
    PressureTestRecord test = open.locked(testId);
    if (test.finishedAt != null) {
      return;
    }
    test.finishedAt = clock.instant();
    test.seal = reader.seal(testId, test.hold);
    tests.save(test);
    // without a verdict that can be given, the seal stands alone
    views.readable(test).ifPresent(this::give);
    open.counted(test);
  }

  private void give(PressureTestView view) {
    verdicts.keep(view.id(), view.result(), view.completed(), HoldText.result(view));
  }

  /** Opens a finished test again: its verdict is taken back and stays in the history. */
  @Write
  public void reopen(UUID testId, String by) {
    PressureTestRecord test = open.locked(testId);
    if (test.finishedAt == null) {
      return;
    }
    test.finishedAt = null;
    test.seal = null;
    verdicts.withdraw(testId, by);
    // a place that was not seen ends nothing
    traces.withdrawEvents(testId, TraceEvent.Kind.PLACE_SEEN, by);
    traces.withdrawEvents(testId, TraceEvent.Kind.RELEASED, by);
    tests.save(test);
    open.counted(test);
  }

  /** The same for a page: a trace is hashed once a minute, not at each view. */
  public boolean heldLately(PressureTestView test) {
    return lately.get(
        new KeptViews.State(test.id(), test.finishedAt().toString()), state -> holds(test.id()));
  }

  /** Whether a sealed test still has the trace and description it was sealed with. */
  @Transactional(readOnly = true)
  public boolean holds(UUID testId) {
    return tests
        .findById(testId)
        .filter(t -> t.seal != null && t.seal.equals(reader.seal(testId, t.hold)))
        .isPresent();
  }
}
