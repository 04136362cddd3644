package gotera.fitting;

import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/**
 * Moments of a normal distribution cut at zero.
 *
 * <p>N. L. Johnson, S. Kotz, N. Balakrishnan, Continuous Univariate Distributions, volume 1, 2nd
 * edition, section 13.10.1. Far below zero the tail's asymptotic series keeps the ratio finite.
 *
 * @param mean mean after cutting
 * @param variance variance after cutting
 * @param logMass logarithm of the probability that was above zero before cutting
 */
public record TruncatedNormal(double mean, double variance, double logMass) {
  private static final double FAR = -25;

  /** The positive part of a normal distribution. */
  static TruncatedNormal positive(double mean, double sd) {
    double z = mean / sd;
    if (z < FAR) {
      // almost exponential with mean sd/|z|; relative error below 1/z²
      double m = sd / -z;
      double logMass = -0.5 * z * z - Math.log(-z) - 0.5 * Math.log(2 * Math.PI);
      return new TruncatedNormal(m, m * m, logMass);
    }
    double mass = 0.5 * Erf.erfc(-z / FastMath.sqrt(2));
    double density = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
    double ratio = density / mass;
    return new TruncatedNormal(
        mean + sd * ratio, sd * sd * Math.max(0, 1 - ratio * (ratio + z)), Math.log(mass));
  }
}
