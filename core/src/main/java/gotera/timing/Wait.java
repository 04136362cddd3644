package gotera.timing;

import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A wait: it runs from a beginning to the moment it is due, then it rings until somebody ends it.
 * Its state follows from instants alone, so it survives whatever shows it.
 *
 * @param begun when it began
 * @param due when it is due
 * @param ended when somebody ended it
 */
public record Wait(Instant begun, Instant due, Optional<Instant> ended) {
  /** Refuses a wait that is due before it begins. */
  public Wait {
    if (due.isBefore(begun)) {
      throw new IllegalArgumentException("due " + due + " before begun " + begun);
    }
  }

  /** What one waits for. */
  public enum Kind implements Worded {
    COOL_DOWN,
    SOAK,
    DYE,
    CURE,
    PURGE,
    NEXT_MORNING,
    CHARGE,
    OTHER
  }

  /** Where a wait is. */
  public enum State {
    /** It runs. */
    RUNNING,
    /** It is due, and nobody has ended it: it rings. */
    RINGING,
    /** Somebody ended it, before or after it was due. */
    ENDED
  }

  /** Its state at a moment. */
  public State at(Instant now) {
    if (ended.isPresent() && !now.isBefore(ended.get())) {
      return State.ENDED;
    }
    return now.isBefore(due) ? State.RUNNING : State.RINGING;
  }

  /** Time left at a moment; nothing once it is due. */
  public Duration left(Instant now) {
    return now.isBefore(due) ? Duration.between(now, due) : Duration.ZERO;
  }

  /** Share of it that has passed at a moment, 0 to 1. */
  public double passed(Instant now) {
    double whole = Duration.between(begun, due).toMillis();
    double gone = Duration.between(begun, now).toMillis();
    return whole <= 0 ? 1 : Math.max(0, Math.min(1, gone / whole));
  }
}
