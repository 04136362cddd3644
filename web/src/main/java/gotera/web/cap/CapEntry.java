package gotera.web.cap;

import gotera.quantity.GaugePressure;
import java.util.Optional;

/**
 * A cap as it is written down.
 *
 * @param stamp the stamp as typed
 * @param rated the rating it means
 * @param makerFigure the maker's highest system pressure
 * @param testPressure the maker's test pressure, confirmed
 * @param seals state of the seals
 * @param note anything else
 */
public record CapEntry(
    String stamp,
    GaugePressure rated,
    Optional<GaugePressure> makerFigure,
    Optional<GaugePressure> testPressure,
    String seals,
    String note) {
  /** A cap of which the stamp is known, and how its seals look. */
  public static CapEntry stamped(String stamp, GaugePressure rated, String seals) {
    return new CapEntry(stamp, rated, Optional.empty(), Optional.empty(), seals, "");
  }
}
