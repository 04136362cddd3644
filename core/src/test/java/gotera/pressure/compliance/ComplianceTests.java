package gotera.pressure.compliance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    AirAndHoses found = single(draw, hose, 0.3 * hose, before, 0.06);
    Close.to("trapped air at the start (mL)", found.trappedAir().millilitres(), air, 1e-6);
    assertThat(found.source()).isEqualTo(AirAndHoses.Source.MEASURED);
    assertThat(found.relativeUncertainty()).isBetween(0.005, 0.3);
  }

  @Test
  void aWrongGuessOfTheHosesHardlyMovesTheTotal() {
    Draw draw = new Draw(new Volume(20), new GaugePressure(120), new GaugePressure(100.81));
    AbsolutePressure dry = new AbsolutePressure(221.325);
    GaugePressure start = new GaugePressure(120);
    double total = single(draw, 0.30, 0.09, start, 0.06).total(dry);
    double other = single(draw, 0.40, 0.09, start, 0.06).total(dry);
    // a third more hose changes air and hoses by a third each way, but their sum by a hundredth
    assertThat(Math.abs(other / total - 1)).isLessThan(0.01);
  }

  @Test
  void aCoarseGaugeMakesADrawVague() {
    Draw draw = new Draw(new Volume(20), new GaugePressure(120), new GaugePressure(101));
    GaugePressure start = new GaugePressure(120);
    assertThat(single(draw, 0.3, 0.09, start, 1.4).relativeUncertainty())
        .isGreaterThan(3 * single(draw, 0.3, 0.09, start, 0.06).relativeUncertainty());
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

  private static AirAndHoses single(
      Draw draw, double hose, double hoseU, GaugePressure start, double readingU) {
    return MeasuredCompliance.fromDraws(
            List.of(draw),
            Optional.of(new MeasuredCompliance.HosePrior(hose, hoseU)),
            start,
            ATMOSPHERE,
            readingU)
        .airAndHoses(start.above(ATMOSPHERE));
  }

  /** Draws, injections and strokes made on a known system give it back, whatever it is. */
  @ParameterizedTest
  @MethodSource("generators")
  void severalMeasurementsFindAirAndHosesBoth(Random random) {
    double air = Seeds.between(random, 40, 400);
    double hose = Seeds.between(random, 0.1, 0.5);
    GaugePressure start = new GaugePressure(Seeds.between(random, 90, 130));
    AirAndHoses system = new AirAndHoses(new Volume(air), hose, 0.05, AirAndHoses.Source.MEASURED);
    List<Draw> draws = new ArrayList<>();
    GaugePressure now = start;
    for (double ml : new double[] {15, 20, 10}) {
      double gas =
          air * start.above(ATMOSPHERE).kilopascals() / now.above(ATMOSPHERE).kilopascals();
      AirAndHoses here = new AirAndHoses(new Volume(gas), hose, 0.05, system.source());
      double step =
          new Draw(new Volume(ml), now, new GaugePressure(0)).predictedStep(here, ATMOSPHERE);
      GaugePressure after = new GaugePressure(now.kilopascals() - step);
      // the same volume let out, and pushed back in
      draws.add(new Draw(new Volume(ml), now, after));
      draws.add(new Draw(new Volume(ml), after, now));
      draws.add(new Draw(new Volume(ml), now, after));
      now = after;
    }
    MeasuredCompliance drawn =
        MeasuredCompliance.fromDraws(draws, Optional.empty(), start, ATMOSPHERE, 0.06);
    Close.to("C_h of draws (mL/kPa)", drawn.hose(), hose, 1e-6);
    Close.to("V_g of draws (mL)", drawn.air(), air, 1e-3);

    double before = Seeds.between(random, 50, 300);
    List<Strokes.Reading> readings = new ArrayList<>();
    for (int n = 1; n <= 5; n++) {
      GaugePressure to = new GaugePressure(start.kilopascals() * n / 5);
      double free = Strokes.freeAir(before, hose, new GaugePressure(0), to, ATMOSPHERE);
      readings.add(new Strokes.Reading(n, to));
      // a pump whose strokes just happen to be so large
      Strokes one =
          new Strokes(
              new Volume(free / n),
              0.03,
              new GaugePressure(0),
              Temperature.ofCelsius(20),
              Temperature.ofCelsius(20),
              List.of(new Strokes.Reading(n, to)));
      MeasuredCompliance found =
          MeasuredCompliance.fromStrokes(
              one, Optional.of(new MeasuredCompliance.HosePrior(hose, 0.05)), to, ATMOSPHERE, 0.06);
      Close.to("V_g of strokes (mL)", found.air(), before + hose * to.kilopascals(), 1e-3);
    }
    assertThat(readings).hasSize(5);
  }

  /** Counted strokes to 110 kPa: 233.2 mL at the hold were 200.5 mL before anybody pumped. */
  @Test
  void whatWasThereBeforePumping() {
    AirAndHoses atHold =
        new AirAndHoses(new Volume(233.2), 0.2976, 0.05, AirAndHoses.Source.MEASURED);
    Close.to(
        "air before pumping (mL)",
        atHold.beforePumping(new GaugePressure(110)).millilitres(),
        200.5,
        0.1);
    AirAndHoses hosesAlone =
        new AirAndHoses(new Volume(10), 0.3, 0.05, AirAndHoses.Source.GEOMETRY);
    assertThat(hosesAlone.beforePumping(new GaugePressure(110)).millilitres()).isZero();
  }

  /** Letting out and pushing in leave the total better known than air or hoses apart. */
  @Test
  void theTotalIsKnownBetterThanItsParts() {
    List<Draw> draws =
        List.of(
            new Draw(new Volume(15), new GaugePressure(110), new GaugePressure(98.471)),
            new Draw(new Volume(20), new GaugePressure(98.471), new GaugePressure(84.562)));
    MeasuredCompliance found =
        MeasuredCompliance.fromDraws(
            draws, Optional.empty(), new GaugePressure(110), ATMOSPHERE, 0.06);
    double[][] c = found.covariance();
    assertThat(c[0][1] / Math.sqrt(c[0][0] * c[1][1])).isLessThan(-0.97);
    double whole = found.relativeUncertainty(new AbsolutePressure(211.325));
    double apart =
        Math.sqrt(c[0][0] + c[1][1] / (211.325 * 211.325)) / (found.hose() + found.air() / 211.325);
    assertThat(whole).isLessThan(apart / 3);
  }
}
