package gotera.web.circuit;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * What was last seen at a joint.
 *
 * @param id its identifier
 * @param joint word of the joint
 * @param saw what was seen
 * @param state in which state
 * @param dropsPerMinute drops counted there
 * @param pressureKpa the pressure at that moment (kPa)
 * @param driedBefore whether the place had been dried, so that what was seen is fresh
 * @param note anything else
 * @param photo its photograph
 * @param at when it was seen
 * @param writtenAt when that was written down
 * @param writtenBy by whom
 */
public record LeakSite(
    UUID id,
    String joint,
    Sight saw,
    LookState state,
    OptionalDouble dropsPerMinute,
    OptionalDouble pressureKpa,
    boolean driedBefore,
    String note,
    Optional<UUID> photo,
    Instant at,
    Instant writtenAt,
    String writtenBy) {

  /** Whether coolant was seen leaving here. */
  public boolean wet() {
    return saw.wet();
  }

  /** The same as an observation. */
  public Observation.Looked looked() {
    Observation.Looked look =
        new Observation.Looked(joint, state, saw, pressureKpa, dropsPerMinute);
    return driedBefore ? look.dried() : look;
  }
}
