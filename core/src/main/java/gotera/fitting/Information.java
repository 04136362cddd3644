package gotera.fitting;

/** What observations that are not made yet would tell about the parameters of a design. */
public final class Information {
  private Information() {}

  /**
   * Variance of one parameter after the observations: the inverse of the information matrix
   * (Fisher) with the priors' precisions on its diagonal.
   *
   * @param rows sensitivity of each observation to each parameter
   * @param sd noise of every observation
   * @param priorPrecision precision of the prior of each parameter, zero for none
   * @param parameter which one
   */
  public static double variance(
      double[][] rows, double sd, double[] priorPrecision, int parameter) {
    int k = priorPrecision.length;
    double[][] m = new double[k][k];
    for (double[] row : rows) {
      for (int a = 0; a < k; a++) {
        for (int b = a; b < k; b++) {
          m[a][b] += row[a] * row[b] / (sd * sd);
        }
      }
    }
    for (int a = 0; a < k; a++) {
      m[a][a] += priorPrecision[a];
      for (int b = 0; b < a; b++) {
        m[a][b] = m[b][a];
      }
    }
    return Symmetric.of(m).inverse().getEntry(parameter, parameter);
  }
}
