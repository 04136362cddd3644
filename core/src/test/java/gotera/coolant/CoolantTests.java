package gotera.coolant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.quantity.Temperature;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class CoolantTests {
  static Stream<Random> generators() {
    return Seeds.of(40);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void warmerWaterHasMoreVapour(Random random) {
    double celsius = Seeds.between(random, 1, 300);
    assertThat(SaturationPressure.of(Temperature.ofCelsius(celsius + 1)).kilopascals())
        .isGreaterThan(SaturationPressure.of(Temperature.ofCelsius(celsius)).kilopascals());
  }

  @Test
  void waterBoilsAtOneHundredDegreesAtSeaLevel() {
    // triple-checked elsewhere: 99.974 °C at 101.325 kPa
    double kilopascals = SaturationPressure.of(Temperature.ofCelsius(99.974)).kilopascals();
    Close.to("saturation pressure (kPa)", kilopascals, 101.325, 0.01);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void strongerAndWarmerCoolantExpandsMore(Random random) {
    double strength = Seeds.between(random, 0, 0.55);
    double celsius = Seeds.between(random, 10, 55);
    double here = beta(strength, celsius);
    assertThat(beta(strength + 0.05, celsius)).isGreaterThan(here);
    assertThat(beta(strength, celsius + 5)).isGreaterThan(here);
    assertThat(here).isBetween(0.8e-4, 6.3e-4);
  }

  @ParameterizedTest
  @ValueSource(doubles = {9.9, 60.1, -10})
  void outsideItsTableTheExpansionIsRefusedNotGuessed(double celsius) {
    assertThat(Expansion.covers(Temperature.ofCelsius(celsius))).isFalse();
    assertThatThrownBy(() -> beta(0.5, celsius)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void theCastingsTakeTheirShareAndAddTheirDoubt() {
    CoolantMixture half = new CoolantMixture(0.5);
    Temperature twenty = Temperature.ofCelsius(20);
    Close.to("β − α (1/K)", Expansion.againstCastings(half, twenty), 4.2e-4, 1e-12);
    Close.to("u (1/K)", Expansion.uncertainty(half, twenty), Math.hypot(0.47e-4, 2e-5), 1e-12);
    assertThat(Expansion.uncertainty(new CoolantMixture(0), twenty)).isLessThan(2.1e-5);
  }

  @Test
  void mixturesLieBetweenWaterAndConcentrate() {
    Close.to("water (kg/m³)", new CoolantMixture(0).density(), 998.2, 1e-9);
    Close.to("half (kg/m³)", new CoolantMixture(0.5).density(), 1055.85, 1e-9);
    Close.to("water only", new CoolantMixture(0).waterMoleFraction(), 1, 1e-12);
    assertThat(new CoolantMixture(0.5).waterMoleFraction()).isBetween(0.74, 0.77);
    assertThatThrownBy(() -> new CoolantMixture(0.61)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void glycolLowersTheVapour() {
    Temperature ninety = Temperature.ofCelsius(90);
    assertThat(new CoolantMixture(0.5).vapourPressure(ninety).kilopascals())
        .isLessThan(new CoolantMixture(0.3).vapourPressure(ninety).kilopascals());
  }

  private static double beta(double strength, double celsius) {
    return Expansion.ofCoolant(new CoolantMixture(strength), Temperature.ofCelsius(celsius));
  }
}
