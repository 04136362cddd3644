package gotera.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gotera.testkit.Close;
import gotera.uncertainty.DecisionLimits;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class LevelWatchTests {
  @Test
  void aMonthAtOneMillimetreIsBetterThanAnyHold() {
    LevelWatch month = new LevelWatch(60, 0, 1, 0, 0, 25 * 60, 0, 2, 3.3);
    assertThat(month.upper()).isBetween(0.008, 0.012);
  }

  @Test
  void colderCoolantStandsLowerWithoutALoss() {
    LevelWatch cold = new LevelWatch(60, 5, 1, 0, 0, 600, -9.09, 0.5, 3.3);
    Close.to("missing (mL)", cold.missing(), 0, 0.01);
  }

  @Test
  void whatWasToppedUpIsLostToo() {
    LevelWatch watch = new LevelWatch(60, 2, 1, 100, 5, 560, 0, 0, 3.3);
    // by hand: 12 mL by the mark and 100 mL put in, in 560 minutes
    Close.to("rate (mL/min)", watch.rate(), 0.2, 1e-12);
  }

  @Test
  void needsTimeUnderPressure() {
    assertThatThrownBy(() -> new LevelWatch(60, 2, 1, 0, 0, -1, 0, 0, 3.3))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void noMoreHotHoursThanPassed() {
    Instant before = Instant.parse("2026-03-01T12:00:00Z");
    // counted off by a day at most
    assertThat(LevelWatch.mostHotHours(before, before.plus(Duration.ofDays(3)))).isEqualTo(96);
  }

  /** Parked over night: no hour hot, and still it says how much is missing. */
  @Test
  void aWatchThatOnlyStoodHasABoundOverItsDays() {
    LevelWatch night = new LevelWatch(60, 0, 1, 0, 0, 0, 0, 0.5, 3.3);
    assertThat(night.wasHot()).isFalse();
    assertThat(night.falls()).isFalse();
    assertThat(night.upper()).isInfinite();
    assertThat(night.standing(0.5)).isCloseTo(DecisionLimits.K * 6.22 / 720, within(1e-3));
    assertThatThrownBy(night::rate).isInstanceOf(IllegalStateException.class);
    assertThat(new LevelWatch(60, 3, 1, 0, 0, 0, 0, 0.5, 3.3).falls()).isTrue();
  }
}
