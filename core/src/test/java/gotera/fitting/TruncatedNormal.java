package gotera.fitting;

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
    double logMass = Tail.log(z);
    if (z < FAR) {
      // almost exponential with mean sd/|z|; relative error below 1/z²
      double m = sd / -z;
      return new TruncatedNormal(m, m * m, logMass);
    }
    double ratio = Tail.ratio(z);
    return new TruncatedNormal(
        mean + sd * ratio, sd * sd * Math.max(0, 1 - ratio * (ratio + z)), logMass);
  }
}
