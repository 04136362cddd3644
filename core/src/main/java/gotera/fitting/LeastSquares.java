package gotera.fitting;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;

/**
 * Weighted linear least squares. What the rows do not tell comes out with a very large uncertainty.
 *
 * @param coefficients in the order of the columns
 * @param covariance of the coefficients; scaled up where the points scatter more than their noise
 * @param chiSquare sum of the squared residuals in units of the noise
 */
public record LeastSquares(double[] coefficients, double[][] covariance, double chiSquare) {

  /**
   * Fits columns.
   *
   * @param rows a row of the design for each observation
   * @param observed the observations, at least as many as columns
   * @param sd noise of each observation
   */
  public static LeastSquares of(double[][] rows, double[] observed, double[] sd) {
    int columns = rows[0].length;
    RealMatrix design = new Array2DRowRealMatrix(rows.length, columns);
    ArrayRealVector weighted = new ArrayRealVector(observed.length);
    for (int i = 0; i < rows.length; i++) {
      for (int j = 0; j < columns; j++) {
        design.setEntry(i, j, rows[i][j] / sd[i]);
      }
      weighted.setEntry(i, observed[i] / sd[i]);
    }
    double[][] sums = design.transposeMultiply(design).getData();
    Symmetric information = Symmetric.of(sums);
    RealMatrix inverse = information.inverse();
    double[] c = information.solve(design.transpose().operate(weighted)).toArray();
    double chiSquare =
        Math.pow(design.operate(new ArrayRealVector(c)).subtract(weighted).getNorm(), 2);
    int free = rows.length - columns;
    double scale = free > 0 ? Math.max(1, chiSquare / free) : 1;
    return new LeastSquares(c, inverse.scalarMultiply(scale).getData(), chiSquare);
  }

  /**
   * Fits a polynomial; its coefficients go from the constant upwards.
   *
   * @param x abscissae
   * @param y ordinates
   * @param noise standard deviation of each ordinate
   * @param degree degree, less than the number of points
   */
  public static LeastSquares polynomial(double[] x, double[] y, double noise, int degree) {
    double[][] rows = new double[x.length][degree + 1];
    for (int i = 0; i < x.length; i++) {
      for (int j = 0; j <= degree; j++) {
        rows[i][j] = Math.pow(x[i], j);
      }
    }
    double[] sd = new double[x.length];
    java.util.Arrays.fill(sd, noise);
    return of(rows, y, sd);
  }

  /** Standard uncertainty of a coefficient. */
  public double sd(int coefficient) {
    return Math.sqrt(covariance[coefficient][coefficient]);
  }
}
