package gotera.fitting;

import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A {@link LinearProblem} of which only the last coefficient has a prior, by the library's
 * matrices: what {@link PositivePair} is held against.
 *
 * <p>The uncut posterior is normal with information H = XᵀWX + diag(0, …, 1/s²). Cutting the last
 * coefficient at zero changes its moments to those of a truncated normal; the others follow through
 * their regression on it (Gelman et al., Bayesian Data Analysis, 3rd edition, sections 13.3 and
 * 14.2).
 */
final class OneCut {
  private OneCut() {}

  /** Solves the problem. */
  static LinearPosterior of(LinearProblem problem) {
    int k = problem.columns().length;
    double[][] sums = new double[k][k];
    double[] products = new double[k];
    double square = accumulate(problem, sums, products);
    double s = problem.lastScale();
    sums[k - 1][k - 1] += 1 / (s * s);
    RealVector right = new ArrayRealVector(products, false);
    Symmetric information = Symmetric.of(sums);
    RealMatrix covariance = information.inverse();
    RealVector mean = information.solve(right);
    double logEvidence =
        -0.5 * (square - right.dotProduct(mean)) - 0.5 * information.logDeterminant() - Math.log(s);
    if (!problem.lastPositive()) {
      return new LinearPosterior(mean.toArray(), covariance.getData(), logEvidence);
    }
    double last = mean.getEntry(k - 1);
    double variance = covariance.getEntry(k - 1, k - 1);
    TruncatedNormal cut = TruncatedNormal.positive(last, Math.sqrt(variance));
    RealVector slope = covariance.getColumnVector(k - 1).mapDivide(variance);
    RealMatrix narrowed =
        covariance.subtract(slope.outerProduct(slope).scalarMultiply(variance - cut.variance()));
    return new LinearPosterior(
        mean.add(slope.mapMultiply(cut.mean() - last)).toArray(),
        narrowed.getData(),
        logEvidence + Math.log(2) + cut.logMass());
  }

  /** Fills XᵀWX and XᵀWy; returns yᵀWy. */
  private static double accumulate(LinearProblem problem, double[][] sums, double[] products) {
    double[][] x = problem.columns();
    double[] y = problem.observed();
    double[] sd = problem.sd();
    int k = x.length;
    double square = 0;
    for (int i = 0; i < y.length; i++) {
      double w = 1 / (sd[i] * sd[i]);
      square += w * y[i] * y[i];
      for (int a = 0; a < k; a++) {
        double weighed = w * x[a][i];
        products[a] += weighed * y[i];
        for (int b = a; b < k; b++) {
          sums[a][b] += weighed * x[b][i];
        }
      }
    }
    for (int a = 0; a < k; a++) {
      for (int b = 0; b < a; b++) {
        sums[a][b] = sums[b][a];
      }
    }
    return square;
  }
}
