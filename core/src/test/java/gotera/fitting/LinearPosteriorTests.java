package gotera.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Close;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LinearPosteriorTests {
  @Test
  void withoutACutItIsWeightedLeastSquares() {
    double[][] columns = {{1, 1, 1, 1}, {0, 1, 2, 3}, {0, 0, 0, 0}};
    double[] y = {1, 3, 5, 7};
    double[] sd = {0.1, 0.1, 0.1, 0.1};
    LinearPosterior posterior = OneCut.of(new LinearProblem(columns, y, sd, 1, false));
    Close.to("intercept", posterior.mean()[0], 1, 1e-9);
    Close.to("slope", posterior.mean()[1], 2, 1e-9);
    // textbook variance of a slope: σ²/Σ(x − mean)² = 0.01/5
    Close.to("slope variance", posterior.covariance()[1][1], 0.002, 1e-9);
    Close.to("the column of zeros learns nothing", posterior.covariance()[2][2], 1, 1e-9);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void theCutPosteriorAgreesWithPlainSampling(long seed) {
    Random random = new Random(seed);
    double[][] columns = {{1, 1, 1, 1, 1}, {0, 1, 2, 3, 4}, {0, 0.5, 0.75, 0.88, 0.94}};
    double[] y = new double[5];
    for (int i = 0; i < 5; i++) {
      y[i] = 0.3 * columns[1][i] + 0.4 * columns[2][i] + 0.2 * random.nextGaussian();
    }
    double[] sd = {0.2, 0.2, 0.2, 0.2, 0.2};
    LinearPosterior cut = OneCut.of(new LinearProblem(columns, y, sd, 0.5, true));
    LinearPosterior whole = OneCut.of(new LinearProblem(columns, y, sd, 0.5, false));
    // sample the uncut normal of (slope, last) and keep the positive half
    double va = whole.covariance()[2][2];
    double k = whole.covariance()[1][2] / va;
    double rest = Math.sqrt(whole.covariance()[1][1] - k * k * va);
    double sum = 0;
    double square = 0;
    int kept = 0;
    int drawn = 400_000;
    for (int i = 0; i < drawn; i++) {
      double a = whole.mean()[2] + Math.sqrt(va) * random.nextGaussian();
      if (a > 0) {
        double q = whole.mean()[1] + k * (a - whole.mean()[2]) + rest * random.nextGaussian();
        sum += q;
        square += q * q;
        kept++;
      }
    }
    double mean = sum / kept;
    Close.to("mean", cut.mean()[1], mean, 2e-3);
    Close.to("variance", cut.covariance()[1][1], square / kept - mean * mean, 2e-3);
    Close.to(
        "log evidence",
        cut.logEvidence() - whole.logEvidence(),
        Math.log(2.0 * kept / drawn),
        2e-2);
  }

  @Test
  void farBelowZeroTheCutStaysFinite() {
    TruncatedNormal near = TruncatedNormal.positive(-24.9, 1);
    TruncatedNormal far = TruncatedNormal.positive(-25.1, 1);
    Close.to("mean across the switch", far.mean(), near.mean(), 1e-3);
    assertThat(far.variance()).isPositive();
    Close.to("mass across the switch", far.logMass() - near.logMass(), -5.0, 0.1);
    assertThat(TruncatedNormal.positive(-1e6, 1).mean()).isPositive();
  }

  @Test
  void weightsOfAMixtureAddUpToOne() {
    double[][] columns = {{1, 1, 1}, {0, 1, 2}, {0, 1, 0}};
    LinearPosterior p =
        OneCut.of(
            new LinearProblem(columns, new double[] {0, 1, 2}, new double[] {1, 1, 1}, 1, true));
    Mixture mixture = Mixture.of(java.util.List.of(p, p, p), new double[] {0, -1, -800});
    Close.to("sum", Arrays.stream(mixture.weights()).sum(), 1, 1e-12);
    Close.to("sd of equal parts", mixture.sd(1), Math.sqrt(p.covariance()[1][1]), 1e-12);
    assertThat(mixture.best()).isZero();
  }

  /** JCGM 100:2008, example H.3: calibration of a thermometer by a fitted line. */
  @Test
  void aLineIsFittedAsTheGuideToUncertaintyDoes() {
    double[] t = {
      21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.010, 26.511
    };
    double[] correction = {
      -0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.160
    };
    double[] from20 = Arrays.stream(t).map(x -> x - 20).toArray();
    // a noise far below the scatter: the covariance is then scaled by the scatter, as there
    LeastSquares line = LeastSquares.polynomial(from20, correction, 1e-6, 1);
    Close.to("intercept (K)", line.coefficients()[0], -0.1712, 5e-5);
    Close.to("slope", line.coefficients()[1], 0.00218, 5e-6);
    Close.to("u(intercept) (K)", line.sd(0), 0.0029, 5e-5);
    Close.to("u(slope)", line.sd(1), 0.00067, 5e-6);
    double correlation = line.covariance()[0][1] / line.sd(0) / line.sd(1);
    Close.to("correlation", correlation, -0.930, 5e-4);
  }
}
