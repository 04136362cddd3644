package gotera.web.cap;

import gotera.cap.CapTest;
import gotera.quantity.GaugePressure;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a cap tester showed.
 *
 * @param opening pressure at which the cap opened
 * @param holds pressure it held
 * @param vacuum vacuum by which air came in, as a positive figure
 * @param altitude height at which it is used (m)
 */
public record TesterReadings(
    Optional<GaugePressure> opening,
    Optional<GaugePressure> holds,
    Optional<GaugePressure> vacuum,
    OptionalDouble altitude) {
  /** Whether the cap was on a tester at all. */
  public boolean tried() {
    return opening.isPresent() || holds.isPresent() || vacuum.isPresent();
  }

  /** These, and of the earlier ones what was not tried again. */
  TesterReadings over(TesterReadings earlier) {
    return new TesterReadings(
        opening.or(earlier::opening),
        holds.or(earlier::holds),
        vacuum.or(earlier::vacuum),
        altitude.isPresent() ? altitude : earlier.altitude());
  }

  /** What they say of a cap with this stamp. */
  public CapTest of(GaugePressure stamp) {
    return CapTest.of(stamp, opening, holds, vacuum);
  }
}
