package gotera.fitting;

/**
 * Inverse and determinant of an information matrix of three parameters, as {@link Symmetric} has
 * them, without what a library takes for matrices of any size: it is asked hundreds of times for a
 * verdict.
 *
 * @param inverse the inverse: the covariance
 * @param logDeterminant natural logarithm of the determinant
 */
record Three(double[][] inverse, double logDeterminant) {
  private static final double LEAST_RIDGE = 1e-14;
  private static final double UNTOLD = 1e-12;

  /** Inverts; the entries must be finite, with a diagonal that is not negative. */
  static Three of(double[][] m) {
    double s0 = 1 / Math.sqrt(Math.max(m[0][0], UNTOLD));
    double s1 = 1 / Math.sqrt(Math.max(m[1][1], UNTOLD));
    double s2 = 1 / Math.sqrt(Math.max(m[2][2], UNTOLD));
    double a = m[1][0] * s0 * s1;
    double b = m[2][0] * s0 * s2;
    double c = m[2][1] * s1 * s2;
    double diagonal = 1;
    for (double ridge = LEAST_RIDGE; ridge <= 1; ridge *= 10) {
      // Cholesky: 1 0 0 / a l11 0 / b l21 l22, every entry over the root of the diagonal
      double l00 = Math.sqrt(diagonal);
      double l10 = a / l00;
      double l20 = b / l00;
      double d1 = diagonal - l10 * l10;
      double l11 = Math.sqrt(d1);
      double l21 = (c - l20 * l10) / l11;
      double d2 = diagonal - l20 * l20 - l21 * l21;
      if (d1 > 0 && d2 > 0) {
        return inverse(new double[] {l00, l10, l11, l20, l21, Math.sqrt(d2)}, s0, s1, s2);
      }
      diagonal = 1 + ridge;
    }
    throw new IllegalArgumentException("the entries of an information matrix must be finite");
  }

  private static Three inverse(double[] l, double s0, double s1, double s2) {
    // the inverse of the triangle, then its square
    double i00 = 1 / l[0];
    double i11 = 1 / l[2];
    double i22 = 1 / l[5];
    double i10 = -l[1] * i00 * i11;
    double i21 = -l[4] * i11 * i22;
    double i20 = -(l[3] * i00 + l[4] * i10) * i22;
    double c01 = (i10 * i11 + i20 * i21) * s0 * s1;
    double c02 = i20 * i22 * s0 * s2;
    double c12 = i21 * i22 * s1 * s2;
    double[][] inverse = {
      {(i00 * i00 + i10 * i10 + i20 * i20) * s0 * s0, c01, c02},
      {c01, (i11 * i11 + i21 * i21) * s1 * s1, c12},
      {c02, c12, i22 * i22 * s2 * s2}
    };
    double log = 2 * (Math.log(l[0]) + Math.log(l[2]) + Math.log(l[5]));
    return new Three(inverse, log - 2 * (Math.log(s0) + Math.log(s1) + Math.log(s2)));
  }
}
