package gotera.pressure.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.EquivalentHole;
import gotera.pressure.law.LeakLaw;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MakerRuleTests {
  static Stream<Random> generators() {
    return Seeds.of(30);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void moreAirLetsMoreThroughAndMoreTimeLess(Random random) {
    double air = Seeds.between(random, 30, 400);
    double minutes = Seeds.between(random, 1, 10);
    double here = letsThrough(air, minutes);
    assertThat(letsThrough(air * 1.5, minutes)).isGreaterThan(here);
    Close.to("twice the time (mL/min)", letsThrough(air, 2 * minutes), here / 2, 1e-9);
  }

  @Test
  void aRuleThatSaysNothingIsRefused() {
    assertThatThrownBy(() -> new MakerRule(new GaugePressure(100), 2, 100))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new MakerRule(new GaugePressure(100), 0, 5))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aHoleTwiceAsWideLeaksFourTimesAsMuch(Random random) {
    double rate = Seeds.between(random, 0.01, 5);
    GaugePressure pressure = new GaugePressure(Seeds.between(random, 30, 200));
    double one = EquivalentHole.diameter(new LeakRate(rate), pressure, 1050);
    double four = EquivalentHole.diameter(new LeakRate(4 * rate), pressure, 1050);
    Close.to("diameter (mm)", four, 2 * one, 1e-12);
  }

  @Test
  void aHoleNeedsFlow() {
    assertThatThrownBy(() -> EquivalentHole.diameter(new LeakRate(0), new GaugePressure(100), 1050))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void lawsAgreeAtTheReferenceAndDifferBelowIt() {
    for (LeakLaw law : LeakLaw.values()) {
      Close.to(law.word(), law.share(110, 110), 1, 1e-12);
      Close.to(law.word() + " below zero", law.share(-5, 110), 0, 0);
    }
    Close.to("seep at a quarter", LeakLaw.SEEP.share(27.5, 110), 0.25, 1e-12);
    Close.to("orifice at a quarter", LeakLaw.ORIFICE.share(27.5, 110), 0.5, 1e-12);
  }

  private static double letsThrough(double air, double minutes) {
    return new MakerRule(new GaugePressure(110), minutes, 6)
        .letsThrough(
            new AirAndHoses(new Volume(air), 0.3, 0.05, AirAndHoses.Source.MEASURED),
            AbsolutePressure.STANDARD_ATMOSPHERE)
        .millilitresPerMinute();
  }
}
