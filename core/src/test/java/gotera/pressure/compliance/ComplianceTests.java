package gotera.pressure.compliance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ComplianceTests {
  private static final AbsolutePressure ATMOSPHERE = AbsolutePressure.STANDARD_ATMOSPHERE;

  static Stream<Random> generators() {
    return Seeds.of(50);
  }

  @Nested
  class LostVolumeOfAHold {
    static Stream<Random> generators() {
      return Seeds.of(50);
    }

    @ParameterizedTest
    @MethodSource("generators")
    void andThePressureItLeavesAreInverse(Random random) {
      LostVolume formula = formula(random);
      double gauge = Seeds.between(random, 60, 120);
      double kelvin = Seeds.between(random, 288, 298);
      double lost = formula.at(gauge, kelvin, 1.8);
      Close.to("gauge (kPa)", formula.gauge(lost, kelvin, 1.8), gauge, 1e-8);
    }

    @ParameterizedTest
    @MethodSource("generators")
    void growsAsTheNeedleFallsBySoMuchPerKilopascal(Random random) {
      LostVolume formula = formula(random);
      double gauge = Seeds.between(random, 60, 119);
      double step = 1e-4;
      double slope = (formula.at(gauge, 293, 1.8) - formula.at(gauge + step, 293, 1.8)) / step;
      Close.to("−dV/dp (mL/kPa)", slope, formula.perKilopascal(gauge, 293, 1.8), 1e-4);
      assertThat(slope).isPositive();
    }

    @Test
    void isZeroAtTheStart() {
      LostVolume formula = new LostVolume(150, 0.3, 8000, 4.2e-4, 120, 101.325, 1.8, 293.15);
      Close.to("lost (mL)", formula.at(120, 293.15, 1.8), 0, 1e-12);
    }

    @Test
    void withoutHosesThePressureStillComesBack() {
      LostVolume formula = new LostVolume(150, 0, 8000, 4.2e-4, 120, 101.325, 0, 293.15);
      Close.to("gauge (kPa)", formula.gauge(formula.at(111, 293.15, 0), 293.15, 0), 111, 1e-9);
    }

    private LostVolume formula(Random random) {
      return new LostVolume(
          Seeds.between(random, 20, 500),
          Seeds.between(random, 0.05, 0.6),
          Seeds.between(random, 3000, 12_000),
          4.2e-4,
          120,
          101.325,
          1.8,
          293.15);
    }
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aDrawFindsTheAirItWasMadeOn(Random random) {
    double air = Seeds.between(random, 40, 400);
    double hose = Seeds.between(random, 0.1, 0.5);
    GaugePressure before = new GaugePressure(Seeds.between(random, 80, 130));
    AirAndHoses system = new AirAndHoses(new Volume(air), hose, 0.05, AirAndHoses.Source.MEASURED);
    Draw blank = new Draw(new Volume(15), before, new GaugePressure(0));
    double step = blank.predictedStep(system, ATMOSPHERE);
    Draw draw = new Draw(new Volume(15), before, new GaugePressure(before.kilopascals() - step));
    Close.to("trapped air (mL)", draw.trappedAirBefore(hose, ATMOSPHERE), air, 1e-6);
    AirAndHoses found = draw.airAndHoses(hose, 0.3 * hose, before, ATMOSPHERE, 0.06);
    Close.to("trapped air at the start (mL)", found.trappedAir().millilitres(), air, 1e-6);
    assertThat(found.source()).isEqualTo(AirAndHoses.Source.MEASURED);
    assertThat(found.relativeUncertainty()).isBetween(0.005, 0.3);
  }

  @Test
  void aWrongGuessOfTheHosesHardlyMovesTheTotal() {
    Draw draw = new Draw(new Volume(20), new GaugePressure(120), new GaugePressure(100.81));
    AbsolutePressure dry = new AbsolutePressure(221.325);
    GaugePressure start = new GaugePressure(120);
    double total = draw.airAndHoses(0.30, 0.09, start, ATMOSPHERE, 0.06).total(dry);
    double other = draw.airAndHoses(0.40, 0.09, start, ATMOSPHERE, 0.06).total(dry);
    // a third more hose changes air and hoses by a third each way, but their sum by a hundredth
    assertThat(Math.abs(other / total - 1)).isLessThan(0.01);
  }

  @Test
  void aCoarseGaugeMakesADrawVague() {
    Draw draw = new Draw(new Volume(20), new GaugePressure(120), new GaugePressure(101));
    GaugePressure start = new GaugePressure(120);
    assertThat(draw.airAndHoses(0.3, 0.09, start, ATMOSPHERE, 1.4).relativeUncertainty())
        .isGreaterThan(
            3 * draw.airAndHoses(0.3, 0.09, start, ATMOSPHERE, 0.06).relativeUncertainty());
  }

  @Test
  void sizesGiveAnEstimateThatSaysHowVagueItIs() {
    AirAndHoses sizes = Geometry.of(20, 15, new Volume(60), 0.3);
    Close.to("air (mL)", sizes.trappedAir().millilitres(), 90, 1e-9);
    Close.to("r", sizes.relativeUncertainty(), 0.3, 0);
    assertThat(sizes.source()).isEqualTo(AirAndHoses.Source.GEOMETRY);
  }

  @Test
  void whatIsNoDrawOrNoSystemIsRefused() {
    assertThatThrownBy(
            () -> new Draw(new Volume(20), new GaugePressure(100), new GaugePressure(100)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Draw(new Volume(0), new GaugePressure(100), new GaugePressure(90)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new AirAndHoses(new Volume(0), 0, 0.1, AirAndHoses.Source.MEASURED))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
