package gotera.cylinder;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.testkit.Close;
import org.junit.jupiter.api.Test;

class BoreTests {
  /** Worked by hand: π/4 · 92² · 2 mm. */
  @Test
  void depthOverThePistonIsAVolume() {
    Close.to("92 mm, 2 mm deep, mL", new Bore(92).volume(2), 13.3, 0.05);
    Close.to("its u, mL", new Bore(92).volumeU(), 3.3, 0.1);
  }

  @Test
  void refusesABoreThatIsNone() {
    assertThatThrownBy(() -> new Bore(0)).hasMessageContaining("bore");
  }
}
