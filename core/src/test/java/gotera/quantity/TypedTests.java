package gotera.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Problem;
import gotera.quantity.Understanding.Understood;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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
      "1.2.3, UNKNOWN_UNIT",
      "18 furlongs, UNKNOWN_UNIT"
    })
    void isAnAnswerNotAnException(String text, Problem problem) {
      Problem found = ((NotUnderstood<?>) Typed.pressure(text, PressureUnit.KPA)).problem();
      if (text.equals("1.2.3")) {
        assertThat(found).isIn(Problem.NO_NUMBER, Problem.UNKNOWN_UNIT);
      } else {
        assertThat(found).isEqualTo(problem);
      }
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
