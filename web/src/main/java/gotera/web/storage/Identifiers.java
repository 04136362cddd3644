package gotera.web.storage;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/** Makes time-ordered identifiers (RFC 9562, UUID version 7), so that any process can. */
@Component
public class Identifiers {
  /** Bits of the counter within a millisecond (RFC 9562, 6.2, method 1). */
  private static final int COUNTER = 12;

  private final Clock clock;
  private final AtomicLong last = new AtomicLong();
  private final SecureRandom random = new SecureRandom();

  public Identifiers(Clock clock) {
    this.clock = clock;
  }

  /** A new identifier, later in order than all this made before it, also if the clock goes back. */
  public UUID next() {
    long low = (random.nextLong() & 0x3FFF_FFFF_FFFF_FFFFL) | 0x8000_0000_0000_0000L;
    long ordered = last.updateAndGet(before -> Math.max(before + 1, clock.millis() << COUNTER));
    long high = ((ordered >> COUNTER) << 16) | 0x7000L | (ordered & 0x0FFFL);
    return new UUID(high, low);
  }
}
