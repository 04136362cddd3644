package gotera.cap;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cap.CapTest.Problem;
import gotera.quantity.GaugePressure;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CapTestTests {
  private static final GaugePressure STAMP = new GaugePressure(120);

  @Test
  void aCapThatDoesAsItIsStampedIsRight() {
    CapTest test = CapTest.of(STAMP, at(122), at(112), at(4));
    assertThat(test.doubtful()).isFalse();
    assertThat(test.complete()).isTrue();
  }

  @Test
  void eachFaultIsNamed() {
    assertThat(CapTest.of(STAMP, at(90), at(60), at(25)).problems())
        .containsExactly(Problem.OPENS_EARLY, Problem.DOES_NOT_HOLD, Problem.VACUUM_VALVE_STUCK);
    assertThat(CapTest.of(STAMP, at(150), at(118), at(4)).problems())
        .containsExactly(Problem.OPENS_LATE);
  }

  @Test
  void whatWasNotTestedIsNotJudged() {
    CapTest test = CapTest.of(STAMP, at(120), Optional.empty(), Optional.empty());
    assertThat(test.doubtful()).isFalse();
    assertThat(test.complete()).isFalse();
  }

  private static Optional<GaugePressure> at(double kilopascals) {
    return Optional.of(new GaugePressure(kilopascals));
  }
}
