package gotera.uncertainty;

import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Critical value, detection limit and upper limit of a rate whose slope part is known only to a
 * relative uncertainty.
 *
 * <p>L. A. Currie, Anal. Chem. 40 (1968) 586 and ISO 11843-1, with the compliance's relative
 * uncertainty r acting on the slope q − θṪ and not on q itself. One-sided, 5 % each way.
 *
 * @param u0Additive standard uncertainty at rate zero without the compliance term, u0′ (mL/min)
 * @param r relative standard uncertainty of the compliance (1)
 * @param thermal rate that the temperature's drift imitates, θ·Ṫ (mL/min)
 * @param k coverage factor, one-sided 95 % (1)
 */
public record DecisionLimits(double u0Additive, double r, double thermal, double k) {
  /** One-sided 95 % point of the normal distribution. */
  public static final double K = 1.645;

  /** Two-sided 95 % point of the normal distribution: half the width of the interval, over u. */
  public static final double TWO_SIDED = 1.96;

  /** Half the width of the 95 % interval of a figure with this standard uncertainty. */
  public static double halfWidth(double u) {
    return TWO_SIDED * u;
  }

  /** Refuses what cannot be, and compliances so vague that no limit exists (k·r ≥ 1). */
  public DecisionLimits {
    if (!(u0Additive >= 0) || !(r >= 0) || !Double.isFinite(thermal) || !(k > 0)) {
      throw new IllegalArgumentException("limits of " + u0Additive + ", " + r + ", " + thermal);
    }
  }

  /**
   * One-sided 95 % factor when the scatter itself was estimated from few residuals.
   *
   * @param degreesOfFreedom residuals less parameters, at least 1
   */
  public static double factorForScatterFrom(int degreesOfFreedom) {
    return Math.max(K, new TDistribution(degreesOfFreedom).inverseCumulativeProbability(0.95));
  }

  /**
   * Scatter over expectation, χ²/ν, that luck exceeds once in a hundred times.
   *
   * @param degreesOfFreedom ν, at least 1
   */
  public static double mostScatter(int degreesOfFreedom) {
    return new ChiSquaredDistribution(degreesOfFreedom).inverseCumulativeProbability(0.99)
        / degreesOfFreedom;
  }

  /** Whether limits exist: the compliance is known well enough, k·r below 1. */
  public boolean exist() {
    return k * r < 1;
  }

  /**
   * Standard uncertainty at rate zero, u0, including the compliance on the thermal slope (mL/min).
   */
  public double u0() {
    return Math.hypot(u0Additive, r * thermal);
  }

  /** Critical value L_C: a measured rate above it is a leak (mL/min). */
  public double critical() {
    return k * u0();
  }

  /** Detection limit L_D: a true rate above it is found with 95 % probability (mL/min). */
  public double detection() {
    if (!exist()) {
      return Double.POSITIVE_INFINITY;
    }
    double k2r2 = k * k * r * r;
    return 2 * (k * u0() - k2r2 * thermal) / (1 - k2r2);
  }

  /**
   * Upper limit X of the true rate: X = q + k·√(u0′² + r²(X − θṪ)²), never less than at q = 0.
   *
   * @param rate the measured rate q (mL/min)
   */
  public double upper(double rate) {
    if (!exist()) {
      return Double.POSITIVE_INFINITY;
    }
    return Math.max(solve(rate), solve(0));
  }

  private double solve(double rate) {
    double y = rate - thermal;
    double a = 1 - k * k * r * r;
    return thermal + (y + k * Math.sqrt(r * r * y * y + a * u0Additive * u0Additive)) / a;
  }
}
