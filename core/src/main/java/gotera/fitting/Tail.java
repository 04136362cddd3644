package gotera.fitting;

/**
 * The normal distribution below a point: how probable that is, and what the density there is to it.
 *
 * <p>J. F. Hart and others, Computer Approximations (1968), algorithm 5666 for the error function,
 * as G. West, Wilmott Magazine, May 2005, 70, gives it; it is right to some fifteen digits. The
 * library's error function is as right, and an evidence asks for it tens of thousands of times.
 */
final class Tail {
  /** Beyond it nothing is missing to one. */
  private static final double FAR = 8.3;

  private static final double CONTINUED_FROM = 7.07106781186547;
  private static final double ROOT_TWO_PI = 2.5066282746310002;

  private static final double[] NUMERATOR = {
    3.52624965998911e-02,
    0.700383064443688,
    6.37396220353165,
    33.912866078383,
    112.079291497871,
    221.213596169931,
    220.206867912376
  };
  private static final double[] DENOMINATOR = {
    8.83883476483184e-02,
    1.75566716318264,
    16.064177579207,
    86.7807322029461,
    296.564248779674,
    637.333633378831,
    793.826512519948,
    440.413735824752
  };

  private Tail() {}

  /** Density over probability, φ(z)/Φ(z); it grows as −z far below zero. */
  static double ratio(double z) {
    double density = Math.exp(-0.5 * z * z) / ROOT_TWO_PI;
    if (z > 0) {
      return density / (1 - density * ROOT_TWO_PI * above(z));
    }
    return 1 / (ROOT_TWO_PI * above(-z));
  }

  /** Logarithm of the probability, ln Φ(z). */
  static double log(double z) {
    if (z > FAR) {
      return 0;
    }
    double below = Math.exp(-0.5 * z * z) * above(Math.abs(z));
    return z > 0 ? Math.log(1 - below) : -0.5 * z * z + Math.log(above(-z));
  }

  /** What lies beyond x, at least zero, over e^(−x²/2). */
  private static double above(double x) {
    if (x < CONTINUED_FROM) {
      return horner(NUMERATOR, x) / horner(DENOMINATOR, x);
    }
    double b = x + 0.65;
    b = x + 4 / b;
    b = x + 3 / b;
    b = x + 2 / b;
    b = x + 1 / b;
    return 1 / b / ROOT_TWO_PI;
  }

  private static double horner(double[] coefficients, double x) {
    double value = 0;
    for (double c : coefficients) {
      value = value * x + c;
    }
    return value;
  }
}
