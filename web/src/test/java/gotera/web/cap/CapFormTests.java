package gotera.web.cap;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.web.figures.FieldProblems;
import gotera.web.words.TestWords;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class CapFormTests {
  private final FieldProblems problems = TestWords.problems();
  private final List<GaugePressure> meanings = new ArrayList<>();

  @Test
  void aStampWithoutItsUnitGetsOne() {
    CapForm form = form("18", "", "", "", "");
    GaugePressure rated = form.rated(problems, meanings).orElseThrow();
    assertThat(form.stampWithUnit(rated)).isEqualTo("18 psi");
    CapForm typed = form("1.2 bar", "", "", "", "");
    assertThat(typed.stampWithUnit(typed.rated(problems, meanings).orElseThrow()))
        .isEqualTo("1.2 bar");
  }

  @Test
  void aStampThatMeansTwoThingsIsAskedBackAndTheAnswerCounts() {
    assertThat(form("30", "", "", "", "").rated(problems, meanings)).isEmpty();
    assertThat(problems.sentences()).containsKey("stamp");
    assertThat(meanings).hasSize(2);
    String meant = Double.toString(meanings.get(1).kilopascals());
    assertThat(form("30", "", meant, "", "").rated(TestWords.problems(), new ArrayList<>()))
        .contains(meanings.get(1));
  }

  @Test
  void aTestPressureNeedsTheUsersWord() {
    assertThat(form("18", "", "", "150 kPa", "").confirmedTestPressure(problems, PressureUnit.KPA))
        .isPresent();
    assertThat(problems.sentences()).containsKey("testPressure");
    FieldProblems none = TestWords.problems();
    form("18", "", "", "150 kPa", "true").confirmedTestPressure(none, PressureUnit.KPA);
    assertThat(none.none()).isTrue();
  }

  @Test
  void aPressureThatCannotBeIsRefused() {
    form("18", "", "", "9000", "true").confirmedTestPressure(problems, PressureUnit.KPA);
    assertThat(problems.sentences()).containsKey("testPressure");
  }

  private static CapForm form(
      String stamp, String unit, String meant, String testPressure, String confirmed) {
    return new CapForm(stamp, unit, meant, "", testPressure, confirmed, "good", "", 0);
  }
}
