package gotera.testkit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TestkitTests {
  @Test
  void closenessNamesWhatIsTooFarApart() {
    Close.to("rate (mL/min)", 0.50, 0.51, 0.02);
    assertThatThrownBy(() -> Close.to("rate (mL/min)", 0.50, 0.55, 0.02))
        .isInstanceOf(AssertionError.class)
        .hasMessageContaining("rate (mL/min)");
  }

  @Test
  void seedsAreTheSameEveryTime() {
    assertThat(Seeds.of(3).map(Random::nextLong).toList())
        .isEqualTo(Seeds.of(3).map(Random::nextLong).toList())
        .doesNotHaveDuplicates();
  }

  @Test
  void aHandClockMovesOnlyWhenTold() {
    HandClock clock = new HandClock(Instant.EPOCH);
    clock.advance(Duration.ofMinutes(5));
    assertThat(clock.instant()).isEqualTo(Instant.ofEpochSecond(300));
  }
}
