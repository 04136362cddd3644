package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.SlowCreep.Shape;
import gotera.pressure.SlowCreep.Step;
import gotera.pressure.trace.Trace;
import gotera.testkit.Close;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SlowCreepTests {
  private static final SlowCreep FIRST = SlowCreep.of(0, 110);

  /** What creeps in a decade where hoses of 0.3 mL/kPa creep by 5 % (mL). */
  private static final double DECADE = 0.05 * 0.3 * 110;

  private static double rate(SlowCreep creep, double seconds) {
    return DECADE
        * (creep.at(Shape.LOGARITHM, seconds + 1) - creep.at(Shape.LOGARITHM, seconds - 1))
        / (2 / 60.0);
  }

  /** Worked by hand from the logarithm; the time of pumping takes some of it at the beginning. */
  @Nested
  class InTheLogarithmOfTime {
    @Test
    void losesByTheTimeSinceThePumping() {
      Close.to("after 10 min (mL/min)", rate(FIRST, 600), 0.0717, 0.04 * 0.0717);
      double average =
          DECADE * (FIRST.at(Shape.LOGARITHM, 600) - FIRST.at(Shape.LOGARITHM, 60)) / 9;
      Close.to("from 1 to 10 min (mL/min)", average, 0.183, 0.12 * 0.183);
    }

    @Test
    void losesAThirdAfterItWasPressedBefore() {
      SlowCreep again = SlowCreep.of(-1200, 110);
      Close.to("after 10 min (mL/min)", rate(again, 600), 0.0239, 0.02 * 0.0239);
    }
  }

  @ParameterizedTest
  @EnumSource(Shape.class)
  void onlyGrowsAndEverMoreSlowly(Shape shape) {
    double before = 0;
    double grew = Double.MAX_VALUE;
    for (int minute = 1; minute < 120; minute++) {
      double now = FIRST.at(shape, 60 * minute);
      assertThat(now - before).isPositive().isLessThan(grew);
      grew = now - before;
      before = now;
    }
  }

  @ParameterizedTest
  @EnumSource(Shape.class)
  void addsUpOverTheStepsOfThePressure(Shape shape) {
    SlowCreep both = new SlowCreep(List.of(new Step(0, 60), new Step(600, 50)), 110);
    double apart = 60.0 / 110 * FIRST.at(shape, 900) + 50.0 / 110 * FIRST.at(shape, 300);
    Close.to("both steps", both.at(shape, 900), apart, 1e-12);
  }

  @ParameterizedTest
  @EnumSource(Shape.class)
  void recoversOnceItIsLetOff(Shape shape) {
    SlowCreep off = new SlowCreep(List.of(new Step(0, 110), new Step(600, -110)), 1);
    assertThat(off.at(shape, 1200)).isLessThan(off.at(shape, 700)).isPositive();
  }

  @Test
  void findsWhatPressedBeforeOnTheTrace() {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i <= 20; i++) {
      trace.reading(60 * i, 110 - 0.1 * i);
    }
    trace.reading(1230, 112);
    SlowCreep creep = SlowCreep.before(trace.build(), 1230, 112, 0);
    assertThat(creep.steps()).hasSize(1);
    assertThat(creep.steps().get(0).seconds()).isZero();
    assertThat(creep.at(Shape.LOGARITHM, 1830) - creep.at(Shape.LOGARITHM, 1230))
        .isLessThan((FIRST.at(Shape.LOGARITHM, 600) - FIRST.at(Shape.LOGARITHM, 0)) / 3);
  }
}
