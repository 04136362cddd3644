package gotera.web.pressure.setup;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cap.TestLimit;
import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Soak;
import gotera.quantity.GaugePressure;
import gotera.testkit.Close;
import gotera.web.cap.CapFacts;
import gotera.web.equipment.EquipmentKind;
import gotera.web.equipment.EquipmentView;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.words.TestWords;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class SetupFormTests {
  private static final CapFacts CAP =
      new CapFacts(
          "18 psi",
          new GaugePressure(124.1),
          new TestLimit(new GaugePressure(110), TestLimit.Source.MAKER_FIGURE),
          "good");
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

  private final FieldProblems problems = TestWords.problems();
  private SetupReading.Tools tools =
      new SetupReading.Tools(Optional.empty(), Optional.empty(), Optional.empty(), TODAY);

  @Test
  void makesADescriptionThatTheFormatAccepts() {
    HoldSetup hold = read("0.2", "0.1", "overnight", "", "120", "2", "8", "850");
    assertThat(problems.sentences()).isEmpty();
    Close.to("rated (kPa)", hold.limits().ratedKpa(), 124.1, 0);
    Close.to("limit (kPa)", hold.limits().limitKpa().orElseThrow(), 110, 0);
    Close.to("air (mL)", hold.compliance().trappedAirMl().orElseThrow(), 20 / 10.0 * 12 + 60, 0);
    Close.to("atmosphere (kPa)", hold.surroundings().atmosphereKpa().orElseThrow(), 91.5, 0.1);
    assertThat(hold.surroundings().soak()).contains(new Soak.Overnight());
    assertThat(HoldJson.read(HoldJson.write(hold))).isEqualTo(new ReadOutcome.Accepted<>(hold));
  }

  @Test
  void whatIsLeftEmptyIsLeftToTheDefaults() {
    HoldSetup hold = read("0.2", "", "unknown", "", "", "", "", "");
    assertThat(hold.instruments().thermometer()).isEmpty();
    assertThat(hold.limits().makerRule()).isEmpty();
    assertThat(hold.surroundings().atmosphereKpa()).isEmpty();
    assertThat(hold.surroundings().soak()).isEmpty();
  }

  @Test
  void allThatIsWrongIsSaidAtItsField() {
    read(form("letters", "99", "hours", "x", "120", "", "130", "9000"));
    assertThat(problems.sentences())
        .containsOnlyKeys("gaugeStep", "thermometerStep", "soakHours", "ruleMinutes", "altitude");
  }

  @Test
  void aRuleCannotLoseMoreThanItHolds() {
    read(form("0.2", "", "unknown", "", "120", "2", "130", ""));
    assertThat(problems.sentences()).containsOnlyKeys("ruleDrop");
  }

  @Test
  void aTesterBringsItsGaugeItsCalibrationAndItsOwnLeak() {
    EquipmentView tester =
        new EquipmentView(
            UUID.randomUUID(),
            EquipmentKind.TESTER,
            "Tester 1",
            "needle",
            OptionalDouble.of(1.7),
            OptionalDouble.empty(),
            OptionalDouble.of(0.2),
            OptionalDouble.of(250),
            Optional.of(TODAY.minusDays(1)),
            OptionalDouble.of(14),
            OptionalDouble.of(90),
            "",
            false,
            Optional.empty(),
            1);
    EquipmentView.OwnLeak own = new EquipmentView.OwnLeak(0.02, 0.005, Instant.EPOCH);
    tools = new SetupReading.Tools(Optional.of(tester), Optional.empty(), Optional.of(own), TODAY);
    HoldSetup hold = read("", "", "unknown", "", "", "", "", "");
    Close.to("step (kPa)", hold.instruments().gauge().orElseThrow().resolution(), 1.7, 0);
    assertThat(hold.instruments().gauge().orElseThrow().calibrated())
        .as("out since yesterday")
        .isFalse();
    Close.to("air (mL)", hold.compliance().trappedAirMl().orElseThrow(), 24 + 90, 0);
    Close.to("own leak (mL/min)", hold.instruments().ownLeak().orElseThrow(), 0.02, 0);
    assertThat(tools.readingMode(form("", "", "unknown", "", "", "", "", ""))).isEqualTo("needle");
  }

  @Test
  void aDrySystemHoldsAirWhereItWouldHoldCoolant() {
    HoldSetup hold =
        read(form("0.2", "", "gas", "unknown", "", "repair", "", "", "", "")).orElseThrow();
    Close.to("liquid (mL)", hold.filling().liquidMl(), 0, 0);
    Close.to("air (mL)", hold.compliance().trappedAirMl().orElseThrow(), 8000, 0);
    assertThat(HoldJson.read(HoldJson.write(hold))).isEqualTo(new ReadOutcome.Accepted<>(hold));
  }

  private HoldSetup read(
      String step,
      String thermometer,
      String soak,
      String hours,
      String rule,
      String minutes,
      String drop,
      String altitude) {
    Optional<HoldSetup> hold =
        read(form(step, thermometer, soak, hours, rule, minutes, drop, altitude));
    return hold.orElseThrow(() -> new AssertionError(problems.sentences().toString()));
  }

  private Optional<HoldSetup> read(SetupForm form) {
    return SetupReading.read(
        form,
        problems,
        new SetupReading.Known(CAP, Optional.empty(), List.of()),
        tools,
        Figures.USUAL);
  }

  private static SetupForm form(
      String step,
      String thermometer,
      String soak,
      String hours,
      String rule,
      String minutes,
      String drop,
      String altitude) {
    return form(step, thermometer, "liquid", soak, hours, "repair", rule, minutes, drop, altitude);
  }

  private static SetupForm form(
      String step,
      String thermometer,
      String medium,
      String soak,
      String hours,
      String purpose,
      String rule,
      String minutes,
      String drop,
      String altitude) {
    return new SetupForm(
        "",
        "",
        step,
        "digital",
        "",
        thermometer,
        medium,
        "measure",
        "8 L",
        "50",
        "20",
        "12",
        "60 mL",
        soak,
        hours,
        purpose,
        rule,
        minutes,
        drop,
        altitude,
        "",
        "");
  }
}
