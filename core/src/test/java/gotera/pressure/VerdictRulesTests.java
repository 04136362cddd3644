package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.testkit.Close;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Each condition is named when it fails, and only then. */
class VerdictRulesTests {

  @Test
  void aGaugePastTheEndOfItsScaleDoesNotCount() {
    assertThat(codes(steady(108, 18), gauge(105, true))).containsExactly(Code.OUT_OF_RANGE);
    assertThat(codes(steady(108, 18), gauge(250, true))).doesNotContain(Code.OUT_OF_RANGE);
  }

  @Test
  void aGaugeOutOfCalibrationDoesNotCount() {
    PressureTestResult result = analyse(steady(108, 18), gauge(250, false), OptionalDouble.empty());
    assertThat(result.verdict()).isEqualTo(VerdictKind.NOT_COUNTED);
    assertThat(result.reasons()).extracting(Reason::code).containsExactly(Code.NOT_CALIBRATED);
  }

  @Test
  void allThatFailedIsNamedAtOnce() {
    assertThat(codes(steady(118, 18), gauge(115, false)))
        .containsExactly(Code.ABOVE_LIMIT, Code.OUT_OF_RANGE, Code.NOT_CALIBRATED);
  }

  @Test
  void aWarmSystemProvesNothing() {
    assertThat(codes(steady(108, 50), gauge(250, true))).contains(Code.TOO_WARM);
    assertThat(codes(steady(108, 44), gauge(250, true))).doesNotContain(Code.TOO_WARM);
  }

  @Test
  void outsideTheTableOfExpansionThereIsNoRate() {
    PressureTestResult result = analyse(steady(108, 75), gauge(250, true), OptionalDouble.empty());
    assertThat(result.rate()).isEmpty();
    assertThat(result.reasons())
        .extracting(Reason::code)
        .containsExactly(Code.TEMPERATURE_OUTSIDE_TABLE);
  }

  @Test
  void shortlyAfterAHigherPressureTheHosesStillRecover() {
    assertThat(analyse(steady(108, 18), gauge(250, true), OptionalDouble.of(10)).reasons())
        .extracting(Reason::code)
        .contains(Code.HOSES_RECOVER);
    assertThat(analyse(steady(108, 18), gauge(250, true), OptionalDouble.of(40)).reasons())
        .extracting(Reason::code)
        .doesNotContain(Code.HOSES_RECOVER);
  }

  @Test
  void aCoarseGaugeClaimsNoLeakBeforeTheNeedleFellTwoSteps() {
    Gauge coarse = new Gauge(3.4, 0.01, OptionalDouble.empty(), 0.01, true);
    Trace trace = falling(110, 5.5);
    PressureTestResult result = analyse(trace, coarse, OptionalDouble.empty());
    assertThat(result.verdict()).isNotEqualTo(VerdictKind.LEAK);
  }

  @Test
  void aFallOfAThirdIsALeakWhateverElseIsMissing() {
    PressureTestResult result = analyse(falling(110, 30), gauge(250, true), OptionalDouble.empty());
    assertThat(result.verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(result.reasons()).isEmpty();
  }

  @Nested
  class TheWindow {
    @Test
    void beginsWhenTheValveIsShutAndEndsAtADraw() {
      Trace.Builder builder = Trace.builder();
      for (int i = 0; i <= 100; i++) {
        builder.reading(10 * i, Math.min(110, 5.0 * i), 18);
      }
      builder.event(TraceEvent.at(300, TraceEvent.Kind.VALVE_SHUT));
      builder.event(new TraceEvent(900, TraceEvent.Kind.DRAW, OptionalDouble.of(20)));
      Trace whole = HoldWindow.whole(builder.build(), Holds.conditions(80, 1));
      Close.to("from (s)", whole.seconds(0), 300, 0);
      Close.to("to (s)", whole.seconds(whole.size() - 1), 900, 0);
      Trace cooled = HoldWindow.cooled(whole, Holds.conditions(80, 1));
      Close.to("cooled from (s)", cooled.seconds(0), 340, 0);
    }

    @Test
    void keepsEveryReadingWhereThereAreFew() {
      Trace whole = Trace.builder().reading(0, 110).reading(10, 109.9).reading(300, 109).build();
      assertThat(HoldWindow.cooled(whole, Holds.conditions(80, 1)).size()).isEqualTo(3);
    }

    @Test
    void longTracesAreAveragedInBlocksThatKeepTheirMean() {
      Trace.Builder builder = Trace.builder();
      for (int i = 0; i < 10_000; i++) {
        builder.reading(i, 110 - 0.001 * i);
      }
      Blocks blocks = Blocks.of(builder.build(), 400, 0.05);
      assertThat(blocks.size()).isEqualTo(400);
      Close.to("noise (kPa)", blocks.noise()[0], 0.05 / 5, 1e-12);
      Close.to("first block (kPa)", blocks.gauge()[0], 110 - 0.012, 1e-9);
    }
  }

  private static List<Code> codes(Trace trace, Gauge gauge) {
    return analyse(trace, gauge, OptionalDouble.empty()).reasons().stream()
        .map(Reason::code)
        .toList();
  }

  private static PressureTestResult analyse(Trace trace, Gauge gauge, OptionalDouble disturbed) {
    HoldConditions c = Holds.conditions(80, 1);
    return new PressureTest(
            trace,
            new HoldConditions(
                c.limits(),
                c.surroundings(),
                c.system(),
                new HoldConditions.Instruments(gauge, c.thermometer(), c.ownLeak()),
                c.course().disturbed(disturbed)))
        .analyse();
  }

  private static Gauge gauge(double range, boolean calibrated) {
    return new Gauge(0.1, 0.05, OptionalDouble.of(range), 0.05, calibrated);
  }

  private static Trace steady(double kilopascals, double celsius) {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i <= 15; i++) {
      trace.reading(20 + 60 * i, kilopascals, celsius);
    }
    return trace.build();
  }

  private static Trace falling(double from, double by) {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i <= 15; i++) {
      trace.reading(20 + 60 * i, from - by * i / 15, 18);
    }
    return trace.build();
  }
}
