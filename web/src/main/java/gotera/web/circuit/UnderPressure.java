package gotera.web.circuit;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** How a feature that reads a gauge tells under what pressure the system was left. */
public interface UnderPressure {
  /**
   * The pressure of a test that runs, or that was stopped because a place was seen.
   *
   * @param kilopascals what the gauge showed last (kPa)
   * @param until when it was stopped; empty while it runs
   */
  record Pressed(double kilopascals, Optional<Instant> until) {}

  /** The pressure that the last test of a job left, if it left any. */
  Optional<Pressed> left(UUID jobId);
}
