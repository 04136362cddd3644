package gotera.pressure.compliance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.pressure.trace.Gauge;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class PlugCheckTests {
  private static final Gauge FINE = new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true);
  private static final Gauge COARSE = new Gauge(3.4, 1.0, OptionalDouble.empty(), 0.1, true);

  private static PlugCheck check(double before, double after, double minutes, Gauge gauge) {
    return new PlugCheck(
        new Volume(80), new GaugePressure(before), new GaugePressure(after), minutes, gauge);
  }

  @Test
  void aFallOfPressureIsAirThatLeft() {
    // by hand: 80 mL/210.325 kPa · 2 kPa in 10 min
    Close.to("rate (mL/min)", check(110, 108, 10, FINE).rate(), 80 / 210.325 * 2 / 10, 1e-12);
  }

  @Test
  void aTightTesterIsOnlyAsTightAsItsGaugeTells() {
    PlugCheck tight = check(110, 110, 10, FINE);
    Close.to("rate (mL/min)", tight.rate(), 0, 0);
    assertThat(tight.u()).isPositive().isLessThan(0.01);
    assertThat(check(110, 110, 10, COARSE).u()).isGreaterThan(10 * tight.u());
  }

  @Test
  void aLongerCheckTellsMore() {
    for (var random : Seeds.of(20).toList()) {
      double minutes = Seeds.between(random, 1, 20);
      assertThat(check(110, 110, 2 * minutes, FINE).u())
          .isLessThan(check(110, 110, minutes, FINE).u());
    }
  }

  @Test
  void needsAirTimeAndPressure() {
    assertThatThrownBy(() -> check(110, 109, 0, FINE)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> check(0, 0, 10, FINE)).isInstanceOf(IllegalArgumentException.class);
  }
}
