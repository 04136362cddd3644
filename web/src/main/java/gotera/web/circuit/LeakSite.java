package gotera.web.circuit;

import gotera.balance.SiteFlow;
import gotera.quantity.GaugePressure;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * What was last seen at a joint.
 *
 * @param id its identifier
 * @param joint word of the joint
 * @param saw wet, dry, stained, cleaned or hidden
 * @param state cold, pressure, warm, running or parked
 * @param dropsPerMinute drops counted there
 * @param pressureKpa the pressure at that moment (kPa)
 * @param note anything else
 * @param photo its photograph
 * @param writtenAt when
 * @param writtenBy by whom
 */
public record LeakSite(
    UUID id,
    String joint,
    String saw,
    String state,
    OptionalDouble dropsPerMinute,
    OptionalDouble pressureKpa,
    String note,
    Optional<UUID> photo,
    Instant writtenAt,
    String writtenBy) {

  /** Whether coolant was seen leaving here. */
  public boolean wet() {
    return saw.equals("wet");
  }

  /** Whether somebody looked: what was only cleaned, or cannot be seen, is still open. */
  public boolean looked() {
    return !saw.equals("cleaned") && !saw.equals("hidden");
  }

  /** The flow that was counted here, if it was. */
  public Optional<SiteFlow> flow() {
    if (!wet() || dropsPerMinute.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new SiteFlow.Drops(
            dropsPerMinute.getAsDouble(),
            pressureKpa.isPresent()
                ? Optional.of(new GaugePressure(pressureKpa.getAsDouble()))
                : Optional.empty()));
  }
}
