package gotera.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.PressureTestResult;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import gotera.uncertainty.Budget;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.DecisionLimits;
import gotera.web.figures.Figures;
import gotera.web.words.TestWords;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class VerdictWordsTests {
  private final VerdictWords words = new VerdictWords(TestWords.words());

  @Test
  void aLeakWhoseIntervalIsAwayFromZeroIsSaidWithIt() {
    assertThat(headline(0.61, 0.04, 0.06)).isEqualTo("Leak 0.61 ± 0.08 mL/min");
  }

  @Test
  void oneWhoseIntervalCoversZeroDoesNotContradictItself() {
    String wide = headline(0.61, 0.36, 0.06);
    assertThat(wide).startsWith("Leak: above 0.5").contains("most likely 0.6").doesNotContain("±");
    assertThat(wide).contains("at most 1.").endsWith("mL/min");
  }

  @Test
  void withoutAnUpperBoundItSaysSo() {
    assertThat(headline(0.61, 0.36, 3)).endsWith("most likely 0.61 mL/min, no upper bound");
  }

  private String headline(double rate, double u, double r) {
    PressureTestResult result =
        new PressureTestResult(
            "test",
            VerdictKind.LEAK,
            List.of(),
            Optional.of(rate(rate, u, r)),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of(),
            List.of());
    return words.say(result, 110, 1, Figures.USUAL).headline().replace('\u00a0', ' ');
  }

  private static Rate rate(double rate, double u, double r) {
    return new Rate(
        LeakLaw.SEEP,
        List.of(),
        rate,
        new Budget(List.of(new Contribution(Contribution.Source.FIT, u))),
        new DecisionLimits(u, r, 0, DecisionLimits.K),
        0.55,
        100,
        105,
        1.2,
        new AirAndHoses(new Volume(150), 0.3, r, AirAndHoses.Source.MEASURED),
        2,
        0,
        0.005,
        true,
        false,
        0.1,
        0.05,
        false,
        OptionalDouble.empty(),
        Optional.empty());
  }
}
