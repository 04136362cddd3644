package gotera.fitting;

import java.util.List;

/**
 * Posteriors of several designs for the same observations, weighed by their evidence.
 *
 * @param parts the posteriors
 * @param weights their probabilities, adding up to one
 */
public record Mixture(List<LinearPosterior> parts, double[] weights) {

  /**
   * Weighs posteriors by evidence and prior.
   *
   * @param parts posteriors of the same observations
   * @param logPriors logarithm of each design's prior probability, up to a common constant
   */
  public static Mixture of(List<LinearPosterior> parts, double[] logPriors) {
    double[] log = new double[parts.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < log.length; i++) {
      log[i] = parts.get(i).logEvidence() + logPriors[i];
      most = Math.max(most, log[i]);
    }
    double sum = 0;
    for (int i = 0; i < log.length; i++) {
      log[i] = Math.exp(log[i] - most);
      sum += log[i];
    }
    for (int i = 0; i < log.length; i++) {
      log[i] /= sum;
    }
    return new Mixture(List.copyOf(parts), log);
  }

  /** Mean of one coefficient. */
  public double mean(int coefficient) {
    double mean = 0;
    for (int i = 0; i < weights.length; i++) {
      mean += weights[i] * parts.get(i).mean()[coefficient];
    }
    return mean;
  }

  /** Standard deviation of one coefficient, within and between the parts. */
  public double sd(int coefficient) {
    double mean = mean(coefficient);
    double variance = 0;
    for (int i = 0; i < weights.length; i++) {
      double apart = parts.get(i).mean()[coefficient] - mean;
      variance +=
          weights[i] * (parts.get(i).covariance()[coefficient][coefficient] + apart * apart);
    }
    return Math.sqrt(variance);
  }

  /**
   * What of the standard deviation of one coefficient is there because another is not known: as
   * much as it moves with it.
   */
  public double by(int coefficient, int other) {
    double mean = mean(coefficient);
    double otherMean = mean(other);
    double together = 0;
    for (int i = 0; i < weights.length; i++) {
      double[] m = parts.get(i).mean();
      together +=
          weights[i]
              * (parts.get(i).covariance()[coefficient][other]
                  + (m[coefficient] - mean) * (m[other] - otherMean));
    }
    double sd = sd(other);
    return sd > 0 ? Math.min(sd(coefficient), Math.abs(together) / sd) : 0;
  }

  /** The most probable part. */
  public int best() {
    int best = 0;
    for (int i = 1; i < weights.length; i++) {
      if (weights[i] > weights[best]) {
        best = i;
      }
    }
    return best;
  }
}
