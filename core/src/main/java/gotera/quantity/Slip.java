package gotera.quantity;

import java.util.Optional;

/** Numbers that are likely to be typed wrong: they are asked back, and taken when confirmed. */
public final class Slip {
  /** How near to ten times a slipped point is (decades) (our judgement, untested). */
  private static final double SLIPPED = 0.06;

  /** What is read of a part is as near its stamp as a rule (1) (our judgement, untested). */
  private static final double NEAR = 0.4;

  private Slip() {}

  /** Whether a point slipped: about a tenth or ten times what was read before. */
  public static boolean ofPoint(double value, double before) {
    if (value == 0 || before == 0) {
      return false;
    }
    double places = Math.log10(Math.abs(value / before));
    return Math.abs(Math.abs(places) - 1) < SLIPPED;
  }

  /**
   * The unit that a bare number was rather meant in: one in which it is near what it should be, and
   * it is not in the unit shown.
   *
   * @param number as typed, without a unit
   * @param shown the unit it would be taken in
   * @param expected what it should be near to
   */
  public static Optional<PressureUnit> ofUnit(
      double number, PressureUnit shown, GaugePressure expected) {
    if (isNear(number, shown, expected)) {
      return Optional.empty();
    }
    for (PressureUnit unit : PressureUnit.values()) {
      if (isNear(number, unit, expected)) {
        return Optional.of(unit);
      }
    }
    return Optional.empty();
  }

  private static boolean isNear(double number, PressureUnit unit, GaugePressure expected) {
    return Math.abs(number * unit.kilopascals() / expected.kilopascals() - 1) < NEAR;
  }
}
