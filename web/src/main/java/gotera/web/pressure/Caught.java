package gotera.web.pressure;

import gotera.balance.SiteFlow;
import gotera.said.CaughtFrom;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * Coolant caught from an inside place: drawn out of a cylinder, or let out of the oil pan.
 *
 * @param id where it is kept; empty before it is
 * @param from where
 * @param millilitres how much (mL)
 * @param minutes how long it gathered under pressure (min); empty for what stood there before the
 *     test, which may be weeks and says nothing of a rate
 */
public record Caught(
    Optional<UUID> id, CaughtFrom from, double millilitres, OptionalDouble minutes) {
  /** The place as it was written. */
  public String place() {
    return from.word();
  }

  /** The flow it tells, if it gathered in a known time. */
  public Optional<SiteFlow> flow() {
    return minutes.isPresent()
        ? Optional.of(SiteFlow.Caught.drawn(millilitres, minutes.getAsDouble()))
        : Optional.empty();
  }
}
