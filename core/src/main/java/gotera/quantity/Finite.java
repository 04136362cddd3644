package gotera.quantity;

/** The one check every quantity makes: a value is a finite number. */
final class Finite {
  private Finite() {}

  static void require(double value, String what) {
    if (!Double.isFinite(value)) {
      throw new IllegalArgumentException(what + " must be a finite number, not " + value);
    }
  }

  static void requireNotNegative(double value, String what) {
    require(value, what);
    if (value < 0) {
      throw new IllegalArgumentException(what + " must not be negative, but is " + value);
    }
  }
}
