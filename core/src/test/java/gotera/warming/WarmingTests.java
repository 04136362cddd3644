package gotera.warming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Growth;
import gotera.simulation.EngineRun;
import gotera.simulation.EngineRun.Moment;
import gotera.simulation.EngineRun.Truth;
import gotera.testkit.Close;
import gotera.warming.WarmUp.Forecast;
import gotera.warming.WarmUp.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WarmingTests {
  private static final CoolantMixture HALF = new CoolantMixture(0.5);

  @Nested
  class TheLevel {
    /** Worked by hand from the table of expansion. */
    @Test
    void climbsByWhatTheCoolantGrows() {
      NeckLevel neck = new NeckLevel(8000, HALF, 16);
      Close.to("growth at 60 °C and 5 K/min, mL/min", neck.growth(60, 5), 22, 1e-9);
      Close.to("climb, mm/min", neck.climb(60, 5), 13.75, 1e-9);
      Close.to("20 to 60 °C, 1e-4", 1e4 * Growth.between(HALF, 20, 60).share(), 194.5, 1e-9);
      Close.to("of 8 L, mL", 8000 * Growth.between(HALF, 20, 60).share(), 155.6, 1e-9);
    }

    @Test
    void aGapOfFiftyMillimetresLastsUnderFourMinutes() {
      NeckLevel neck = new NeckLevel(8000, HALF, 16);
      WarmUp line =
          WarmUp.of(List.of(new Reading(0, 55), new Reading(1, 60), new Reading(2, 65)))
              .orElseThrow();
      // at the rate of 60 °C it would be 50/13.75 = 3.64 min; it warms on, and grows faster
      Forecast reached = neck.until(50, line, 1).orElseThrow();
      Close.to("until it is there, min", reached.minutes(), 3.5, 0.15);
      assertThat(reached.u()).isBetween(0.3, 1.5);
      assertThat(neck.until(0, line, 1).orElseThrow().minutes()).isZero();
    }

    @Test
    void neverGetsThereWhereItDoesNotWarm() {
      NeckLevel neck = new NeckLevel(8000, HALF, 16);
      WarmUp still =
          WarmUp.of(List.of(new Reading(0, 80), new Reading(5, 80), new Reading(10, 80)))
              .orElseThrow();
      assertThat(neck.until(50, still, 10)).isEmpty();
    }

    @Test
    void growsAndShrinksByTheSame() {
      double there = Growth.between(HALF, 15, 95).share();
      double back = Growth.between(HALF, 95, 15).share();
      Close.to("there and back", there + back, 0, 1e-15);
      double parts = Growth.between(HALF, 15, 47).share() + Growth.between(HALF, 47, 95).share();
      Close.to("in two parts", parts, there, 1e-12);
    }

    /** Water from 20 to 90 °C by IAPWS-95 densities 998.21 and 965.31 kg/m³ (from memory). */
    @Test
    void agreesWithTheDensityOfHotWater() {
      double grown = Growth.between(new CoolantMixture(0), 20, 90).share() + 70 * 5e-5;
      Close.to("growth of water", grown, Math.log(998.21 / 965.31), 0.001);
    }

    @Test
    void refusesWhatTheTableCannotReach() {
      assertThatThrownBy(() -> Growth.between(HALF, 20, 140)).hasMessageContaining("125");
      assertThatThrownBy(() -> new NeckLevel(8000, HALF, 0)).hasMessageContaining("filler");
    }
  }

  @Nested
  class TheForecast {
    private static List<Reading> readings(double from, double rate, int count) {
      List<Reading> all = new ArrayList<>();
      for (int i = 0; i < count; i++) {
        all.add(new Reading(2 * i, from + rate * 2 * i));
      }
      return all;
    }

    @Test
    void followsALine() {
      WarmUp line = WarmUp.of(readings(20, 4, 4)).orElseThrow();
      assertThat(line.tau()).isEmpty();
      Forecast open = line.until(88).orElseThrow();
      Close.to("until 88 °C, min", open.minutes(), (88 - 44) / 4.0, 1e-9);
      assertThat(open.u()).isBetween(0.1, 2.0);
      assertThat(line.until(30).orElseThrow().minutes()).as("it is there already").isZero();
    }

    @Test
    void followsACurveThatFlattensAndSaysWhereItEnds() {
      List<Reading> all = new ArrayList<>();
      for (int i = 0; i < 12; i++) {
        all.add(new Reading(3 + 2 * i, 70 - 50 * Math.exp(-(2 * i) / 9.0)));
      }
      WarmUp curve = WarmUp.of(all).orElseThrow();
      assertThat(curve.tau()).isPresent();
      Close.to("T∞, °C", curve.intercept(), 70, 1);
      assertThat(curve.until(88)).as("it never gets there").isEmpty();
      assertThat(curve.rate(25)).isLessThan(curve.rate(5));
      assertThat(WarmUp.of(all.subList(0, 6)).orElseThrow().until(60)).isPresent();
    }

    @Test
    void isVagueFromOneReadingAndSurerFromMore() {
      assertThat(WarmUp.of(List.of())).isEmpty();
      double before = Double.POSITIVE_INFINITY;
      for (int n : new int[] {1, 2, 4, 8}) {
        double u = WarmUp.of(readings(20, 4, n)).orElseThrow().until(88).orElseThrow().u();
        assertThat(u).isLessThan(before);
        before = u;
      }
    }

    @Test
    void doesNotForeseeWhatCools() {
      assertThat(WarmUp.of(readings(60, -1, 3)).orElseThrow().until(88)).isEmpty();
    }
  }

  /** Engines that warm by a simulation written apart, read every two minutes within a kelvin. */
  @Nested
  class OfSimulatedEngines {
    private final Random random = new Random(17);

    /** The readings until it is so warm, and the minute at which it truly became warmer still. */
    private static List<Reading> read(Random random, List<Moment> trace, double until) {
      List<Reading> readings = new ArrayList<>();
      for (Moment m : trace) {
        if (m.block() > until) {
          break;
        }
        if (m.minute() >= 2 * readings.size()) {
          readings.add(new Reading(m.minute(), m.block() + 0.7 * random.nextGaussian()));
        }
      }
      return readings;
    }

    private static double minute(List<Moment> trace, ToDoubleFunction<Moment> of, double reaches) {
      return trace.stream()
          .filter(m -> of.applyAsDouble(m) >= reaches)
          .findFirst()
          .orElseThrow()
          .minute();
    }

    @Test
    void theForecastsHoldWithinTheirBounds() {
      int opened = 0;
      int late = 0;
      for (int i = 0; i < 300; i++) {
        EngineRun run = new EngineRun(random, Truth.QUIET).until(10);
        List<Reading> readings = read(random, run.trace(), 55);
        double last = readings.get(readings.size() - 1).minute();
        WarmUp warming = WarmUp.of(readings).orElseThrow();
        Forecast hot = warming.until(78).orElseThrow();
        double truth = minute(run.trace(), Moment::block, 78) - last;
        opened += Math.abs(hot.minutes() - truth) <= 1.96 * hot.u() ? 1 : 0;

        double from =
            run.trace().stream().filter(m -> m.minute() >= last).findFirst().orElseThrow().level();
        Forecast there = run.funnel().until(6, warming, last).orElseThrow();
        double climbed = minute(run.trace(), Moment::level, from + 6) - last;
        // the radiator stays cold until the thermostat opens: early, never late
        late += there.minutes() - climbed > 1.96 * there.u() ? 1 : 0;
      }
      assertThat(opened).as("forecasts of 78 °C, of 300").isGreaterThanOrEqualTo(275);
      assertThat(late).as("the level was there before it was foreseen, of 300").isLessThan(8);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "40,38,15,STUCK_OPEN",
    "40,38,14,NOT_YET",
    "59,52,20,NOT_YET",
    "84,78,25,OPEN",
    "75,65,5,OPEN",
    "88,50,12,SHUT",
    "75,45,5,NOT_YET",
    "74,40,20,NOT_YET",
    "60,58,20,NOT_YET"
  })
  void twoHosesTellOfTheThermostat(double upper, double lower, double idling, Thermostat says) {
    assertThat(Thermostat.of(upper, lower, idling)).isEqualTo(says);
  }
}
