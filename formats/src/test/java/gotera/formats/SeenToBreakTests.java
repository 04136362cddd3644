package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.MakerRule.Met;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.testkit.Close;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What once took pages down has an answer; each is one of a kind. */
class SeenToBreakTests {
  private static final String GAUGE =
      "\"gauge\":{\"resolution_kpa\":0.1,\"repeatability_kpa\":0.05}";

  private static String hold(String compliance, String more) {
    return "{\"rated_kpa\":110,\"liquid_ml\":6000,\"soak\":\"overnight\",\"purpose\":\"repair\","
        + GAUGE
        + ",\"compliance\":{"
        + compliance
        + "}"
        + more
        + "}";
  }

  private static HoldSetup accepted(String json) {
    return ((ReadOutcome.Accepted<HoldSetup>) HoldJson.read(json)).value();
  }

  private static List<FormatProblem> refused(String json) {
    return ((ReadOutcome.Rejected<HoldSetup>) HoldJson.read(json)).problems();
  }

  private static Trace steady(double... gauges) {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i < gauges.length; i++) {
      trace.reading(60 * i, gauges[i]);
    }
    return trace.build();
  }

  private static PressureTestResult analyse(String json, Trace trace) {
    return new PressureTest(trace, CompletedHold.of(accepted(json), trace).conditions()).analyse();
  }

  private static List<Code> codes(PressureTestResult result) {
    return result.reasons().stream().map(Reason::code).toList();
  }

  @Nested
  class Draws {
    private static final String ONE = "{\"ml\":20,\"before_kpa\":110,\"after_kpa\":95}";

    private static double air(String draws) {
      Trace trace = steady(110, 109.9, 109.8);
      return CompletedHold.of(accepted(hold("\"draws\":[" + draws + "]", "")), trace)
          .conditions()
          .airAndHoses()
          .trappedAir()
          .millilitres();
    }

    @Test
    void twoEqualOnesSayWhatOneSaysButSurer() {
      Close.to("V_g (mL)", air(ONE + "," + ONE), air(ONE), 1);
    }

    @ParameterizedTest
    @ValueSource(doubles = {95.001, 95.1, 94.9, 96, 90})
    void nearlyEqualOnesNeverGiveLessThanNoAir(double after) {
      String other = "{\"ml\":20,\"before_kpa\":110,\"after_kpa\":" + after + "}";
      assertThat(air(ONE + "," + other)).isBetween(0.0, 400.0);
    }

    @Test
    void belowFreezingTheyAreReckonedWith() {
      String json = hold("\"draws\":[" + ONE + "]", ",\"ambient_c\":-12");
      assertThatCode(() -> analyse(json, steady(110, 109.9, 109.8))).doesNotThrowAnyException();
    }
  }

  @Nested
  class Readings {
    private static final String AIR = "\"trapped_air_ml\":150,\"source\":\"measured\"";

    @Test
    void ofNoPressureAreNoLeakAndNothingProven() {
      PressureTestResult result = analyse(hold(AIR, ""), steady(0, 0));
      assertThat(result.verdict()).isEqualTo(VerdictKind.NOT_PROVEN);
      assertThat(codes(result)).containsExactly(Code.PRESSURE_TOO_LOW);
    }

    @Test
    void belowAVacuumDoNotCount() {
      PressureTestResult result = analyse(hold(AIR, ""), steady(110, -101.4, 108));
      assertThat(result.verdict()).isEqualTo(VerdictKind.NOT_COUNTED);
      assertThat(codes(result)).containsExactly(Code.BELOW_VACUUM);
    }

    @Test
    void thatAlternateAreNotTight() {
      PressureTestResult result =
          analyse(hold(AIR, ""), steady(110, 60, 110, 60, 110, 60, 110, 60, 110, 60, 110));
      assertThat(result.verdict()).isNotEqualTo(VerdictKind.TIGHT);
    }

    @Test
    void ofAnyAndEverySizeAreAnswered() {
      Trace huge = Trace.builder().reading(0, 1e300).reading(1e300, 110).build();
      assertThat(codes(analyse(hold(AIR, ""), huge))).contains(Code.OUT_OF_RANGE, Code.TOO_LONG);
      Trace years = Trace.builder().reading(0, 110).reading(1e8, 108).build();
      assertThat(codes(analyse(hold(AIR, ""), years))).containsExactly(Code.TOO_LONG);
    }

    @Test
    void amongTwentyThousandEventsCostNoMoreThanAMoment() {
      Trace.Builder trace = Trace.builder();
      for (int i = 0; i < 20_000; i++) {
        trace.reading(3 * i, 110 - 0.0001 * i);
        trace.event(TraceEvent.at(3 * i + 1, TraceEvent.Kind.VALVE_SHUT));
      }
      // a guard against work that grows with the square of the events, not a measurement
      org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
          Duration.ofSeconds(30), () -> analyse(hold(AIR, ""), trace.build()));
    }
  }

  @Nested
  class Descriptions {
    @ParameterizedTest
    @CsvSource(
        delimiter = ';',
        value = {
          "\"maker_rule\":{\"pressure_kpa\":14000,\"minutes\":3,\"drop_kpa\":8}; maker_rule.pressure_kpa",
          "\"maker_rule\":{\"pressure_kpa\":0.9,\"minutes\":3,\"drop_kpa\":0.2}; maker_rule.pressure_kpa",
          "\"closing_draw\":{\"ml\":2,\"before_kpa\":13500,\"after_kpa\":9500}; closing_draw.before_kpa",
          "\"window_s\":[0,1e300]; window_s",
          "\"pumped_until_s\":1e300; pumped_until_s"
        })
    void thatCannotBeAreRefusedAtTheirPlace(String more, String place) {
      assertThat(refused(hold("\"trapped_air_ml\":150", "," + more)))
          .extracting(FormatProblem::place)
          .contains(place);
    }

    @Test
    void asLongAsNothingStoodIsRefusedToo() {
      String usual = hold("\"trapped_air_ml\":150", "");
      assertThat(refused(usual.replaceAll("\"soak\":[^,}]*", "\"soak\":1e300")))
          .extracting(FormatProblem::place)
          .containsExactly("soak");
    }

    @Test
    void withoutAirAndHosesNothingGives() {
      assertThat(refused(hold("\"trapped_air_ml\":0,\"hose_ml_per_kpa\":0", "")))
          .extracting(FormatProblem::place)
          .containsExactly("compliance.trapped_air_ml");
    }

    @Test
    void strokesOfFiftyBarAreRefused() {
      String strokes =
          "\"strokes\":{\"stroke_ml\":15,\"readings\":[{\"count\":4,\"gauge_kpa\":5000}]}";
      assertThat(refused(hold(strokes, "")))
          .extracting(FormatProblem::place)
          .contains("compliance.strokes.readings[0].gauge_kpa");
    }
  }

  @Nested
  class TheMakersRule {
    private static Met met(String rule, Trace trace) {
      return analyse(
              hold(
                  "\"trapped_air_ml\":150,\"source\":\"measured\"",
                  ",\"maker_rule\":{" + rule + "}"),
              trace)
          .makerRule()
          .orElseThrow()
          .met();
    }

    private static final String TWO_MINUTES = "\"pressure_kpa\":110,\"minutes\":2,\"drop_kpa\":3";

    @Test
    void isJudgedFromReadingsNearItsTimeOnly() {
      Trace tenMinutes = Trace.builder().reading(0, 110).reading(600, 100).build();
      assertThat(met(TWO_MINUTES, tenMinutes)).isEqualTo(Met.NOT_TESTED);
      Trace near = Trace.builder().reading(0, 110).reading(140, 109).reading(600, 100).build();
      assertThat(met(TWO_MINUTES, near)).isEqualTo(Met.YES);
      Trace early = Trace.builder().reading(0, 110).reading(60, 106).reading(600, 100).build();
      assertThat(met(TWO_MINUTES, early)).isEqualTo(Met.NO);
    }

    @Test
    void isTestedAtAPressureThatANeedleCannotTellFromIt() {
      Trace trace = Trace.builder().reading(0, 110.3).reading(130, 109.9).build();
      assertThat(met("\"pressure_kpa\":110.3,\"minutes\":2,\"drop_kpa\":3", trace))
          .isEqualTo(Met.YES);
    }
  }

  @Nested
  class ReadThenShut {
    @Test
    void givesATestOfTwoReadings() {
      Trace trace =
          Trace.builder()
              .reading(10, 110)
              .event(TraceEvent.at(18, TraceEvent.Kind.VALVE_SHUT))
              .reading(618, 92)
              .build();
      PressureTestResult result =
          analyse(hold("\"trapped_air_ml\":150,\"source\":\"measured\"", ""), trace);
      assertThat(result.verdict()).isEqualTo(VerdictKind.LEAK);
      assertThat(result.window().orElseThrow().from()).isEqualTo(10);
    }

    @Test
    void butNotAReadingFromBeforePumpingOn() {
      Trace trace =
          Trace.builder()
              .reading(10, 60)
              .event(TraceEvent.at(50, TraceEvent.Kind.VALVE_SHUT))
              .reading(118, 110)
              .reading(618, 105)
              .build();
      PressureTestResult result =
          analyse(hold("\"trapped_air_ml\":150,\"source\":\"measured\"", ""), trace);
      assertThat(result.window().orElseThrow().from()).isEqualTo(118);
    }
  }

  @Nested
  class Rows {
    private static ReadOutcome<Trace> read(String csv) throws IOException {
      return TraceCsv.read(new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)));
    }

    @ParameterizedTest
    @CsvSource(
        delimiter = '|',
        value = {
          "elapsed_s,gauge_kpa~0,120,5~1,119,9 | line 2 | semicolons",
          "elapsed_s,gauge_kpa,event~0,120~ | line 2 | 3 cells",
          "elapsed_s,gauge_kpa~0,-999~1,110 | line 2, gauge_kpa | from -101.5",
          "elapsed_s,gauge_psi~0,18~1,1800 | line 3, gauge_psi | psi",
          "elapsed_s,gauge_kpa~0,1e300 | line 2, gauge_kpa | pressure",
          "elapsed_s,gauge_kpa~0,110~1e308,109 | line 3, elapsed_s | 31 days",
          "elapsed_s,gauge_kpa~0,110~99999999,109 | line 3, elapsed_s | 31 days",
          "elapsed_s,gauge_kpa~0,0x1p3 | line 2, gauge_kpa | number",
          "elapsed_s,gauge_kpa~0,NaN | line 2, gauge_kpa | number",
          "elapsed_s,gauge_kpa,event~0,110,draw:1e9 | line 2, event | 5000"
        })
    void areRefusedWithTheirLine(String csv, String line, String expected) throws IOException {
      ReadOutcome.Rejected<Trace> rejected =
          (ReadOutcome.Rejected<Trace>) read(csv.replace('~', '\n'));
      assertThat(rejected.problems().get(0).sentence()).contains(line.strip()).contains(expected);
    }

    @ParameterizedTest
    @ValueSource(
        strings = {
          "elapsed_s;gauge_kpa\r\n0;120,5\r\n1;119,9\r\n",
          "\ufeffelapsed_s,gauge_kpa\n0,120.5\n1,119.9\n",
          "elapsed_s,gauge_kpa\r\n0,120.5\r\n1,119.9",
        })
    void areReadAsTheyAreMeant(String csv) throws IOException {
      Trace trace = ((ReadOutcome.Accepted<Trace>) read(csv)).value();
      assertThat(trace.gauge(0)).isEqualTo(120.5);
      assertThat(trace.gauge(1)).isEqualTo(119.9);
    }

    @Test
    void withWhatIsNoTextAreRefused() throws IOException {
      ReadOutcome.Rejected<Trace> rejected =
          (ReadOutcome.Rejected<Trace>) read("elapsed_s,gauge_kpa\n0,12\u00000\n");
      assertThat(rejected.problems().get(0).found()).contains("no text");
    }
  }
}
