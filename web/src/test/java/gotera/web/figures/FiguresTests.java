package gotera.web.figures;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.PressureUnit;
import gotera.testkit.HandClock;
import gotera.testkit.Seeds;
import gotera.web.storage.Identifiers;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class FiguresTests {
  private final Figures kpa = Figures.USUAL;

  @Test
  void pressureIsWrittenInTheUnitChosen() {
    assertThat(kpa.pressure(124.106)).isEqualTo("124.1\u00a0kPa");
    assertThat(kpa.with(PressureUnit.PSI).pressure(124.106)).isEqualTo("18.0\u00a0psi");
    assertThat(kpa.with(PressureUnit.BAR).pressure(124.106)).isEqualTo("1.241\u00a0bar");
    assertThat(kpa.pressureTwice(120)).isEqualTo("120.0\u00a0kPa · 17.4\u00a0psi");
    assertThat(kpa.with(PressureUnit.PSI).pressureTwice(120))
        .isEqualTo("17.4\u00a0psi · 120.0\u00a0kPa");
  }

  @ParameterizedTest
  @CsvSource({
    "0.4137, 0.024, 0.41, 0.05",
    "0.4137, 0.0024, 0.414, 0.005",
    "12.37, 0.9, 12.4, 1.8",
    "123.7, 9, 124, 18",
    "-0.0049, 0.02, 0.00, 0.04",
    "-0.512, 0.02, −0.51, 0.04"
  })
  void aRateHasTheDecimalsItsUncertaintyDeserves(
      double rate, double u, String figure, String halfWidth) {
    assertThat(Figures.rate(rate, u)).isEqualTo(figure);
    assertThat(Figures.halfWidth(u)).isEqualTo(halfWidth);
  }

  static Stream<Random> generators() {
    return Seeds.of(60);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void aBoundNeverShrinksInPrintAndALowerBoundNeverGrows(Random random) {
    double value = Math.pow(10, Seeds.between(random, -3, 2));
    assertThat(Double.parseDouble(Figures.bound(value))).isGreaterThanOrEqualTo(value - 1e-12);
    assertThat(Double.parseDouble(Figures.atLeast(value))).isLessThanOrEqualTo(value + 1e-12);
  }

  @ParameterizedTest
  @CsvSource({"4.26, 4.3 mL", "42.6, 43 mL", "1390, 1.39 L", "8000, 8 L"})
  void volumesTakeTheUnitThatFits(double millilitres, String figure) {
    assertThat(kpa.volume(millilitres).replace('\u00a0', ' ')).isEqualTo(figure);
  }

  @ParameterizedTest
  @CsvSource({"0, 0:00", "65.4, 1:05", "-30, −0:30", "3600, 60:00"})
  void timesAreMinutesAndSeconds(double seconds, String figure) {
    assertThat(Figures.minutesAndSeconds(seconds)).isEqualTo(figure);
  }

  @Test
  void numbersLoseNeedlessZeros() {
    assertThat(Figures.plain(8.0)).isEqualTo("8");
    assertThat(Figures.plain(0.30)).isEqualTo("0.3");
    assertThat(Figures.plain(-2.5)).isEqualTo("−2.5");
    assertThat(Figures.twoDigits(0.03779)).isEqualTo("0.038");
    assertThat(Figures.twoDigits(892)).isEqualTo("890");
  }

  @Test
  void identifiersAreOrderedByTimeAndNeverTheSame() {
    HandClock clock = new HandClock(Instant.parse("2026-01-05T08:00:00Z"));
    Identifiers identifiers = new Identifiers(clock);
    Set<UUID> seen = new HashSet<>();
    UUID before = identifiers.next();
    for (int i = 0; i < 500; i++) {
      // more than one in the same millisecond
      clock.advance(Duration.ofMillis(i % 3 == 0 ? 1 : 0));
      UUID next = identifiers.next();
      assertThat(next.version()).isEqualTo(7);
      assertThat(next.variant()).isEqualTo(2);
      assertThat(next.toString()).isGreaterThan(before.toString());
      assertThat(seen.add(next)).isTrue();
      before = next;
    }
  }

  @Test
  void aChoiceThatIsNoneFallsBackToTheFirst() {
    assertThat(Entry.choice(null, java.util.List.of("a", "b"))).isEqualTo("a");
    assertThat(Entry.choice("c", java.util.List.of("a", "b"))).isEqualTo("a");
    assertThat(Entry.choice("b", java.util.List.of("a", "b"))).isEqualTo("b");
    assertThat(Entry.text(null, 5)).isEmpty();
    assertThat(Entry.text("  abcdefgh ", 5)).isEqualTo("abcde");
  }
}
