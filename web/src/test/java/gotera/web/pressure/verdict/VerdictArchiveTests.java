package gotera.web.pressure.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome.Accepted;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.setup.Assumption;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.VerdictKind;
import gotera.testkit.Seeds;
import gotera.web.pressure.trace.Unreadable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Verdicts of every version are read as they were given; the golden files are never changed. */
class VerdictArchiveTests {

  @Test
  void aLeakOfVersionOne() {
    VerdictArchive.Stored stored = golden("verdict-1-leak");
    PressureTestResult result = stored.result();
    assertThat(stored.conditions()).as("version 1 held none").isEmpty();
    assertThat(result.verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(result.estimator()).isEqualTo("laws-3");
    PressureTestResult.Rate rate = result.rate().orElseThrow();
    assertThat(rate.rate()).isEqualTo(1.2854494790824504);
    assertThat(rate.laws()).hasSize(2);
    assertThat(rate.limits().k()).isEqualTo(1.6735649063528517);
    assertThat(rate.airAndHoses().trappedAir().millilitres()).isEqualTo(192.59631659576803);
    assertThat(rate.settledU()).isPositive();
    assertThat(result.curve()).hasSize(4);
  }

  @Test
  void aTightOneAndAGrossOneOfVersionOne() {
    assertThat(golden("verdict-1-tight").result().rate().orElseThrow().rate())
        .isEqualTo(-8.749001199954204e-05);
    PressureTestResult gross = golden("verdict-1-gross").result();
    assertThat(gross.verdict()).isEqualTo(VerdictKind.GROSS);
    assertThat(gross.rate()).isEmpty();
    assertThat(gross.lowerBound()).hasValue(16.333771829651507);
    assertThat(gross.makerRule().orElseThrow().met()).isEqualTo(MakerRule.Met.NOT_TESTED);
  }

  /** Before laws were weighed and settling had its uncertainty. */
  @Test
  void anEarlierShapeReadsWhatItLacksAsAbsent() {
    PressureTestResult result = golden("verdict-0-leak").result();
    PressureTestResult.Rate rate = result.rate().orElseThrow();
    assertThat(rate.rate()).isEqualTo(1.2854494790824504);
    assertThat(rate.laws()).isEmpty();
    assertThat(rate.settledU()).isZero();
    assertThat(rate.pumpedUpAgain()).isFalse();
    assertThat(result.disturbances()).isEmpty();
  }

  @Test
  void aLeakOfVersionTwo() {
    VerdictArchive.Stored stored = golden("verdict-2-leak");
    assertThat(stored.result().verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(stored.conditions().orElseThrow().limit().pressure().kilopascals()).isEqualTo(118.0);
    assertThat(stored.conditions().orElseThrow().liquid().millilitres()).isEqualTo(7300);
    assertThat(stored.assumed()).contains(Assumption.STRENGTH);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{",
        "[]",
        "{}",
        "{\"version\":3}",
        "{\"version\":2}",
        "null",
        "\"leak\"",
        "7"
      })
  void whatIsNoneIsUnreadableAndNothingElse(String json) {
    assertThatThrownBy(() -> VerdictArchive.read(json)).isInstanceOf(Unreadable.class);
  }

  static Stream<Random> generators() {
    return Seeds.of(150);
  }

  @ParameterizedTest
  @MethodSource("generators")
  void whatIsWrittenIsReadBack(Random random) {
    HoldSetup hold = description(random);
    Trace trace = trace(random);
    CompletedHold completed = CompletedHold.of(hold, trace);
    PressureTestResult result = new PressureTest(trace, completed.conditions()).analyse();
    String json = VerdictArchive.write(result, completed.conditions(), completed.assumed());
    VerdictArchive.Stored read = VerdictArchive.read(json);
    assertThat(read.result()).isEqualTo(result);
    assertThat(read.conditions()).contains(completed.conditions());
    assertThat(read.assumed()).isEqualTo(completed.assumed());
  }

  @Test
  void everyVerdictIsAmongThoseWrittenAndReadBack() {
    Set<VerdictKind> seen = EnumSet.noneOf(VerdictKind.class);
    generators()
        .forEach(
            random -> {
              HoldSetup hold = description(random);
              Trace trace = trace(random);
              seen.add(
                  new PressureTest(trace, CompletedHold.of(hold, trace).conditions())
                      .analyse()
                      .verdict());
            });
    assertThat(seen).contains(VerdictKind.LEAK, VerdictKind.NOT_PROVEN);
  }

  private static HoldSetup description(Random random) {
    String json =
        String.format(
            Locale.ROOT,
            "{\"rated_kpa\":118,\"liquid_ml\":7300,\"soak\":\"%s\",\"purpose\":\"search\","
                + "\"maker_rule\":{\"pressure_kpa\":112,\"minutes\":3,\"drop_kpa\":7},"
                + "\"compliance\":{\"trapped_air_ml\":%.1f},"
                + "\"gauge\":{\"resolution_kpa\":%.2f,\"repeatability_kpa\":0.05}%s}",
            random.nextBoolean() ? "overnight" : "unknown",
            Seeds.between(random, 40, 400),
            Seeds.between(random, 0.1, 2),
            random.nextBoolean()
                ? ",\"thermometer\":{\"resolution_c\":0.1},"
                    + "\"closing_draw\":{\"ml\":20,\"before_kpa\":108,\"after_kpa\":92}"
                : "");
    return ((Accepted<HoldSetup>) HoldJson.read(json)).value();
  }

  private static Trace trace(Random random) {
    Trace.Builder trace = Trace.builder().event(TraceEvent.at(0, TraceEvent.Kind.VALVE_SHUT));
    int readings = random.nextInt(20);
    double slope = Math.pow(10, Seeds.between(random, -3, 1.3));
    for (int i = 0; i < readings; i++) {
      double temperature = random.nextBoolean() ? 18 : Double.NaN;
      trace.reading(5 + 60 * i, Math.max(0, 112 - slope * i), temperature);
    }
    return trace.build();
  }

  private static VerdictArchive.Stored golden(String name) {
    String place = "/gotera/web/stored/" + name + ".json";
    try (InputStream stream = VerdictArchiveTests.class.getResourceAsStream(place)) {
      assertThat(stream).as(place).isNotNull();
      return VerdictArchive.read(new String(stream.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
