package gotera.web.pressure.plan;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Close;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.words.TestWords;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PlanReadingTests {
  private final FieldProblems problems = TestWords.problems();

  @Test
  void lessAirIsAShorterHold() {
    PlanReading plan = read("150", "probe", "measured", "repair").orElseThrow();
    assertThat(plan.hold().with(50).shortest(0.3).orElseThrow())
        .isLessThan(plan.hold().with(500).shortest(0.3).orElseThrow());
    Close.to("air (mL)", plan.air(), 150, 0);
  }

  @Test
  void withoutAnyTemperatureNoHoldSignsOffAndAProbeOrAPreHoldDoes() {
    assertThat(read("150", "unknown", "measured", "sign-off").orElseThrow().plan().shortest(0.1))
        .isEmpty();
    assertThat(read("150", "pre-hold", "measured", "sign-off").orElseThrow().plan().shortest(0.1))
        .isPresent();
  }

  @Test
  void sizesAloneAreKnownLessWell() {
    double measured = r(read("150", "probe", "measured", "repair"));
    double sizes = r(read("150", "probe", "sizes", "repair"));
    assertThat(sizes).isGreaterThan(0.15).isGreaterThan(measured);
  }

  @Test
  void theMakersRuleIsTranslatedAtItsOwnPressure() {
    PlanReading.Rule rule =
        read("150", "probe", "measured", "repair").orElseThrow().rule().orElseThrow();
    // by hand: air at 140 kPa is 150·211.325/241.325 = 131.4 mL; 8 kPa lost in 3 min
    double air = 150 * 211.325 / 241.325;
    double expected = (air * (241.325 / 233.325 - 1) + 0.3 * 8) / 3;
    Close.to("lets through (mL/min)", rule.letsThrough(), expected, 1e-6);
  }

  @Test
  void allThatIsWrongIsSaidAtItsField() {
    assertThat(read("much", "hours", "measured", "repair")).isEmpty();
    assertThat(problems.sentences()).containsOnlyKeys("air", "soakHours");
  }

  private static double r(Optional<PlanReading> plan) {
    return plan.orElseThrow().plan().system().relativeUncertainty();
  }

  private Optional<PlanReading> read(String air, String warmth, String known, String purpose) {
    return PlanReading.of(
        new PlanForm(
            "110", "0.1 kPa", "30", air, "0.3", known, warmth, "0.1", "", "0", "8 L", "50", purpose,
            "140", "3", "8"),
        problems,
        Figures.USUAL,
        0);
  }
}
