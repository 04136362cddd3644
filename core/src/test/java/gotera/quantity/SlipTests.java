package gotera.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Slips of the finger that are asked back, and what is not one. */
class SlipTests {
  @Test
  void aPointThatSlippedIsSeenEitherWay() {
    assertThat(Slip.ofPoint(10.8, 108)).isTrue();
    assertThat(Slip.ofPoint(1081, 108)).isTrue();
    assertThat(Slip.ofPoint(-8, -80)).isTrue();
    assertThat(Slip.ofPoint(80, 108)).as("a gross leak").isFalse();
    assertThat(Slip.ofPoint(20, 108)).as("let off").isFalse();
    assertThat(Slip.ofPoint(0, 108)).isFalse();
    assertThat(Slip.ofPoint(108, 0)).isFalse();
  }

  @Test
  void aNumberThatFitsInAnotherUnitOnlyIsAsked() {
    GaugePressure stamp = GaugePressure.of(16, PressureUnit.PSI);
    assertThat(Slip.ofUnit(16.5, PressureUnit.KPA, stamp)).contains(PressureUnit.PSI);
    assertThat(Slip.ofUnit(1.1, PressureUnit.KPA, stamp)).contains(PressureUnit.BAR);
    assertThat(Slip.ofUnit(112, PressureUnit.KPA, stamp)).isEmpty();
    assertThat(Slip.ofUnit(112, PressureUnit.PSI, stamp)).contains(PressureUnit.KPA);
    assertThat(Slip.ofUnit(50, PressureUnit.KPA, stamp)).as("a worn cap").isEmpty();
  }
}
