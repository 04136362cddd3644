package gotera.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gotera.timing.Wait.State;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TimingTests {
  @Nested
  class Cooling {
    @Test
    void twoReadingsGiveTheTimeConstant() {
      CoolDown cooling = CoolDown.of(20, 90, 70, 30).orElseThrow();
      // ln(70/50)
      assertThat(cooling.minutes()).isCloseTo(30 / Math.log(1.4), within(1e-9));
      assertThat(cooling.after(0)).isCloseTo(70, within(1e-9));
      assertThat(cooling.after(-30)).isCloseTo(90, within(1e-9));
    }

    @Test
    void theTimeUntilItIsSafeIsWhenItIsSoCold() {
      CoolDown cooling = CoolDown.of(20, 90, 70, 30).orElseThrow();
      Duration wait = cooling.until(CoolDown.SAFE_TO_OPEN).orElseThrow();
      assertThat(cooling.after(wait.toSeconds() / 60.0)).isCloseTo(45, within(0.02));
      assertThat(cooling.until(80)).contains(Duration.ZERO);
      assertThat(cooling.until(19)).as("colder than the room").isEmpty();
    }

    @Test
    void theDriftDies() {
      CoolDown cooling = CoolDown.usual(18, 60);
      assertThat(cooling.drift(0)).isNegative();
      assertThat(cooling.drift(120)).isGreaterThan(cooling.drift(0));
    }

    @Test
    void whatDoesNotCoolGivesNothing() {
      assertThat(CoolDown.of(20, 70, 70, 10)).isEmpty();
      assertThat(CoolDown.of(20, 60, 70, 10)).isEmpty();
      assertThat(CoolDown.of(20, 70, 60, 0)).isEmpty();
      assertThat(CoolDown.of(65, 70, 60, 10)).isEmpty();
    }
  }

  @Nested
  class Waiting {
    private final Instant begun = Instant.parse("2026-11-25T08:00:00Z");
    private final Wait wait = new Wait(begun, begun.plusSeconds(600), Optional.empty());

    @Test
    void runsThenRings() {
      assertThat(wait.at(begun)).isEqualTo(State.RUNNING);
      assertThat(wait.left(begun.plusSeconds(60))).isEqualTo(Duration.ofSeconds(540));
      assertThat(wait.at(begun.plusSeconds(600))).isEqualTo(State.RINGING);
      assertThat(wait.left(begun.plusSeconds(700))).isEqualTo(Duration.ZERO);
      assertThat(wait.passed(begun.plusSeconds(300))).isCloseTo(0.5, within(1e-9));
      assertThat(wait.passed(begun.plusSeconds(9000))).isEqualTo(1);
    }

    @Test
    void isQuietOnceEnded() {
      Wait ended = new Wait(begun, wait.due(), Optional.of(begun.plusSeconds(120)));
      assertThat(ended.at(begun.plusSeconds(119))).isEqualTo(State.RUNNING);
      assertThat(ended.at(begun.plusSeconds(120))).isEqualTo(State.ENDED);
      assertThat(ended.at(begun.plusSeconds(6000))).isEqualTo(State.ENDED);
    }

    @Test
    void cannotBeDueBeforeItBegins() {
      assertThatThrownBy(() -> new Wait(begun, begun.minusSeconds(1), Optional.empty()))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }
}
