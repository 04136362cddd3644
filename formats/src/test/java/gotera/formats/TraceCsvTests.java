package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.testkit.Close;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TraceCsvTests {
  @Test
  void readsTimePressureTemperatureAndEvents() throws IOException {
    Trace trace =
        accepted(
            """
            elapsed_s,gauge_kpa,coolant_c,event
            0,0,,pumped
            30,120.0,18.4,valve-shut
            60,119.5,,
            90,119.1,18.3,draw:20
            """);
    assertThat(trace.size()).isEqualTo(4);
    assertThat(trace.hasTemperature(2)).isFalse();
    Close.to("gauge (kPa)", trace.gauge(2), 119.5, 1e-12);
    assertThat(trace.first(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds()).isEqualTo(30);
    assertThat(trace.first(TraceEvent.Kind.DRAW).orElseThrow().millilitres()).hasValue(20);
  }

  @Test
  void isLenientAboutSpelling() throws IOException {
    Trace trace =
        accepted(
            "\uFEFFGauge_PSI; TIME ;Coolant_F\r\n18;2026-01-01T08:00:00Z;68\r\n17,9;2026-01-01T08:01:30Z;\r\n");
    Close.to("seconds", trace.seconds(1), 90, 1e-9);
    Close.to("gauge (kPa)", trace.gauge(0), 124.106, 1e-3);
    Close.to("temperature (°C)", trace.celsius(0), 20, 1e-9);
  }

  @Test
  void anEventNeedsNoReading() throws IOException {
    Trace trace = accepted("elapsed_s,gauge_kpa,event\n0,100,\n5,,drop-seen\n10,99,\n");
    assertThat(trace.size()).isEqualTo(2);
    assertThat(trace.events()).hasSize(1);
  }

  @Nested
  class IsStrictAboutMeaning {
    @Test
    void namesEveryProblemAtItsPlace() throws IOException {
      List<FormatProblem> problems =
          rejected(
              """
              elapsed_s,gauge_kpa,event
              0,120,
              10,many,
              5,119,
              20,118,valve-shot
              """);
      assertThat(problems)
          .extracting(FormatProblem::line, FormatProblem::place, FormatProblem::found)
          .containsExactly(
              org.assertj.core.groups.Tuple.tuple(3L, "gauge_kpa", "many"),
              org.assertj.core.groups.Tuple.tuple(4L, "elapsed_s", "5"),
              org.assertj.core.groups.Tuple.tuple(5L, "event", "valve-shot"));
      assertThat(problems.get(2).expected()).contains("valve-shut");
    }

    @Test
    void refusesAnUnknownColumnWithTheNearestKnownOne() throws IOException {
      assertThat(rejected("elapsed_s,guage_kpa\n0,1\n").get(0).expected()).contains("gauge_kpa");
    }

    @Test
    void refusesTwoColumnsOfPressure() throws IOException {
      assertThat(rejected("elapsed_s,gauge_kpa,gauge_psi\n0,1,1\n").get(0).found())
          .isEqualTo("gauge_kpa and gauge_psi");
    }

    @Test
    void refusesAnEmptyFileAndOneWithoutReadings() throws IOException {
      assertThat(rejected("").get(0).found()).isEqualTo("an empty file");
      assertThat(rejected("elapsed_s,gauge_kpa\n").get(0).found()).isEqualTo("no reading");
    }

    @Test
    void refusesBytesThatAreNoText() throws IOException {
      byte[] bytes = new byte[5000];
      new Random(1).nextBytes(bytes);
      ReadOutcome<Trace> read = TraceCsv.read(new ByteArrayInputStream(bytes));
      assertThat(read).isInstanceOf(Rejected.class);
      assertThat(((Rejected<Trace>) read).problems().get(0).sentence()).contains("CSV");
    }

    /** A logger without a clock begins in the year 1; one that finds its clock on the way, too. */
    @Test
    void aLoggerWithoutAClockIsRead() throws IOException {
      String first = "time,gauge_kpa\n0001-01-01T00:00:00Z,100\n";
      assertThat(accepted(first + "0001-01-01T00:01:00Z,99\n").seconds(1)).isEqualTo(60);
      assertThat(rejected(first + "2026-05-04T09:30:00Z,99\n").get(0).line()).isEqualTo(3);
    }

    @Test
    void listsTwentyProblemsAndCountsTheRest() throws IOException {
      StringBuilder file = new StringBuilder("elapsed_s,gauge_kpa\n");
      for (int i = 0; i < 50; i++) {
        file.append(i).append(",x\n");
      }
      ReadOutcome<Trace> read = read(file.toString());
      assertThat(((Rejected<Trace>) read).problems()).hasSize(20);
      assertThat(((Rejected<Trace>) read).more()).isEqualTo(30);
    }

    @Test
    void refusesQuotesThatDoNotMatch() throws IOException {
      assertThat(rejected("elapsed_s,gauge_kpa\n0,\"1\n")).isNotEmpty();
    }
  }

  private static Trace accepted(String file) throws IOException {
    ReadOutcome<Trace> read = read(file);
    assertThat(read).isInstanceOf(Accepted.class);
    return ((Accepted<Trace>) read).value();
  }

  private static List<FormatProblem> rejected(String file) throws IOException {
    ReadOutcome<Trace> read = read(file);
    assertThat(read).isInstanceOf(Rejected.class);
    return ((Rejected<Trace>) read).problems();
  }

  private static ReadOutcome<Trace> read(String file) throws IOException {
    return TraceCsv.read(new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)));
  }
}
