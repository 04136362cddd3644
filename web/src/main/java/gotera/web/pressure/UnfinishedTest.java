package gotera.web.pressure;

import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.pressure.trace.Written;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Changes tests one after the other: each is locked first, and a sealed one stays as it is. */
@Component
class UnfinishedTest {
  private final PressureTestRecords tests;
  private final JobChanges changes;

  UnfinishedTest(PressureTestRecords tests, JobChanges changes) {
    this.tests = tests;
    this.changes = changes;
  }

  /** A test, locked until the transaction ends; not found where there is none. */
  PressureTestRecord locked(UUID testId) {
    return tests.findLockedById(testId).orElseThrow(() -> new NotFound("pressure test " + testId));
  }

  /** Adds to a test that is not sealed; its job has changed if that was done. */
  Written add(UUID testId, Function<PressureTestRecord, Written> adding) {
    Written added = addQuietly(testId, adding);
    if (added.isDone()) {
      counted(locked(testId));
    }
    return added;
  }

  /** The same, and whoever watches the job is not told. */
  Written addQuietly(UUID testId, Function<PressureTestRecord, Written> adding) {
    PressureTestRecord test = locked(testId);
    return test.finishedAt != null ? Written.FINISHED : adding.apply(test);
  }

  /** Changes a test that is not sealed. */
  Written change(UUID testId, Consumer<PressureTestRecord> change) {
    return add(
        testId,
        test -> {
          change.accept(test);
          tests.save(test);
          return Written.DONE;
        });
  }

  /** Counts a change of the job of a test. */
  void counted(PressureTestRecord test) {
    changes.count(test.jobId);
  }
}
