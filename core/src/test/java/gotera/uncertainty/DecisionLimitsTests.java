package gotera.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.testkit.Close;
import gotera.testkit.Seeds;
import gotera.uncertainty.Contribution.Source;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DecisionLimitsTests {
  static Stream<Random> generators() {
    return Seeds.of(60);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void theUpperLimitSolvesItsOwnEquation(Random random) {
    DecisionLimits limits = limits(random);
    double q = Seeds.between(random, 0, 1);
    double x = limits.upper(q);
    double u = Math.hypot(limits.u0Additive(), limits.r() * (x - limits.thermal()));
    Close.to("X = q + k·u(X) (mL/min)", x, Math.max(q + limits.k() * u, limits.upper(0)), 1e-9);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aRateAtTheDetectionLimitIsJustAboveTheCriticalValueAtItsLowerEnd(Random random) {
    DecisionLimits limits = limits(random);
    double d = limits.detection();
    double u = Math.hypot(limits.u0Additive(), limits.r() * (d - limits.thermal()));
    Close.to("L_D − k·u(L_D) = L_C (mL/min)", d - limits.k() * u, limits.critical(), 1e-9);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void theUpperLimitGrowsWithTheRateAndIsNeverBelowThatOfZero(Random random) {
    DecisionLimits limits = limits(random);
    double low = Seeds.between(random, -1, 1);
    double high = low + Seeds.between(random, 0, 1);
    assertThat(limits.upper(high)).isGreaterThanOrEqualTo(limits.upper(low));
    assertThat(limits.upper(low)).isGreaterThanOrEqualTo(limits.upper(0));
  }

  @Test
  void aComplianceThatIsHardlyKnownAllowsNoBound() {
    DecisionLimits limits = new DecisionLimits(0.02, 0.7, 0, DecisionLimits.K);
    assertThat(limits.exist()).isFalse();
    assertThat(limits.upper(0.1)).isInfinite();
    assertThat(limits.detection()).isInfinite();
  }

  @Test
  void scatterFromFewResidualsWidensTheFactorAndFromManyDoesNot() {
    assertThat(DecisionLimits.factorForScatterFrom(1)).isGreaterThan(6);
    Close.to("many residuals", DecisionLimits.factorForScatterFrom(100_000), 1.645, 1e-3);
    assertThat(DecisionLimits.factorForScatterFrom(1_000_000)).isGreaterThanOrEqualTo(1.645);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new DecisionLimits(-1, 0, 0, 2))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new DecisionLimits(1, 0, Double.NaN, 2))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Contribution(Source.FIT, -0.1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Nested
  class ABudget {
    private final Budget budget =
        new Budget(
            List.of(
                new Contribution(Source.FIT, 0.03),
                new Contribution(Source.COMPLIANCE, 0.04),
                new Contribution(Source.ZERO_DRIFT, 0)));

    @Test
    void addsInQuadrature() {
      Close.to("3-4-5", budget.total(), 0.05, 1e-12);
    }

    @Test
    void putsTheLargestFirst() {
      assertThat(budget.contributions())
          .extracting(Contribution::source)
          .containsExactly(Source.COMPLIANCE, Source.FIT, Source.ZERO_DRIFT);
    }

    @Test
    void knowsWhatEachSourceGives() {
      Close.to("fit", budget.of(Source.FIT), 0.03, 0);
      Close.to("absent", budget.of(Source.OWN_LEAK), 0, 0);
    }
  }

  private static DecisionLimits limits(Random random) {
    return new DecisionLimits(
        Seeds.between(random, 0.005, 0.1),
        Seeds.between(random, 0, 0.3),
        Seeds.between(random, -0.2, 0.2),
        DecisionLimits.K);
  }
}
