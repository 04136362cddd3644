package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Gauge;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TestPlanTests {
  private static TestPlan plan(double air, double step, double driftU) {
    return new TestPlan(
        new Gauge(step, step / 2, OptionalDouble.empty(), 0.05, true),
        0.25,
        new AirAndHoses(new Volume(air), 0.3, 0.06, AirAndHoses.Source.MEASURED),
        new AbsolutePressure(209),
        110,
        3.5,
        -0.01,
        driftU,
        Optional.empty());
  }

  @Test
  void longerAlwaysShowsLess() {
    TestPlan plan = plan(150, 0.5, 0.005);
    double before = Double.POSITIVE_INFINITY;
    for (int minutes = 1; minutes <= 60; minutes++) {
      double now = plan.after(minutes).detection();
      assertThat(now).as("%d min", minutes).isLessThan(before);
      before = now;
    }
  }

  @Test
  void lessAirAndAFinerGaugeMakeItShorter() {
    double full = plan(40, 0.5, 0.002).shortest(0.3).orElseThrow();
    double airy = plan(400, 0.5, 0.002).shortest(0.3).orElseThrow();
    double coarse = plan(40, 3.4, 0.002).shortest(0.3).orElseThrow();
    assertThat(full).isLessThan(airy);
    assertThat(full).isLessThan(coarse);
  }

  @Test
  void whereTemperatureForbidsNoHoldIsLongEnough() {
    TestPlan unknown = plan(150, 0.1, 0.1);
    assertThat(unknown.temperatureForbids(0.1)).isTrue();
    assertThat(unknown.shortest(0.1)).isEmpty();
    assertThat(plan(150, 0.1, 0.002).temperatureForbids(0.1)).isFalse();
  }

  @Test
  void coolingTakesPressureUntilTheHoldProvesNothing() {
    TestPlan plan = plan(60, 0.1, 0.005);
    assertThat(plan.pressureLeft(5)).isGreaterThan(plan.pressureLeft(30));
    assertThat(plan.enough(120, 0.3)).isEqualTo(plan.pressureLeft(120) >= 0.95);
  }

  /** What was planned is what a tight hold then shows, within the luck of one hold. */
  @Test
  void theBoundComesOutAsPlanned() {
    double planned = 0;
    double shown = 0;
    for (var random : gotera.testkit.Seeds.of(40).toList()) {
      PressureTestResult.Rate rate = Holds.analyse(0, 15, 15, random).rate().orElseThrow();
      TestPlan plan =
          new TestPlan(
              new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true),
              0.25,
              rate.airAndHoses(),
              new AbsolutePressure(Holds.RATED + 101.325 - 1.6),
              Holds.RATED,
              rate.thermalSensitivity(),
              rate.drift(),
              rate.driftU(),
              Optional.empty());
      planned += plan.after(14.5).detection() / 40;
      shown += rate.limits().detection() / 40;
    }
    Close.to("mean detection limit (mL/min)", planned, shown, 0.25 * shown);
  }

  @Test
  void halvingFindsWhatTryingEveryTimeFinds() {
    for (var random : gotera.testkit.Seeds.of(60).toList()) {
      TestPlan plan =
          plan(
              gotera.testkit.Seeds.between(random, 20, 500),
              gotera.testkit.Seeds.between(random, 0.02, 3),
              gotera.testkit.Seeds.between(random, 0.0005, 0.02));
      double acceptance = List.of(0.1, 0.3, 1.0).get(random.nextInt(3));
      OptionalDouble tried = OptionalDouble.empty();
      for (int i = 2; i * 0.25 <= TestPlan.LONGEST && tried.isEmpty(); i++) {
        if (plan.after(i * 0.25).detection() <= acceptance) {
          tried = OptionalDouble.of(i * 0.25);
        }
      }
      assertThat(plan.shortest(acceptance)).isEqualTo(tried);
    }
  }

  @Test
  void aVehicleThatStoodLongerDriftsLess() {
    TestPlan plan = plan(150, 0.1, 0.1);
    double search = plan.stand(1).orElseThrow();
    double repair = plan.stand(0.3).orElseThrow();
    assertThat(search).isLessThan(repair);
    assertThat(plan.stand(0.05)).as("not even overnight without a probe").isEmpty();
  }

  @Test
  void aPlanWithoutReadingsIsRefused() {
    assertThatThrownBy(
            () ->
                new TestPlan(
                    new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.05, true),
                    0,
                    new AirAndHoses(new Volume(100), 0.3, 0.06, AirAndHoses.Source.MEASURED),
                    new AbsolutePressure(209),
                    110,
                    3.5,
                    0,
                    0.01,
                    Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Pressed before, hoses creep less: no short hold is worse for it, and none falls further. */
  @Test
  void pressingBeforeHarmsNoShortHold() {
    TestPlan plan = plan(150, 0.1, 0.005);
    for (double minutes = 3; minutes < 16; minutes += 4) {
      double first = plan.after(minutes).detection();
      double again = plan.pressed(20).after(minutes).detection();
      assertThat(again).isLessThanOrEqualTo(first * 1.001);
      assertThat(plan.pressed(20).pressureLeft(minutes))
          .isGreaterThanOrEqualTo(plan.pressureLeft(minutes));
    }
  }

  @Test
  void pressingFirstIsOnlySaidWhereItIsShorterOrThePressureWouldFall() {
    for (double limit : new double[] {0.05, 0.1, 0.3, 1}) {
      TestPlan plan = plan(150, 0.1, 0.002);
      PressedFirst.of(plan, limit)
          .ifPresent(
              a -> {
                OptionalDouble once = plan.shortest(limit);
                boolean falls =
                    once.isEmpty()
                        || plan.pressureLeft(once.getAsDouble()) < TestPlan.PRESSURE_LEFT;
                assertThat(falls || a.all() < once.getAsDouble()).isTrue();
                assertThat(plan.pressed(a.pressed()).enough(a.held(), limit)).isTrue();
              });
    }
  }
}
