package gotera.fitting;

import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Inverse and determinant of an information matrix: symmetric, and positive but for what the
 * observations do not tell.
 *
 * <p>Each parameter is first scaled so that the diagonal is one; then Cholesky's decomposition is
 * as good as the correlation between the parameters allows, whatever their units. Where two of them
 * cannot be told apart at all, the least ridge that makes the matrix positive is added to its
 * diagonal, from 10⁻¹⁴ of it: the variance of what is not told comes out very large, and nothing is
 * refused.
 *
 * @param cholesky the decomposition of the matrix whose diagonal is one
 * @param scale what each parameter was multiplied with
 */
record Symmetric(CholeskyDecomposition cholesky, double[] scale) {
  private static final double LEAST_RIDGE = 1e-14;
  private static final double UNTOLD = 1e-12;

  /** Inverts; the entries must be finite, with a diagonal that is not negative. */
  static Symmetric of(double[][] matrix) {
    int k = matrix.length;
    double[] scale = new double[k];
    for (int i = 0; i < k; i++) {
      scale[i] = 1 / Math.sqrt(Math.max(matrix[i][i], UNTOLD));
    }
    double[][] unit = new double[k][k];
    for (int i = 0; i < k; i++) {
      unit[i][i] = 1;
      for (int j = 0; j < i; j++) {
        // once for both: rounded apart, the smallest of numbers differ by more than a symmetric
        // matrix is let to
        unit[i][j] = matrix[i][j] * scale[i] * scale[j];
        unit[j][i] = unit[i][j];
      }
    }
    return new Symmetric(decomposed(unit), scale);
  }

  /** The inverse: the covariance. */
  RealMatrix inverse() {
    RealMatrix inverse = cholesky.getSolver().getInverse();
    for (int i = 0; i < scale.length; i++) {
      for (int j = 0; j < scale.length; j++) {
        inverse.multiplyEntry(i, j, scale[i] * scale[j]);
      }
    }
    return inverse;
  }

  /** What the matrix turns into {@code right}. */
  RealVector solve(RealVector right) {
    RealVector by = new ArrayRealVector(scale, false);
    return cholesky.getSolver().solve(right.ebeMultiply(by)).ebeMultiply(by);
  }

  /** Natural logarithm of the determinant. */
  double logDeterminant() {
    double log = 0;
    for (int i = 0; i < scale.length; i++) {
      log += 2 * (Math.log(cholesky.getL().getEntry(i, i)) - Math.log(scale[i]));
    }
    return log;
  }

  private static CholeskyDecomposition decomposed(double[][] unit) {
    double added = 0;
    for (double ridge = LEAST_RIDGE; ridge <= 1; ridge *= 10) {
      try {
        return new CholeskyDecomposition(new Array2DRowRealMatrix(unit), 1e-6, 0);
      } catch (MathIllegalArgumentException e) {
        for (int i = 0; i < unit.length; i++) {
          unit[i][i] += ridge - added;
        }
        added = ridge;
      }
    }
    throw new IllegalArgumentException("the entries of an information matrix must be finite");
  }
}
