package gotera.web.circuit;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Tells what is new on a vehicle since it was built. */
public interface RenewedPlaces {
  /**
   * Something that was renewed.
   *
   * @param joint word of the joint
   * @param note what was done
   * @param at when
   * @param earlier whether that was in an earlier job
   */
  record Renewed(String joint, String note, Instant at, boolean earlier) {}

  /** What was renewed on the vehicle of a job, the first first. */
  List<Renewed> renewed(UUID jobId);
}
