package gotera.fitting;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * A polynomial through points of equal noise.
 *
 * @param coefficients from the constant upwards
 * @param covariance of the coefficients; scaled up where the points scatter more than the noise
 * @param chiSquare sum of the squared residuals in units of the noise
 */
public record LeastSquares(double[] coefficients, double[][] covariance, double chiSquare) {

  /**
   * Fits a polynomial.
   *
   * @param x abscissae
   * @param y ordinates
   * @param noise standard deviation of each ordinate
   * @param degree degree, less than the number of points
   */
  public static LeastSquares polynomial(double[] x, double[] y, double noise, int degree) {
    RealMatrix design = new Array2DRowRealMatrix(x.length, degree + 1);
    for (int i = 0; i < x.length; i++) {
      for (int j = 0; j <= degree; j++) {
        design.setEntry(i, j, Math.pow(x[i], j));
      }
    }
    ArrayRealVector observed = new ArrayRealVector(y);
    double[] c = new QRDecomposition(design).getSolver().solve(observed).toArray();
    double chiSquare =
        Math.pow(design.operate(new ArrayRealVector(c)).subtract(observed).getNorm() / noise, 2);
    RealMatrix normal = design.transposeMultiply(design);
    RealMatrix inverse = new QRDecomposition(normal).getSolver().getInverse();
    int free = x.length - degree - 1;
    double scale = noise * noise * (free > 0 ? Math.max(1, chiSquare / free) : 1);
    return new LeastSquares(c, inverse.scalarMultiply(scale).getData(), chiSquare);
  }

  /** Standard uncertainty of a coefficient. */
  public double sd(int coefficient) {
    return Math.sqrt(covariance[coefficient][coefficient]);
  }
}
