package gotera.pressure;

import gotera.fitting.Weighed;
import gotera.uncertainty.DecisionLimits;

/**
 * How the readings scatter around the fitted curve.
 *
 * @param chiSquarePerFreedom χ²/ν in units of the gauge's own noise; 1 where nothing is left over
 * @param freedom degrees of freedom ν; 0 with three readings or fewer
 * @param autocorrelation lag-1 autocorrelation of the residuals, held within 0 to 0.9
 * @param runs whether residuals larger than expected stay on one side of the curve for long, beyond
 *     what the autocorrelation covers
 */
record Scatter(double chiSquarePerFreedom, int freedom, double autocorrelation, boolean runs) {
  private static final int PARAMETERS = 3;
  private static final double MOST_CORRELATED = 0.9;
  private static final double MOST_SCATTER = 1.5;

  /** Two-sided 1 % point of the normal distribution, for the runs. */
  private static final double RUNS_LIMIT = -2.58;

  static Scatter of(double[][] columns, double[] coefficients, double[] observed, Weighed weighed) {
    int n = observed.length;
    double[] residuals = new double[n];
    for (int i = 0; i < n; i++) {
      double fitted = 0;
      for (int j = 0; j < columns.length; j++) {
        fitted += columns[j][i] * coefficients[j];
      }
      residuals[i] = observed[i] - fitted;
    }
    double[] r = weighed.left(residuals);
    double square = 0;
    for (double x : r) {
      square += x * x;
    }
    int freedom = Math.max(0, n - PARAMETERS);
    if (freedom == 0) {
      return new Scatter(1, 0, 0, false);
    }
    double lag = 0;
    for (int i = 1; i < n; i++) {
      lag += r[i] * r[i - 1];
    }
    double rho = n < 6 || square == 0 ? 0 : Math.min(MOST_CORRELATED, Math.max(0, lag / square));
    double perFreedom = square / freedom;
    return new Scatter(
        perFreedom,
        freedom,
        rho,
        perFreedom > 1 && n >= 10 && runsStatistic(whitened(r, rho)) < RUNS_LIMIT);
  }

  /** Factor on the variance of the fit: max(1, χ²/ν)·(1 + ρ)/(1 − ρ). */
  double inflation() {
    return Math.max(1, chiSquarePerFreedom) * (1 + autocorrelation) / (1 - autocorrelation);
  }

  /**
   * Whether the readings scatter more than the model may leave over (our judgement, untested): half
   * as much again, and more than the luck of few readings.
   */
  boolean tooWide() {
    return chiSquarePerFreedom > MOST_SCATTER
        && chiSquarePerFreedom > DecisionLimits.mostScatter(freedom);
  }

  /** The residuals without the part that the one before explains: the inflation covers that. */
  private static double[] whitened(double[] r, double rho) {
    double[] w = new double[r.length - 1];
    for (int i = 1; i < r.length; i++) {
      w[i - 1] = r[i] - rho * r[i - 1];
    }
    return w;
  }

  /** Wald and Wolfowitz's statistic for the number of runs (Ann. Math. Stat. 11 (1940) 147). */
  private static double runsStatistic(double[] r) {
    double above = 0;
    double below = 0;
    double runs = 0;
    double before = 0;
    for (double x : r) {
      double sign = Math.signum(x);
      if (sign == 0) {
        continue;
      }
      above += sign > 0 ? 1 : 0;
      below += sign < 0 ? 1 : 0;
      runs += sign != before ? 1 : 0;
      before = sign;
    }
    double n = above + below;
    if (above < 2 || below < 2) {
      return 0;
    }
    double mean = 2 * above * below / n + 1;
    double variance = (mean - 1) * (mean - 2) / (n - 1);
    return (runs - mean) / Math.sqrt(variance);
  }
}
