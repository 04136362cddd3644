package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.Decider.Answer;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DeciderTests {
  private static final double PSI = 6.894757;

  /** Sixteen psi falling to twelve and a half in ten minutes, read on a coarse needle. */
  private static PressureTest slowLeak(Soak soak) {
    Trace trace =
        Trace.builder()
            .reading(0, 16 * PSI)
            .reading(300, 14.2 * PSI)
            .reading(600, 12.5 * PSI)
            .build();
    return new PressureTest(
        trace,
        Holds.of(
            16 * PSI,
            new AirAndHoses(new Volume(140), 0.3, 0.3, AirAndHoses.Source.GEOMETRY),
            new Gauge(0.5 * PSI, 1.7, OptionalDouble.empty(), 0.1, true),
            Optional.empty(),
            soak,
            0));
  }

  @Test
  void aSlowLeakIsDecidedByHowLongItStood() {
    PressureTest test = slowLeak(new Soak.Unknown());
    PressureTestResult result = test.analyse();
    assertThat(result.verdict()).isEqualTo(VerdictKind.NOT_PROVEN);
    List<Decider> deciders = Decider.of(test, result);
    assertThat(deciders).extracting(Decider::answers).contains(Set.of(Answer.OVERNIGHT));
    assertThat(deciders.get(0).result().verdict()).isEqualTo(VerdictKind.LEAK);
  }

  @Test
  void whatIsDecidedNeedsNoAnswer() {
    PressureTest test = slowLeak(new Soak.Overnight());
    PressureTestResult result = test.analyse();
    assertThat(result.verdict()).isEqualTo(VerdictKind.LEAK);
    assertThat(Decider.of(test, result)).isEmpty();
  }

  @Test
  void eachAnswerGivesTheVerdictThatItPromises() {
    PressureTest test = slowLeak(new Soak.Unknown());
    for (Decider decider : Decider.of(test, test.analyse())) {
      if (decider.answers().equals(Set.of(Answer.OVERNIGHT))) {
        assertThat(slowLeak(new Soak.Overnight()).analyse().verdict())
            .isEqualTo(decider.result().verdict());
      }
    }
  }
}
