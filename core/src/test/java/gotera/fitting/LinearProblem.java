package gotera.fitting;

/**
 * Observations as a linear combination of known columns and noise. All coefficients have a flat
 * prior, but the last: it is normal about zero, or only its positive half.
 *
 * @param columns the design, a column per coefficient
 * @param observed the observations
 * @param sd the noise of each observation, one standard deviation, in the unit of the observations
 * @param lastScale standard deviation of the last coefficient's normal before it is cut
 * @param lastPositive whether the last coefficient cannot be negative
 */
public record LinearProblem(
    double[][] columns, double[] observed, double[] sd, double lastScale, boolean lastPositive) {
  /** Refuses a design that does not fit its observations. */
  public LinearProblem {
    if (!(lastScale > 0)) {
      throw new IllegalArgumentException("scale of the last coefficient must be positive");
    }
    for (double[] column : columns) {
      if (column.length != observed.length) {
        throw new IllegalArgumentException("a column is not as long as the observations");
      }
    }
    if (sd.length != observed.length) {
      throw new IllegalArgumentException("there is not one noise for each observation");
    }
  }
}
