package gotera.device;

import java.time.Duration;

/** When a gauge that writes by itself is called silent. */
public final class Silence {
  /** A gauge that was not heard for so long is silent (our judgement, untested). */
  public static final Duration AFTER = Duration.ofSeconds(10);

  private Silence() {}
}
