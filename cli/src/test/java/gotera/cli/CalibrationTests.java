package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Places that are given a probability leak as often as it says. */
class CalibrationTests {
  private static final int JOBS = 150;

  @Test
  void inTheModelsOwnWorldTheyLeakAsOftenAsTheyAreGiven() {
    assertThat(Calibration.table(JOBS, 11, false))
        .hasSizeGreaterThan(4)
        .allSatisfy(
            c -> {
              double scatter = Math.sqrt(c.given() * (1 - c.given()) / c.places());
              assertThat(c.leaking())
                  .as("given %s of %s", c.given(), c.places())
                  .isBetween(c.given() - 4 * scatter - 0.01, c.given() + 4 * scatter + 0.01);
            });
  }

  @Test
  void whereEyesSeeLessTheLikelierOnesStillLeakMoreOften() {
    double before = 0;
    for (Calibration.Bin c : Calibration.table(JOBS, 12, true)) {
      if (c.places() > 40) {
        assertThat(c.leaking()).as("given %s", c.given()).isGreaterThanOrEqualTo(before);
        before = c.leaking();
      }
    }
    assertThat(before).isPositive();
  }
}
