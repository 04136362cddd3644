package gotera.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Problem;
import gotera.quantity.Understanding.Understood;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class TypedTests {
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      textBlock =
          """
          18psi  ; KPA ; 124.106
          18 PSI ; KPA ; 124.106
          18\u00a0psi; KPA ; 124.106
          18     ; PSI ; 124.106
          1.2 bar; PSI ; 120
          1,2 bar; PSI ; 120
          124    ; KPA ; 124
          124 kPa; BAR ; 124
          .5 bar ; KPA ; 50
          −5     ; KPA ; -5
          """)
  void readsPressureTheWayPeopleTypeIt(String text, PressureUnit assumed, double kilopascals) {
    Close.to(
        text + " (kPa)", value(Typed.pressure(text, assumed)).kilopascals(), kilopascals, 5e-3);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      textBlock =
          """
          1:30   ; 90
          90s    ; 90
          90 sec ; 90
          2 min  ; 120
          1.5    ; 90
          1:00:05; 3605
          2h     ; 7200
          """)
  void readsTimeTheWayPeopleTypeIt(String text, long seconds) {
    assertThat(value(Typed.duration(text))).hasSeconds(seconds);
  }

  @ParameterizedTest
  @CsvSource({"1.4, 1000, 1400", "1.4 l, 1, 1400", "15, 1, 15", "15ml, 1000, 15"})
  void readsVolume(String text, double assumed, double millilitres) {
    Close.to(text, value(Typed.volume(text, assumed)).millilitres(), millilitres, 1e-9);
  }

  @ParameterizedTest
  @EnumSource(VolumeUnit.class)
  void readsEveryUnitByItsSymbolAndItsName(VolumeUnit unit) {
    for (String word : List.of(unit.symbol(), unit.words())) {
      Close.to(
          word, value(Typed.volume("3 " + word, 1)).millilitres(), 3 * unit.millilitres(), 1e-4);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      textBlock =
          """
          2 litres   ; 2000
          2 liters   ; 2000
          1 gal      ; 3785.41
          2 qt       ; 1892.71
          3 pints    ; 1419.53
          12 fl oz   ; 354.88
          1,234.5 mL ; 1234.5
          1.234,5 mL ; 1234.5
          0,125 L    ; 125
          """)
  void readsVolumeInAnyUsualUnit(String text, double millilitres) {
    Close.to(text, value(Typed.volume(text, 1)).millilitres(), millilitres, 0.01);
  }

  @ParameterizedTest
  @CsvSource({
    "2 in, mm, 50.8",
    "3 cm, mm, 30",
    "90 s, min, 1.5",
    "2 hours, min, 120",
    "5000 ft, m, 1524",
    "12 months, weeks, 52.18",
    "30 minutes, h, 0.5",
    "0.1 °F, K, 0.0556"
  })
  void readsNumbersInOtherUnitsOfTheSameQuantity(String text, String unit, double value) {
    Close.to(text, value(Typed.number(text, unit)), value, 5e-3);
  }

  @ParameterizedTest
  @CsvSource({"15 psig, 103.42", "20 inHg, 67.73", "-20 in Hg, -67.73"})
  void readsPressureInOtherUnits(String text, double kilopascals) {
    Close.to(text, value(Typed.pressure(text, PressureUnit.KPA)).kilopascals(), kilopascals, 5e-3);
  }

  @Test
  void whatHasTwoMeaningsIsAskedBack() {
    Understanding.Ambiguous<Volume> both =
        (Understanding.Ambiguous<Volume>) Typed.volume("1,200 mL", 1);
    assertThat(both.meanings()).extracting(Volume::millilitres).containsExactly(1200.0, 1.2);
    assertThat(Typed.duration("600")).isInstanceOf(Understanding.Ambiguous.class);
    assertThat(value(Typed.duration("600 s"))).hasMinutes(10);
    assertThat(value(Typed.duration("59"))).hasMinutes(59);
    assertThat(Typed.number("12,500", "km")).isInstanceOf(Understanding.Ambiguous.class);
  }

  @Test
  void temperaturesAreInTheUnitOfThePerson() {
    Close.to("°C", value(Typed.temperature("68", TemperatureUnit.FAHRENHEIT)).celsius(), 20, 1e-9);
    Close.to(
        "°C", value(Typed.temperature("20 C", TemperatureUnit.FAHRENHEIT)).celsius(), 20, 1e-9);
  }

  @ParameterizedTest
  @CsvSource({"20, 20", "20 °C, 20", "68F, 20", "-5, -5"})
  void readsTemperature(String text, double celsius) {
    Close.to(text, value(Typed.temperature(text)).celsius(), celsius, 1e-9);
  }

  @Nested
  class WhatHasNoMeaning {
    @ParameterizedTest
    @CsvSource({
      "'', EMPTY",
      "'  ', EMPTY",
      "abc, NO_NUMBER",
      "12 34, NO_NUMBER",
      "4..5, NO_NUMBER",
      "1.2.3, NO_NUMBER",
      "18 furlongs, UNKNOWN_UNIT"
    })
    void isAnAnswerNotAnException(String text, Problem problem) {
      assertThat(((NotUnderstood<?>) Typed.pressure(text, PressureUnit.KPA)).problem())
          .isEqualTo(problem);
    }

    @Test
    void includesNegativeVolumesAndTimes() {
      assertThat(Typed.volume("-3", 1)).isEqualTo(new NotUnderstood<>(Problem.IMPLAUSIBLE));
      assertThat(Typed.duration("-3 min")).isEqualTo(new NotUnderstood<>(Problem.IMPLAUSIBLE));
    }

    @Test
    void includesTemperaturesNoCoolantHas() {
      assertThat(Typed.temperature("400")).isEqualTo(new NotUnderstood<>(Problem.IMPLAUSIBLE));
      assertThat(Typed.temperature("warm")).isEqualTo(new NotUnderstood<>(Problem.NO_NUMBER));
    }
  }

  static Stream<Random> generators() {
    return Seeds.of(50);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void anyPressureSurvivesTheRoundThroughAnyUnit(Random random) {
    double kilopascals = Seeds.between(random, -100, 400);
    for (PressureUnit unit : PressureUnit.values()) {
      double back = GaugePressure.of(new GaugePressure(kilopascals).in(unit), unit).kilopascals();
      Close.to("through " + unit + " (kPa)", back, kilopascals, 1e-10);
    }
  }

  private static <T> T value(Understanding<T> understanding) {
    assertThat(understanding).isInstanceOf(Understood.class);
    return ((Understood<T>) understanding).value();
  }
}
