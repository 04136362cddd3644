package gotera.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import org.hipparchus.special.Erf;
import org.junit.jupiter.api.Test;

class PositivePairTests {
  private static final int N = 12;

  /** Columns of a straight line, a quick and a slow creep, and observations of them. */
  private record Drawn(double[][] columns, double[] observed, double[] sd) {
    static Drawn of(Random random) {
      double[][] columns = new double[4][N];
      double[] observed = new double[N];
      double[] sd = new double[N];
      double slow = Seeds.between(random, 0, 3);
      double quick = Seeds.between(random, 0, 3);
      for (int i = 0; i < N; i++) {
        columns[0][i] = 1;
        columns[1][i] = i;
        columns[2][i] = 1 - Math.exp(-i / 1.5);
        columns[3][i] = Math.log10(1 + 3.0 * i);
        sd[i] = 0.2;
        observed[i] =
            0.3 * i + quick * columns[2][i] + slow * columns[3][i] + 0.2 * random.nextGaussian();
      }
      return new Drawn(columns, observed, sd);
    }

    double[][] sums() {
      Weighed weighed = Weighed.of(sd, new double[0][]);
      double[][] sums = new double[4][4];
      for (int a = 0; a < 4; a++) {
        for (int b = 0; b < 4; b++) {
          sums[a][b] = weighed.product(columns[a], columns[b]);
        }
      }
      return sums;
    }

    double[] products() {
      Weighed weighed = Weighed.of(sd, new double[0][]);
      double[] products = new double[4];
      for (int a = 0; a < 4; a++) {
        products[a] = weighed.product(columns[a], observed);
      }
      return products;
    }

    double square() {
      return Weighed.of(sd, new double[0][]).product(observed, observed);
    }

    LinearPosterior solved(boolean positive) {
      PositivePair pair = PositivePair.of(sums(), products(), square(), 2, 1.5, positive);
      assertThat(pair.solved().logEvidence()).isLessThanOrEqualTo(pair.atMost() + 1e-9);
      return pair.solved();
    }
  }

  /**
   * Summed over a fine grid of the fourth; where the cut of the third is sharp, twelve points err a
   * little.
   */
  @Test
  void isTheSumOverTheFourth() {
    for (Random random : Seeds.of(20).toList()) {
      Drawn drawn = Drawn.of(random);
      double[] mean = new double[3];
      double[] square = new double[3];
      double mass = 0;
      double most = Double.NEGATIVE_INFINITY;
      int steps = 4000;
      double[] logs = new double[steps];
      LinearPosterior[] parts = new LinearPosterior[steps];
      for (int i = 0; i < steps; i++) {
        double b = 12.0 * (i + 0.5) / steps;
        double[] rest = new double[N];
        for (int j = 0; j < N; j++) {
          rest[j] = drawn.observed()[j] - b * drawn.columns()[3][j];
        }
        double[][] three = {drawn.columns()[0], drawn.columns()[1], drawn.columns()[2]};
        parts[i] = OneCut.of(new LinearProblem(three, rest, drawn.sd(), 2, true));
        logs[i] = parts[i].logEvidence() - 0.5 * b * b / (1.5 * 1.5);
        most = Math.max(most, logs[i]);
      }
      for (int i = 0; i < steps; i++) {
        double weight = Math.exp(logs[i] - most);
        mass += weight;
        for (int k = 0; k < 3; k++) {
          double m = parts[i].mean()[k];
          mean[k] += weight * m;
          square[k] += weight * (parts[i].covariance()[k][k] + m * m);
        }
      }
      LinearPosterior solved = drawn.solved(true);
      for (int k = 0; k < 3; k++) {
        double sd = Math.sqrt(square[k] / mass - Math.pow(mean[k] / mass, 2));
        Close.to("mean " + k, solved.mean()[k], mean[k] / mass, 0.015 * sd);
        Close.to("sd " + k, Math.sqrt(solved.covariance()[k][k]), sd, 0.015 * sd);
      }
    }
  }

  @Test
  void isThePlainPosteriorWhereNeitherIsCut() {
    Drawn drawn = Drawn.of(new Random(7));
    double[][] sums = drawn.sums();
    sums[2][2] += 1 / 4.0;
    sums[3][3] += 1 / (1.5 * 1.5);
    Symmetric whole = Symmetric.of(sums);
    LinearPosterior solved = drawn.solved(false);
    for (int i = 0; i < 4; i++) {
      double mean = 0;
      for (int j = 0; j < 4; j++) {
        double c = whole.inverse().getEntry(i, j);
        mean += c * drawn.products()[j];
        Close.to("covariance", solved.covariance()[i][j], c, 1e-9 * Math.abs(c) + 1e-12);
      }
      Close.to("mean", solved.mean()[i], mean, 1e-9);
    }
  }

  @Test
  void inverseOfThreeIsThatOfAnySize() {
    for (Random random : Seeds.of(50).toList()) {
      double[][] m = new double[3][3];
      for (int k = 0; k < 5; k++) {
        double[] row = {random.nextGaussian(), random.nextGaussian(), 1e3 * random.nextGaussian()};
        for (int i = 0; i < 3; i++) {
          for (int j = 0; j < 3; j++) {
            m[i][j] += row[i] * row[j];
          }
        }
      }
      Three three = Three.of(m);
      Symmetric any = Symmetric.of(m);
      Close.to("determinant", three.logDeterminant(), any.logDeterminant(), 1e-9);
      for (int i = 0; i < 3; i++) {
        for (int j = 0; j < 3; j++) {
          double c = any.inverse().getEntry(i, j);
          Close.to("inverse", three.inverse()[i][j], c, 1e-8 * Math.abs(c) + 1e-15);
        }
      }
    }
  }

  /** Against the library's error function. */
  @Test
  void tailIsTheNormalDistributions() {
    for (double z = -20; z <= 8; z += 0.01) {
      double below = 0.5 * Erf.erfc(-z / Math.sqrt(2));
      Close.to("ln at " + z, Tail.log(z), Math.log(below), 1e-9 * (1 + Math.abs(Math.log(below))));
      double density = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
      Close.to("ratio at " + z, Tail.ratio(z), density / below, 1e-8 * density / below);
    }
  }

  /** A nuisance that is summed out is the same as noise that the observations share. */
  @Test
  void aNuisanceIsNoiseThatIsShared() {
    Random random = new Random(3);
    double[] sd = {0.5, 1, 2};
    double[][] nuisances = {{1, 2, 3}, {0.3, -1, 0.7}};
    double[][] covariance = new double[3][3];
    for (int i = 0; i < 3; i++) {
      covariance[i][i] = sd[i] * sd[i];
      for (int j = 0; j < 3; j++) {
        covariance[i][j] += nuisances[0][i] * nuisances[0][j] + nuisances[1][i] * nuisances[1][j];
      }
    }
    Symmetric whole = Symmetric.of(covariance);
    double[] a = {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()};
    double[] b = {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()};
    double expected = 0;
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        expected += a[i] * whole.inverse().getEntry(i, j) * b[j];
      }
    }
    assertThat(Weighed.of(sd, nuisances).product(a, b))
        .isCloseTo(expected, org.assertj.core.api.Assertions.within(1e-9));
  }
}
