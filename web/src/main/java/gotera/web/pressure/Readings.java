package gotera.web.pressure;

import gotera.pressure.setup.EarlierHolds;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.PastHold;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.web.frame.NotFound;
import gotera.web.pressure.trace.Contents;
import gotera.web.pressure.trace.Reading;
import gotera.web.pressure.trace.TraceReader;
import gotera.web.pressure.trace.TraceStore;
import gotera.web.pressure.trace.Written;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is read from the gauge and done during a test, and how it is corrected or taken back. */
@Service
public class Readings {
  private final UnfinishedTest open;
  private final TestViews views;
  private final RunningHolds running;
  private final PressureTestRecords tests;
  private final TraceStore traces;
  private final TraceReader reader;
  private final Clock clock;

  Readings(
      UnfinishedTest open,
      TestViews views,
      RunningHolds running,
      PressureTestRecords tests,
      TraceStore traces,
      TraceReader reader,
      Clock clock) {
    this.open = open;
    this.views = views;
    this.running = running;
    this.tests = tests;
    this.traces = traces;
    this.reader = reader;
    this.clock = clock;
  }

  /** A test as it is added to; not found where there is none. */
  public RunningTest running(UUID testId) {
    return running.of(testId);
  }

  private double clockOf(PressureTestRecord test) {
    return Duration.between(test.startedAt, clock.instant()).toMillis() / 1000.0;
  }

  /** Adds a reading, and what was done after it. Once this returns, both are durable. */
  @Write
  public Written add(
      UUID testId, Optional<TypedReading> reading, Optional<TraceEvent.Kind> event, String by) {
    return open.add(
        testId,
        test -> {
          Written added = reading.map(r -> read(test, r, by)).orElse(Written.DONE);
          if (added.isDone()) {
            event.ifPresent(e -> happened(test, e, by));
            tests.save(test);
          }
          return added;
        });
  }

  /** When the clock of a test began; not found where there is none. */
  @Transactional(readOnly = true)
  public Instant startedAt(UUID testId) {
    return tests
        .findById(testId)
        .orElseThrow(() -> new NotFound("pressure test " + testId))
        .startedAt;
  }

  /**
   * Adds what a device read by itself.
   *
   * @param block in order of time, on the test's clock
   * @param news whether the pages of the job are told
   */
  @Write
  public Written addBlock(
      UUID testId, List<Reading> block, List<TraceEvent> events, boolean news, String by) {
    Function<PressureTestRecord, Written> adding =
        test -> {
          traces.append(testId, block, by);
          for (TraceEvent event : events) {
            traces.append(testId, event, by);
            if (event.kind() == TraceEvent.Kind.VALVE_SHUT) {
              recoverFromHigher(test);
              tests.save(test);
            }
          }
          return Written.DONE;
        };
    // what an event changes of the test itself is read by the pages only where it is counted
    return news || !events.isEmpty() ? open.add(testId, adding) : open.addQuietly(testId, adding);
  }

  private Written read(PressureTestRecord test, TypedReading typed, String by) {
    Written added = traces.append(test.id, typed.entry(), typed.reading(), typed.timeTyped(), by);
    test.writtenLater |= added.isDone() && typed.later();
    if (added.isDone()) {
      notAhead(test, typed.reading().seconds());
    }
    return added;
  }

  /** What is written down happened before: where it would lie ahead, the test began earlier. */
  private void notAhead(PressureTestRecord test, double seconds) {
    if (seconds > clockOf(test) + TraceEvent.CLOCKS_APART) {
      test.startedAt = clock.instant().minusMillis(Math.round(seconds * 1000));
      tests.save(test);
    }
  }

  private void happened(PressureTestRecord test, TraceEvent.Kind event, String by) {
    traces.append(test.id, TraceEvent.at(clockOf(test), event), by);
    if (event == TraceEvent.Kind.VALVE_SHUT) {
      recoverFromHigher(test);
    }
  }

  /** When the valve is shut it is known whether the hoses still recover from a higher pressure. */
  private void recoverFromHigher(PressureTestRecord test) {
    Trace trace = reader.read(test.id);
    if (trace.size() == 0) {
      return;
    }
    List<PastHold> others =
        views.records(test.jobId).stream()
            .filter(t -> !t.id.equals(test.id))
            .flatMap(t -> views.readable(t).stream())
            .map(PressureTestView::past)
            .toList();
    OptionalDouble minutes =
        EarlierHolds.minutesSinceHigher(others, clock.instant(), trace.gauge(trace.size() - 1));
    HoldSetup hold = HoldText.read(test.hold);
    test.hold = HoldText.of(hold.with(hold.course().disturbed(minutes)));
  }

  /** Adds an event. */
  @Write
  public Written addEvent(UUID testId, TraceEvent event, String by) {
    return open.add(
        testId,
        test -> {
          traces.append(testId, event, by);
          return Written.DONE;
        });
  }

  /** Adds a whole trace to a test that has nothing yet. */
  @Write
  public Written addTrace(UUID testId, Trace trace, String by) {
    return open.add(
        testId, test -> traces.append(testId, trace, by) ? Written.DONE : Written.NOT_EMPTY);
  }

  /** Whether what was kept last came with a file. */
  @Transactional(readOnly = true)
  public boolean lastIsOfAFile(UUID testId) {
    return reader.lastIsOfAFile(testId);
  }

  /** Takes back what was kept last, reading or event. It stays stored, but does not count. */
  @Write
  public Written undo(UUID testId, boolean wholeFile, String by) {
    return open.add(
        testId,
        test -> {
          if (wholeFile) {
            traces.retractFile(testId, by);
          } else {
            traces.retractLast(testId, by);
          }
          return Written.DONE;
        });
  }

  /** Takes one reading back. */
  @Write
  public Written withdraw(UUID testId, UUID block, int index, String by) {
    return open.add(testId, test -> done(traces.withdraw(testId, block, index, by)));
  }

  /** Puts another reading in the place of one. */
  @Write
  public Written correct(UUID testId, UUID block, int index, Reading reading, String by) {
    return open.add(
        testId,
        test -> {
          Written corrected = traces.correct(testId, block, index, reading, by);
          if (corrected.isDone()) {
            notAhead(test, reading.seconds());
          }
          return corrected;
        });
  }

  /** Takes one event back. */
  @Write
  public Written withdrawEvent(UUID testId, UUID event, String by) {
    return open.add(testId, test -> done(traces.withdrawEvent(testId, event, by)));
  }

  private static Written done(boolean there) {
    return there ? Written.DONE : Written.GONE;
  }

  /** What a test holds, with where each is kept. */
  @Transactional(readOnly = true)
  public Contents contents(UUID testId) {
    return reader.contents(testId);
  }

  /** What a test holds that is shown: read with it. */
  public Contents contents(PressureTestView test) {
    return views.contents(test);
  }
}
