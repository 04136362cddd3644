package gotera.pressure.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.testkit.Close;
import gotera.testkit.Seeds;
import gotera.word.Worded;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TraceTests {
  private static final Thermometer PROBE = new Thermometer(0.1, 0.05);

  @Test
  void timesStrictlyIncrease() {
    Trace.Builder trace = Trace.builder().reading(5, 110);
    assertThatThrownBy(() -> trace.reading(5, 109)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> trace.reading(6, Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aPartKeepsItsReadingsAndAllEvents() {
    Trace.Builder builder = Trace.builder();
    for (int i = 0; i < 200; i++) {
      builder.reading(i, 110 - 0.01 * i);
    }
    builder.event(TraceEvent.at(150, TraceEvent.Kind.DROP_SEEN));
    builder.event(TraceEvent.at(10, TraceEvent.Kind.VALVE_SHUT));
    Trace trace = builder.build();
    Trace part = trace.between(10, 20);
    assertThat(part.size()).isEqualTo(11);
    Close.to("first (s)", part.seconds(0), 10, 0);
    assertThat(part.events()).hasSize(2);
    assertThat(trace.events().get(0).kind()).isEqualTo(TraceEvent.Kind.VALVE_SHUT);
    assertThat(trace.highest()).hasValue(110.0);
    assertThat(Trace.builder().build().highest()).isEmpty();
  }

  @Test
  void theWordsOfEventsAreUnderstood() {
    for (TraceEvent.Kind kind : TraceEvent.Kind.values()) {
      assertThat(Worded.of(TraceEvent.Kind.class, kind.word())).contains(kind);
    }
    assertThat(Worded.of(TraceEvent.Kind.class, "shouted")).isEmpty();
  }

  @Test
  void stepsOfAGaugeStayWithFewReadingsOrLittleNoise() {
    Gauge shaken = new Gauge(0.1, 0.05, OptionalDouble.empty(), 0.1, true);
    assertThat(shaken.stepsStay(29)).isTrue();
    assertThat(shaken.stepsStay(30)).isFalse();
    Gauge still = new Gauge(0.2, 0.01, OptionalDouble.empty(), 0.1, true);
    assertThat(still.stepsStay(1000)).isTrue();
    Close.to("noise (kPa)", shaken.noise(), Math.sqrt(0.01 / 12 + 0.0025), 1e-12);
  }

  @Nested
  class TheTemperature {
    @Test
    void findsTheDriftItWasGiven() {
      for (Random random : Seeds.of(20).toList()) {
        double drift = Seeds.between(random, -0.15, 0.15);
        TemperatureTrack track = track(drift, 0, 15, random);
        assertThat(track.measured()).isTrue();
        assertThat(Math.abs(track.drift() - drift))
            .as("drift " + drift)
            .isLessThan(3 * track.uncertainty());
      }
    }

    @Test
    void bendsWhereTheReadingsBend() {
      TemperatureTrack track = track(0.02, 0.01, 15, new Random(2));
      assertThat(track.coefficients()).hasSize(3);
      // mean drift over 15 min: 0.02 + 0.01·15
      Close.to("drift (K/min)", track.drift(), 0.17, 0.02);
      Close.to("at 10 min (°C)", track.celsius(600), 18 + 0.2 + 1.0, 0.1);
    }

    @Test
    void fromTwoReadingsIsALineWithAnHonestDoubt() {
      Trace trace = Trace.builder().reading(0, 110, 18.0).reading(600, 109, 18.2).build();
      TemperatureTrack track =
          TemperatureTrack.through(trace, Optional.of(PROBE), new Soak.Unknown(), 20);
      Close.to("drift (K/min)", track.drift(), 0.02, 1e-9);
      // by hand: √2·0.0577/10 and 0.1/(√6·10) and 0.3·0.02 and 0.005 in quadrature
      Close.to("u (K/min)", track.uncertainty(), 0.01204, 1e-4);
    }

    @Test
    void isAssumedFromTheSoakWhereNoneWasRead() {
      Trace trace = Trace.builder().reading(0, 110).reading(600, 109).build();
      TemperatureTrack unknown =
          TemperatureTrack.through(trace, Optional.empty(), new Soak.Unknown(), 20);
      assertThat(unknown.measured()).isFalse();
      Close.to("u (K/min)", unknown.uncertainty(), 0.5, 0);
      TemperatureTrack overnight =
          TemperatureTrack.through(trace, Optional.empty(), new Soak.Overnight(), 20);
      Close.to("u (K/min)", overnight.uncertainty(), 0.01, 0);
    }

    @Test
    void theLongerItStoodTheLessItDrifts() {
      double before = Double.NEGATIVE_INFINITY;
      for (int hours = 0; hours < 12; hours++) {
        Soak soak = new Soak.Hours(hours);
        assertThat(soak.drift()).isNegative().isGreaterThan(before);
        assertThat(soak.uncertainty()).isGreaterThanOrEqualTo(0.01);
        before = soak.drift();
      }
    }

    private TemperatureTrack track(double drift, double bend, int minutes, Random random) {
      Trace.Builder trace = Trace.builder();
      for (int i = 0; i <= minutes * 4; i++) {
        double m = i / 4.0;
        double celsius = 18 + drift * m + bend * m * m + 0.05 * random.nextGaussian();
        trace.reading(15 * i, 110, Math.rint(celsius * 10) / 10);
      }
      return TemperatureTrack.through(trace.build(), Optional.of(PROBE), new Soak.Unknown(), 20);
    }
  }
}
