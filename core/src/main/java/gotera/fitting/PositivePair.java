package gotera.fitting;

/**
 * Answer to a linear problem of four coefficients of which the last two have priors: normal about
 * zero, or only its positive half.
 *
 * <p>Given the fourth, the other three are solved exactly, the third being cut at zero (the moments
 * of a truncated normal: N. L. Johnson, S. Kotz, N. Balakrishnan, Continuous Univariate
 * Distributions, volume 1, 13.10.1); over the fourth it is summed, between the bounds outside of
 * which nothing is left, by Gauss and Legendre's rule (M. Abramowitz, I. A. Stegun, Handbook of
 * Mathematical Functions, table 25.4, for twelve points). What every design shares, the inner
 * products of the columns, is made once by whoever asks.
 */
public final class PositivePair {
  private static final double[] NODES = {
    0.125233408511469, 0.367831498998180, 0.587317954286617,
    0.769902674194305, 0.904117256370475, 0.981560634246719
  };
  private static final double[] WEIGHTS = {
    0.249147045813403, 0.233492536538355, 0.203167426723066,
    0.160078328543346, 0.106939325995318, 0.047175336386512
  };

  private static final int K = 4;
  private static final int B = 3;

  /** So far below the most probable, in logarithms, nothing is left. */
  private static final double NOTHING_LEFT = 10;

  private static final int MOST_STEPS = 12;

  private final double[][] covariance;
  private final double[] fixed = new double[B];
  private final double[] slope = new double[B];
  private final double precision;
  private final double middle;
  private final double logEvidence;
  private final boolean positive;

  private PositivePair(
      double[][] sums,
      double[] products,
      double square,
      double thirdScale,
      double fourthScale,
      boolean positive) {
    this.positive = positive;
    double[][] three = new double[B][B];
    for (int i = 0; i < B; i++) {
      System.arraycopy(sums[i], 0, three[i], 0, B);
    }
    three[2][2] += 1 / (thirdScale * thirdScale);
    Three information = Three.of(three);
    covariance = information.inverse();
    double left = square;
    double told = products[B];
    double tells = sums[B][B];
    for (int i = 0; i < B; i++) {
      for (int j = 0; j < B; j++) {
        fixed[i] += covariance[i][j] * products[j];
        slope[i] -= covariance[i][j] * sums[j][B];
      }
      left -= products[i] * fixed[i];
      told += products[i] * slope[i];
      tells += sums[i][B] * slope[i];
    }
    precision = Math.max(0, tells) + 1 / (fourthScale * fourthScale);
    middle = told / precision;
    logEvidence =
        -0.5 * (left - told * middle)
            - 0.5 * information.logDeterminant()
            - Math.log(thirdScale)
            - Math.log(fourthScale);
  }

  /**
   * Poses it.
   *
   * @param sums inner products of the four columns, weighed by the inverse variance of each
   *     observation
   * @param products of the columns with the observations
   * @param square of the observations with themselves
   * @param thirdScale standard deviation of the third coefficient's normal before it is cut
   * @param fourthScale the same of the fourth
   * @param positive whether neither of the two can be negative
   */
  public static PositivePair of(
      double[][] sums,
      double[] products,
      double square,
      double thirdScale,
      double fourthScale,
      boolean positive) {
    return new PositivePair(sums, products, square, thirdScale, fourthScale, positive);
  }

  /** The logarithm of its evidence is no more than this: nothing was cut yet. */
  public double atMost() {
    return logEvidence + 0.5 * Math.log((positive ? 2 * Math.PI : 1) / precision);
  }

  /** The posterior. */
  public LinearPosterior solved() {
    return positive ? cut() : uncut();
  }

  /** As it is before anything is cut, without a probability of its own. */
  public LinearPosterior negligible() {
    LinearPosterior plain = uncut();
    return new LinearPosterior(plain.mean(), plain.covariance(), Double.NEGATIVE_INFINITY);
  }

  private LinearPosterior uncut() {
    double[] mean = new double[K];
    double[][] all = new double[K][K];
    for (int i = 0; i < B; i++) {
      mean[i] = fixed[i] + middle * slope[i];
      for (int j = 0; j < B; j++) {
        all[i][j] = covariance[i][j] + slope[i] * slope[j] / precision;
      }
      all[i][B] = slope[i] / precision;
      all[B][i] = all[i][B];
    }
    mean[B] = middle;
    all[B][B] = 1 / precision;
    return new LinearPosterior(mean, all, logEvidence - 0.5 * Math.log(precision));
  }

  /** Logarithm of how probable a fourth coefficient is, the third being positive. */
  private double log(double b) {
    double apart = b - middle;
    return -0.5 * precision * apart * apart + Tail.log(score(b));
  }

  /** How far the third is above zero, in its own standard deviations. */
  private double score(double b) {
    return (fixed[2] + b * slope[2]) / Math.sqrt(covariance[2][2]);
  }

  private LinearPosterior cut() {
    double[] range = range();
    double half = (range[1] - range[0]) / 2;
    double centre = (range[1] + range[0]) / 2;
    double most = Double.NEGATIVE_INFINITY;
    int n = 2 * NODES.length;
    double[] at = new double[n];
    double[] logs = new double[n];
    for (int i = 0; i < n; i++) {
      int node = i / 2;
      at[i] = centre + (i % 2 == 0 ? half : -half) * NODES[node];
      logs[i] = log(at[i]) + Math.log(WEIGHTS[node] * half);
      most = Math.max(most, logs[i]);
    }
    double sum = 0;
    double[] mean = new double[K];
    double[][] square = new double[K][K];
    double[] given = new double[K];
    for (int i = 0; i < n; i++) {
      double weight = Math.exp(logs[i] - most);
      sum += weight;
      add(at[i], weight, given, mean, square);
    }
    for (int a = 0; a < K; a++) {
      mean[a] /= sum;
    }
    for (int a = 0; a < K; a++) {
      for (int b = a; b < K; b++) {
        square[a][b] = square[a][b] / sum - mean[a] * mean[b];
        square[b][a] = square[a][b];
      }
      square[a][a] = Math.max(0, square[a][a]);
    }
    return new LinearPosterior(mean, square, logEvidence + most + Math.log(sum));
  }

  /**
   * Adds the moments given one value of the fourth; of the squares those on and above the diagonal.
   */
  private void add(double b, double weight, double[] given, double[] mean, double[][] square) {
    double z = score(b);
    double ratio = Tail.ratio(z);
    double variance = covariance[2][2];
    // as a normal distribution is moved and narrowed that is cut at zero
    double shift = ratio / Math.sqrt(variance);
    double narrower = Math.min(1, ratio * (ratio + z)) / variance;
    for (int i = 0; i < B; i++) {
      given[i] = fixed[i] + b * slope[i] + covariance[i][2] * shift;
    }
    given[B] = b;
    for (int i = 0; i < K; i++) {
      double weighed = weight * given[i];
      mean[i] += weighed;
      for (int j = i; j < K; j++) {
        square[i][j] += weighed * given[j];
      }
      for (int j = i; i < B && j < B; j++) {
        square[i][j] +=
            weight * (covariance[i][j] - covariance[i][2] * covariance[2][j] * narrower);
      }
    }
  }

  /**
   * From where to where the fourth is summed. Its logarithm is concave, no less curved than that of
   * a normal of its precision, and by the cut of the third more; so the summit is found by Newton's
   * steps, and beyond these bounds nothing is left.
   */
  private double[] range() {
    double steep = slope[2] / Math.sqrt(covariance[2][2]);
    double at = Math.max(0, middle);
    double gradient = gradient(at, steep);
    for (int i = 0; i < MOST_STEPS; i++) {
      double next = Math.max(0, at + gradient / curvature(at, steep));
      boolean found = Math.abs(next - at) * Math.sqrt(precision) < 1e-3;
      at = next;
      gradient = gradient(at, steep);
      if (found) {
        break;
      }
    }
    double sd = 1 / Math.sqrt(precision);
    double here = curvature(at, steep);
    double below =
        Math.sqrt(2 * NOTHING_LEFT / Math.min(here, curvature(Math.max(0, at - 2 * sd), steep)));
    // at the edge it falls from the first step on
    double falls = Math.max(0, -gradient);
    double curved = Math.min(here, curvature(at + 2 * sd, steep));
    double above = (Math.sqrt(falls * falls + 2 * NOTHING_LEFT * curved) - falls) / curved;
    return new double[] {Math.max(0, at - below), at + above};
  }

  private double gradient(double b, double steep) {
    return -precision * (b - middle) + steep * Tail.ratio(score(b));
  }

  private double curvature(double b, double steep) {
    double z = score(b);
    double ratio = Tail.ratio(z);
    return precision + steep * steep * Math.max(0, ratio * (z + ratio));
  }
}
