package gotera.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cap.TestLimit;
import gotera.formats.HoldDescription;
import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.testkit.Close;
import gotera.web.cap.CapFacts;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.TestWords;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SetupFormTests {
  private static final CapFacts CAP =
      new CapFacts(
          "18 psi",
          new GaugePressure(124.1),
          new TestLimit(new GaugePressure(110), TestLimit.Source.MAKER_FIGURE),
          "good");
  private final FieldProblems problems = TestWords.problems();

  @Test
  void makesADescriptionThatTheFormatAccepts() {
    HoldDescription hold = read("0.2", "0.1", "overnight", "", "120", "2", "8", "850");
    assertThat(problems.sentences()).isEmpty();
    Close.to("rated (kPa)", hold.ratedKpa(), 124.1, 0);
    Close.to("limit (kPa)", hold.limitKpa().orElseThrow(), 110, 0);
    Close.to("air (mL)", hold.compliance().trappedAirMl().orElseThrow(), 20 / 10.0 * 12 + 60, 0);
    Close.to("atmosphere (kPa)", hold.atmosphereKpa().orElseThrow(), 91.5, 0.1);
    assertThat(hold.soakHours().orElseThrow()).isInfinite();
    assertThat(HoldJson.read(HoldJson.write(hold))).isEqualTo(new ReadOutcome.Accepted<>(hold));
  }

  @Test
  void whatIsLeftEmptyIsLeftToTheDefaults() {
    HoldDescription hold = read("0.2", "", "unknown", "", "", "", "", "");
    assertThat(hold.thermometer()).isEmpty();
    assertThat(hold.makerRule()).isEmpty();
    assertThat(hold.atmosphereKpa()).isEmpty();
    assertThat(hold.soakHours()).isEmpty();
  }

  @Test
  void allThatIsWrongIsSaidAtItsField() {
    form("letters", "9", "hours", "x", "120", "", "130", "9000")
        .read(problems, CAP, SetupForm.Draws.NONE, PressureUnit.KPA);
    assertThat(problems.sentences())
        .containsOnlyKeys("gaugeStep", "thermometerStep", "soakHours", "ruleMinutes", "altitude");
  }

  @Test
  void aRuleCannotLoseMoreThanItHolds() {
    form("0.2", "", "unknown", "", "120", "2", "130", "")
        .read(problems, CAP, SetupForm.Draws.NONE, PressureUnit.KPA);
    assertThat(problems.sentences()).containsOnlyKeys("ruleDrop");
  }

  private HoldDescription read(
      String step,
      String thermometer,
      String soak,
      String hours,
      String rule,
      String minutes,
      String drop,
      String altitude) {
    Optional<HoldDescription> hold =
        form(step, thermometer, soak, hours, rule, minutes, drop, altitude)
            .read(problems, CAP, SetupForm.Draws.NONE, PressureUnit.KPA);
    return hold.orElseThrow(() -> new AssertionError(problems.sentences().toString()));
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
    return new SetupForm(
        "",
        step,
        "digital",
        thermometer,
        "8 L",
        "50",
        "20",
        "12",
        "60 mL",
        soak,
        hours,
        "repair",
        rule,
        minutes,
        drop,
        altitude);
  }
}
