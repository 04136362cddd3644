package gotera.web.shell;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes time-ordered identifiers (RFC 9562, UUID version 7), so that any process can. */
@Component
public class Identifiers {
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  Identifiers(Clock clock) {
    this.clock = clock;
  }

  /** A new identifier. */
  public UUID next() {
    long millis = clock.millis();
    long high = (millis << 16) | 0x7000L | (random.nextInt() & 0x0FFFL);
    long low = (random.nextLong() & 0x3FFF_FFFF_FFFF_FFFFL) | 0x8000_0000_0000_0000L;
    return new UUID(high, low);
  }
}
