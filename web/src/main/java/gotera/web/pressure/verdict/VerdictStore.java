package gotera.web.pressure.verdict;

import gotera.pressure.PressureTestResult;
import gotera.pressure.setup.CompletedHold;
import gotera.web.storage.Identifiers;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps verdicts as they were given. Its callers hold the transaction. */
@Component
public class VerdictStore {
  private final VerdictRecords verdicts;
  private final Identifiers identifiers;
  private final Clock clock;

  VerdictStore(VerdictRecords verdicts, Identifiers identifiers, Clock clock) {
    this.verdicts = verdicts;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * Keeps the verdict of a test.
   *
   * @param completed what it was computed under
   * @param line the same as it is handed out, with every input
   */
  public void keep(UUID testId, PressureTestResult result, CompletedHold completed, String line) {
    verdicts.save(
        new VerdictRecord(
            identifiers.next(),
            testId,
            result.estimator(),
            result.verdict().word(),
            line,
            VerdictArchive.write(result, completed.conditions(), completed.assumed()),
            clock.instant()));
  }

  /** The verdict that a test was given, if it was and still has it. */
  public Optional<VerdictArchive.Stored> of(UUID testId) {
    return verdicts
        .findByPressureTestIdAndWithdrawnAtIsNull(testId)
        .map(v -> VerdictArchive.read(v.answer));
  }

  /** Takes the verdict of a test back; it stays in the history. */
  public void withdraw(UUID testId, String by) {
    verdicts
        .findByPressureTestIdAndWithdrawnAtIsNull(testId)
        .ifPresent(
            v -> {
              v.withdrawnAt = clock.instant();
              v.withdrawnBy = by;
              verdicts.save(v);
            });
  }
}
