package gotera.safe;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.safe.Happened.GaugeRead;
import gotera.safe.Happened.Measured;
import gotera.safe.Happened.Qualified;
import gotera.safe.Happened.Ran;
import gotera.safe.Happened.Squeezed;
import gotera.safe.Happened.Vented;
import gotera.safe.Opening.Verdict;
import gotera.testkit.Seeds;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class OpeningTests {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

  private static Instant before(int minutes) {
    return NOON.minus(Duration.ofMinutes(minutes));
  }

  private static Happened soft(int minutes) {
    return new Squeezed(before(minutes), true);
  }

  private static Happened read(int minutes, double celsius) {
    return new Measured(before(minutes), celsius, OptionalDouble.empty());
  }

  private static Verdict verdict(Happened... happened) {
    return Opening.of(List.of(happened), false, NOON).verdict();
  }

  @Test
  void onlySoftAndColdByAReadingMayBeOpened() {
    assertThat(verdict(soft(2), read(1, 30))).isEqualTo(Verdict.MAY_OPEN);
    assertThat(verdict(soft(2))).isEqualTo(Verdict.NO_TEMPERATURE);
    assertThat(verdict(read(1, 30))).isEqualTo(Verdict.NOT_SQUEEZED);
    assertThat(verdict()).isEqualTo(Verdict.UNKNOWN);
    assertThat(verdict(new Squeezed(before(1), false), read(1, 30))).isEqualTo(Verdict.HARD);
    assertThat(verdict(soft(1), read(1, 46))).isEqualTo(Verdict.HOT);
  }

  @Test
  void whatShouldBeColdByNowIsMeasuredFirst() {
    assertThat(verdict(read(400, 80), soft(1))).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(verdict(read(400, 80), soft(1), read(0, 24))).isEqualTo(Verdict.MAY_OPEN);
  }

  @Test
  void pressureOnTheGaugeForbidsIt() {
    Happened pumped = new GaugeRead(before(3), 108);
    assertThat(verdict(soft(9), read(9, 20), pumped)).isEqualTo(Verdict.PRESSURE);
    // squeezing does not let anything off
    assertThat(verdict(read(9, 20), pumped, soft(1))).isEqualTo(Verdict.PRESSURE);
    assertThat(verdict(soft(9), read(9, 20), pumped, new Vented(before(1))))
        .as("the squeeze was before the pumping")
        .isEqualTo(Verdict.NOT_SQUEEZED);
    assertThat(verdict(read(9, 20), pumped, new Vented(before(2)), soft(1)))
        .isEqualTo(Verdict.MAY_OPEN);
    assertThat(verdict(read(9, 20), pumped, new GaugeRead(before(2), 0), soft(1)))
        .isEqualTo(Verdict.MAY_OPEN);
  }

  @Test
  void anEngineThatRanBeginsAnew() {
    assertThat(verdict(soft(9), read(9, 20), new Ran(before(5)))).isEqualTo(Verdict.RAN);
    assertThat(verdict(soft(9), read(9, 20), new Ran(before(5)), soft(1)))
        .isEqualTo(Verdict.NO_TEMPERATURE);
    assertThat(verdict(new Ran(before(5)), read(2, 88), soft(1))).isEqualTo(Verdict.HOT);
  }

  @Test
  void itExpires() {
    assertThat(verdict(soft(31), read(5, 20))).isEqualTo(Verdict.EXPIRED);
    assertThat(verdict(soft(5), read(61, 20))).isEqualTo(Verdict.EXPIRED);
    Opening open = Opening.of(List.of(soft(10), read(50, 20)), false, NOON);
    assertThat(open.until()).contains(NOON.plus(Duration.ofMinutes(10)));
  }

  @Test
  void highVoltageNeedsAQualifiedPersonsWordOfToday() {
    List<Happened> cold = List.of(soft(1), read(1, 20));
    assertThat(Opening.of(cold, true, NOON).verdict()).isEqualTo(Verdict.HIGH_VOLTAGE);
    List<Happened> said = List.of(soft(1), read(1, 20), new Qualified(before(60)));
    assertThat(Opening.of(said, true, NOON).verdict()).isEqualTo(Verdict.MAY_OPEN);
    List<Happened> yesterday = List.of(soft(1), read(1, 20), new Qualified(before(24 * 60)));
    assertThat(Opening.of(yesterday, true, NOON).verdict()).isEqualTo(Verdict.HIGH_VOLTAGE);
  }

  @Test
  void nothingCoolsInSeconds() {
    assertThat(Opening.tooFast(82, 30, Duration.ofSeconds(12))).isTrue();
    assertThat(Opening.tooFast(82, 74, Duration.ofSeconds(12))).isFalse();
    assertThat(Opening.tooFast(82, 30, Duration.ofMinutes(90))).isFalse();
  }

  static Stream<Random> seeds() {
    return Seeds.of(2000);
  }

  /**
   * Whatever happened in whatever order: never open hot, unread, hard, pressed or after running.
   */
  @ParameterizedTest
  @MethodSource("seeds")
  void itIsNeverOpenedWithoutBothInForce(Random random) {
    List<Happened> happened = new ArrayList<>();
    for (int i = 0; i < random.nextInt(9); i++) {
      Instant at = before(random.nextInt(120));
      happened.add(
          switch (random.nextInt(6)) {
            case 0 -> new Squeezed(at, random.nextBoolean());
            case 1 -> new Measured(at, 10 + random.nextInt(90), OptionalDouble.empty());
            case 2 -> new GaugeRead(at, random.nextInt(3) * 50.0);
            case 3 -> new Vented(at);
            case 4 -> new Ran(at);
            default -> new Qualified(at);
          });
    }
    Opening opening = Opening.of(happened, random.nextBoolean(), NOON);
    if (opening.mayOpen()) {
      Squeezed squeeze = opening.squeezed().orElseThrow();
      Measured measured = opening.measured().orElseThrow();
      assertThat(squeeze.soft()).isTrue();
      assertThat(measured.celsius()).isLessThanOrEqualTo(45);
      for (Happened h : happened) {
        if (h instanceof Ran) {
          assertThat(h.at()).isBefore(squeeze.at()).isBefore(measured.at());
        }
        if (h instanceof GaugeRead g && g.kilopascals() > 3) {
          assertThat(h.at()).isBefore(squeeze.at());
        }
      }
    }
  }
}
