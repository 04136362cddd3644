package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import gotera.pressure.HoldConditions;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.Assumption;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Trace;
import gotera.testkit.Close;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HoldJsonTests {
  private static final String WHOLE =
      """
      {"format":"gotera-hold/1","rated_kpa":124.0,"limit_kpa":130,"limit_source":"maker","atmosphere_kpa":90.5,
       "ambient_c":12,"liquid_ml":8000,"strength":0.4,"medium":"liquid",
       "compliance":{"draws":[{"ml":20,"before_kpa":120,"after_kpa":100.8}],"hose_ml_per_kpa":0.3},
       "gauge":{"resolution_kpa":0.1,"repeatability_kpa":0.05,"range_kpa":250,"zero_drift_kpa":0.02,"calibrated":false},
       "thermometer":{"resolution_c":0.1,"repeatability_c":0.05},"own_leak_ml_per_min":0.01,"own_leak_u":0.002,
       "soak":"overnight","pumped_until_s":5,"pumped_from_kpa":3,"released_before_min":40,
       "closing_draw":{"ml":2,"before_kpa":110,"after_kpa":108},"purpose":"repair",
       "maker_rule":{"pressure_kpa":120,"minutes":5,"drop_kpa":6},"window_s":[30,600]}
      """;

  @Test
  void survivesWritingAndReading() {
    HoldSetup description = accepted(WHOLE);
    assertThat(accepted(HoldJson.write(description))).isEqualTo(description);
  }

  @Test
  void completesWhatIsAbsentAndNamesIt() {
    HoldSetup bare =
        accepted("{\"rated_kpa\":110,\"liquid_ml\":6000,\"compliance\":{\"trapped_air_ml\":150}}");
    CompletedHold completed = CompletedHold.of(bare, Trace.builder().reading(0, 110).build());
    HoldConditions c = completed.conditions();
    Close.to("limit (kPa)", c.limit().pressure().kilopascals(), 110, 0);
    Close.to("gauge step (kPa)", c.gauge().resolution(), 3.4, 0);
    Close.to("acceptance (mL/min)", c.acceptance().limit(), 0.1, 0);
    assertThat(c.soak()).isEqualTo(new Soak.Unknown());
    assertThat(c.airAndHoses().source()).isEqualTo(AirAndHoses.Source.GEOMETRY);
    assertThat(completed.assumed().stream().map(Assumption::member))
        .contains("gauge", "thermometer", "purpose", "atmosphere_kpa", "strength", "soak");
  }

  @Test
  void measuresAirAndHosesFromADraw() {
    CompletedHold completed =
        CompletedHold.of(accepted(WHOLE), Trace.builder().reading(0, 120).build());
    AirAndHoses system = completed.conditions().airAndHoses();
    assertThat(system.source()).isEqualTo(AirAndHoses.Source.MEASURED);
    // by hand at 90.5 kPa air: P1 210.5, P2 191.3; (20 − 0.3·19.2)/(P1/P2 − 1) = 141.9
    Close.to("trapped air (mL)", system.trappedAir().millilitres(), 141.9, 0.1);
    assertThat(system.relativeUncertainty()).isBetween(0.01, 0.15);
  }

  @Test
  void aDrawIsReckonedFromTheEndOfPumpingNotFromItsBegin() {
    // pumping ends at 5 s; the reading at 0 s belongs to it
    Trace pumped = Trace.builder().reading(0, 0).reading(6, 120).reading(60, 119).build();
    CompletedHold completed = CompletedHold.of(accepted(WHOLE), pumped);
    Close.to(
        "trapped air (mL)",
        completed.conditions().airAndHoses().trappedAir().millilitres(),
        141.9,
        0.1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          {"liquid_ml":1000,"compliance":{"trapped_air_ml":1}}                               | rated_kpa
          {"rated_kpa":"high","liquid_ml":1000,"compliance":{"trapped_air_ml":1}}            | rated_kpa
          {"rated_kpa":110,"liquid_ml":1000}                                                 | compliance
          {"rated_kpa":110,"liquid_ml":1000,"compliance":{}}                                 | compliance
          {"rated_kpa":110,"liquid_ml":1000,"compliance":{"trapped_air_ml":1},"strenght":0.5}| strenght
          {"rated_kpa":110,"liquid_ml":1000,"compliance":{"trapped_air_ml":1},"purpose":"x"} | purpose
          {"rated_kpa":110,"liquid_ml":1000,"compliance":{"trapped_air_ml":1},"window_s":[9,1]} | window_s
          {"rated_kpa":110,"liquid_ml":1000,"compliance":{"draws":[{"ml":20,"before_kpa":90,"after_kpa":95}]}} | compliance.draws[0].after_kpa
          """)
  void refusesWhatItCannotMeanAtItsPlace(String json, String place) {
    assertThat(rejected(json)).extracting(FormatProblem::place).contains(place);
  }

  @Test
  void refusesAnUnknownMemberWithTheNearestKnownOne() {
    String json = WHOLE.replace("\"strength\"", "\"strenght\"");
    assertThat(rejected(json).get(0).expected()).contains("strength");
  }

  @Test
  void saysWhatThisVersionDoesNotComputeYet() {
    String propylene = WHOLE.replace("\"strength\"", "\"glycol\": \"propylene\", \"strength\"");
    assertThat(rejected(propylene).get(0).expected()).contains("yet");
    assertThat(rejected(WHOLE.replace("\"draws\"", "\"strokes\""))).isNotEmpty();
  }

  @Test
  void aSystemFullOfAirHoldsNoLiquid() {
    String dry =
        """
        {"rated_kpa":110,"liquid_ml":0,"medium":"gas","compliance":{"trapped_air_ml":8000}}
        """;
    assertThat(accepted(dry).medium()).isEqualTo(Medium.GAS);
    assertThat(rejected(dry.replace("gas", "liquid"))).isNotEmpty();
    assertThat(rejected(dry.replace("gas", "vaccum")).get(0).expected()).contains("vacuum");
  }

  @Test
  void aPurposeWithAirAcceptsWhatTheHoleOfItsCoolantPasses() {
    String dry =
        """
        {"rated_kpa":110,"liquid_ml":0,"medium":"gas","purpose":"repair","strength":0.5,
         "compliance":{"trapped_air_ml":8000}}
        """;
    HoldConditions conditions =
        CompletedHold.of(accepted(dry), Trace.builder().reading(0, 110).build()).conditions();
    // by hand: 0.3 mL/min of coolant of 1056 kg/m³ at √(2·110000/1056) = 14.4 m/s, air at 198.6
    Close.to("limit (mL/min)", conditions.acceptance().limit(), 0.3 * 198.6 / 14.43, 0.02);
  }

  @Test
  void refusesTextThatIsNoJson() {
    assertThat(rejected("{\"rated_kpa\": ").get(0).expected()).contains("JSON");
    assertThat(rejected("").get(0).expected()).contains("JSON");
    assertThat(rejected("[1]").get(0).expected()).contains("JSON");
  }

  private static HoldSetup accepted(String json) {
    ReadOutcome<HoldSetup> read = HoldJson.read(json);
    assertThat(read).isInstanceOf(Accepted.class);
    return ((Accepted<HoldSetup>) read).value();
  }

  private static List<FormatProblem> rejected(String json) {
    ReadOutcome<HoldSetup> read = HoldJson.read(json);
    assertThat(read).isInstanceOf(Rejected.class);
    return ((Rejected<HoldSetup>) read).problems();
  }
}
