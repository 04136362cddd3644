package gotera.web.pressure;

import gotera.web.job.JobMemo;
import gotera.web.pressure.trace.Written;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was caught from inside places during tests. */
@Service
public class Catches {
  private final UnfinishedTest open;
  private final CaughtRecords caught;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  Catches(
      UnfinishedTest open,
      CaughtRecords caught,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.memo = memo;
    this.open = open;
    this.caught = caught;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** Keeps what was caught from an inside place during a test. */
  @Write
  public Written keep(UUID testId, Caught what, String by) {
    return open.add(
        testId,
        test -> {
          caught.save(new CaughtRecord(identifiers.next(), testId, what, clock.instant(), by));
          return Written.DONE;
        });
  }

  /** Takes a catch back; it stays in the history. */
  @Write
  public Written withdraw(UUID testId, UUID id, String by) {
    return open.add(
        testId,
        test -> {
          Optional<CaughtRecord> kept =
              caught.findById(id).filter(c -> c.pressureTestId.equals(testId));
          kept.filter(c -> c.withdrawnAt == null)
              .ifPresent(
                  c -> {
                    c.withdrawnAt = clock.instant();
                    c.withdrawnBy = by;
                  });
          return kept.isPresent() ? Written.DONE : Written.GONE;
        });
  }

  /** What was caught during a test, in order. */
  @Transactional(readOnly = true)
  public List<Caught> of(PressureTestView test) {
    UUID testId = test.id();
    return memo.of(
        "caught " + testId,
        test.jobId(),
        () ->
            caught.findByPressureTestIdAndWithdrawnAtIsNullOrderByWrittenAt(testId).stream()
                .map(CaughtRecord::caught)
                .toList());
  }
}
