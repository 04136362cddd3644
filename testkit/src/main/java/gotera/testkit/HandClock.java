package gotera.testkit;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that stands still until it is set. */
public final class HandClock extends Clock {
  private volatile Instant now;

  /** Starts at a moment. */
  public HandClock(Instant start) {
    now = start;
  }

  /** Moves the clock on. */
  public void advance(Duration by) {
    now = now.plus(by);
  }

  @Override
  public Instant instant() {
    return now;
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return this;
  }
}
