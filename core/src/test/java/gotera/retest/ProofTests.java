package gotera.retest;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.FittedCurve;
import gotera.pressure.PressureTestResult;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.uncertainty.Budget;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.DecisionLimits;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ProofTests {
  private static final PressureTestResult TIGHT = result(VerdictKind.TIGHT, 0.01, 0.02);

  @Test
  void zeroIsNeverWithoutItsBoundAndItsPressure() {
    Proof.Zero zero = (Proof.Zero) Proof.of(Optional.empty(), TIGHT);
    Close.to("bound (mL/min)", zero.bound(), TIGHT.rate().orElseThrow().upper(), 0);
    assertThat(zero.bound()).isGreaterThan(0.03);
    Close.to("up to (kPa)", zero.upTo(), 106, 0);
  }

  @Test
  void airProvesAnAssemblyAndNothingOfCoolant() {
    PressureTestResult.Rate wet = TIGHT.rate().orElseThrow();
    PressureTestResult.Rate air =
        new PressureTestResult.Rate(
            wet.law(),
            wet.laws(),
            wet.rate(),
            wet.budget(),
            wet.limits(),
            wet.leakThreshold(),
            wet.endPressure(),
            wet.meanPressure(),
            wet.compliance(),
            wet.airAndHoses(),
            wet.thermalSensitivity(),
            wet.drift(),
            wet.driftU(),
            wet.driftMeasured(),
            wet.preHold(),
            wet.settled(),
            wet.settledU(),
            wet.pumpedUpAgain(),
            wet.hole(),
            Optional.of(new AsCoolant(0, 0)));
    PressureTestResult dry =
        new PressureTestResult(
            TIGHT.estimator(),
            TIGHT.verdict(),
            List.of(),
            Optional.of(air),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of(),
            List.of());
    Proof.Missing missing = (Proof.Missing) Proof.of(Optional.of(TIGHT), dry);
    assertThat(missing.reasons()).containsExactly(Reason.of(Reason.Code.DRY_TEST));
    assertThat(missing.change()).as("air and coolant have no difference").isEmpty();
  }

  @ParameterizedTest
  @EnumSource
  void theRepairIsProvenOnlyWhereATestHadShownTheLeak(VerdictKind before) {
    Proof.Zero zero = (Proof.Zero) Proof.of(Optional.of(result(before, 0.8, 0.05)), TIGHT);
    boolean shown =
        before == VerdictKind.LEAK || before == VerdictKind.GROSS || before == VerdictKind.STOPPED;
    assertThat(zero.shownBefore()).isEqualTo(shown);
  }

  @Test
  void withoutATestBeforeNothingWasShown() {
    assertThat(((Proof.Zero) Proof.of(Optional.empty(), TIGHT)).shownBefore()).isFalse();
  }

  @ParameterizedTest
  @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "TIGHT")
  void anyOtherVerdictProvesNothingAndSaysWhatIsMissing(VerdictKind after) {
    Proof proof = Proof.of(Optional.empty(), result(after, 0.4, 0.05));
    assertThat(proof).isInstanceOf(Proof.Missing.class);
    assertThat(((Proof.Missing) proof).verdict()).isEqualTo(after);
    assertThat(((Proof.Missing) proof).reasons()).isNotEmpty();
  }

  @Test
  void theChangeCarriesBothUncertainties() {
    Proof.Zero zero =
        (Proof.Zero) Proof.of(Optional.of(result(VerdictKind.LEAK, 0.8, 0.03)), TIGHT);
    Proof.Change change = zero.change().orElseThrow();
    Close.to("difference (mL/min)", change.difference(), -0.79, 1e-12);
    Close.to("u (mL/min)", change.u(), Math.hypot(0.02, 0.03), 1e-12);
  }

  private static PressureTestResult result(VerdictKind kind, double rate, double u) {
    PressureTestResult.Rate r =
        new PressureTestResult.Rate(
            LeakLaw.SEEP,
            List.of(new LeakLaw.Weight(LeakLaw.SEEP, 1)),
            rate,
            new Budget(List.of(new Contribution(Contribution.Source.FIT, u))),
            new DecisionLimits(u, 0.05, 0, DecisionLimits.K),
            0.05,
            106,
            108,
            1,
            new AirAndHoses(new Volume(100), 0.3, 0.05, AirAndHoses.Source.MEASURED),
            3,
            0,
            0.01,
            true,
            false,
            1,
            0.1,
            true,
            OptionalDouble.empty(),
            Optional.empty());
    return new PressureTestResult(
        "test",
        kind,
        kind == VerdictKind.TIGHT
            ? List.of()
            : List.of(Reason.of(Reason.Code.TOO_FEW_READINGS, 1.0)),
        Optional.of(r),
        OptionalDouble.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        List.<FittedCurve.Point>of());
  }
}
