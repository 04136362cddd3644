package gotera.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Close;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.words.TestWords;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class IntakeFormTests {
  private final FieldProblems problems = TestWords.problems();

  @Test
  void volumesAreLitresUnlessTheySayOtherwise() {
    Intake intake = read("Fell 9", "1.2", "400 ml", "7", "50").orElseThrow();
    Close.to("lost (mL/week)", intake.lossMlPerWeek().orElseThrow(), 1200, 1e-9);
    Close.to("top-up (mL)", intake.topUpMl().orElseThrow(), 400, 1e-9);
    Close.to("liquid (mL)", intake.liquidMl().orElseThrow(), 7000, 1e-9);
    Close.to("strength", intake.strength().orElseThrow(), 0.5, 1e-12);
  }

  @Test
  void onlyTheVehicleIsNeeded() {
    Intake intake = read("Fell 9", "", "", "", "").orElseThrow();
    assertThat(intake.lossMlPerWeek()).isEmpty();
    assertThat(intake.reason()).isEqualTo("complaint");
    assertThat(intake.whereLost()).isEqualTo("unknown");
  }

  @Test
  void allThatIsWrongIsSaidAtOnce() {
    assertThat(read("", "lots", "-1", "900", "85")).isEmpty();
    assertThat(problems.sentences())
        .containsOnlyKeys("vehicle", "lossPerWeek", "topUp", "liquid", "strength");
  }

  private Optional<Intake> read(
      String vehicle, String loss, String topUp, String liquid, String strength) {
    return new IntakeForm(
            vehicle,
            "van",
            "surprise",
            "it drips",
            "nowhere",
            List.of("white-smoke", "no sign"),
            "",
            "moon",
            "",
            "",
            "",
            "",
            loss,
            "",
            topUp,
            liquid,
            strength,
            0)
        .read(problems, Figures.USUAL);
  }
}
