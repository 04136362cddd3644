package gotera.fitting;

import java.util.ArrayList;
import java.util.List;

/**
 * Inner products of columns under the noise of the observations and under what moves all of them
 * together by an amount that nobody knows: nuisances with a normal prior, summed out (M. A.
 * Woodbury, Inverting modified matrices, 1950).
 *
 * @param precisions inverse variance of each observation
 * @param taken what each nuisance takes away, a column each
 */
public record Weighed(double[] precisions, List<double[]> taken) {
  /**
   * Of observations.
   *
   * @param sd noise of each observation, one standard deviation
   * @param nuisances what each nuisance adds to the observations where it is one standard deviation
   *     large; a column of nothing is left out
   */
  public static Weighed of(double[] sd, double[][] nuisances) {
    double[] precisions = new double[sd.length];
    for (int i = 0; i < sd.length; i++) {
      precisions[i] = 1 / (sd[i] * sd[i]);
    }
    List<double[]> taken = new ArrayList<>();
    for (double[] nuisance : nuisances) {
      double[] left = new double[sd.length];
      for (int i = 0; i < sd.length; i++) {
        left[i] = precisions[i] * nuisance[i];
      }
      for (double[] before : taken) {
        double shared = dot(before, nuisance);
        for (int i = 0; i < sd.length; i++) {
          left[i] -= shared * before[i];
        }
      }
      double square = dot(left, nuisance);
      if (square > 0) {
        double norm = Math.sqrt(1 + square);
        for (int i = 0; i < sd.length; i++) {
          left[i] /= norm;
        }
        taken.add(left);
      }
    }
    return new Weighed(precisions, List.copyOf(taken));
  }

  /**
   * Residuals in units of the noise, without what the nuisances explain of them.
   *
   * @param residuals observed less fitted
   */
  public double[] left(double[] residuals) {
    double[] left = new double[residuals.length];
    for (int i = 0; i < left.length; i++) {
      left[i] = precisions[i] * residuals[i];
    }
    for (double[] t : taken) {
      double shared = dot(t, residuals);
      for (int i = 0; i < left.length; i++) {
        left[i] -= shared * t[i];
      }
    }
    for (int i = 0; i < left.length; i++) {
      left[i] /= Math.sqrt(precisions[i]);
    }
    return left;
  }

  /** The inner product of two columns. */
  public double product(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < precisions.length; i++) {
      sum += precisions[i] * a[i] * b[i];
    }
    for (double[] t : taken) {
      sum -= dot(t, a) * dot(t, b);
    }
    return sum;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }
}
