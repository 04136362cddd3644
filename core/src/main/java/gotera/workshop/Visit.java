package gotera.workshop;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A vehicle at one visit.
 *
 * @param vehicle its vehicle
 * @param type its engine type; empty where nobody named one
 * @param begun when it began
 * @param closed when it was closed
 * @param proven whether it ended proven
 * @param repaired the joints that were repaired; each may be there several times
 */
public record Visit(
    String vehicle,
    String type,
    Instant begun,
    Optional<Instant> closed,
    boolean proven,
    List<String> repaired) {
  /** Keeps its own copy. */
  public Visit {
    repaired = List.copyOf(repaired);
  }
}
