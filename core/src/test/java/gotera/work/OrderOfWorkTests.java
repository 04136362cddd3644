package gotera.work;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Seeds;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class OrderOfWorkTests {
  private final Map<Step, StepState> states = new EnumMap<>(Step.class);

  OrderOfWorkTests() {
    for (Step step : Step.values()) {
      states.put(step, StepState.UNTOUCHED);
    }
  }

  private Step next(Object... stepsAndStates) {
    for (int i = 0; i < stepsAndStates.length; i += 2) {
      states.put((Step) stepsAndStates[i], (StepState) stepsAndStates[i + 1]);
    }
    return new OrderOfWork(states).waitsFor();
  }

  @Test
  void beginsAtTheIntakeAndGoesOnStepByStep() {
    assertThat(next()).isEqualTo(Step.INTAKE);
    assertThat(next(Step.INTAKE, StepState.DONE)).isEqualTo(Step.CIRCUIT);
    assertThat(next(Step.CIRCUIT, StepState.DONE)).isEqualTo(Step.MAKE_SAFE);
    assertThat(next(Step.MAKE_SAFE, StepState.DONE)).isEqualTo(Step.VISUAL_CHECK);
  }

  @Test
  void skippingAStepPassesNoOther() {
    assertThat(next(Step.INTAKE, StepState.DONE, Step.VISUAL_CHECK, StepState.SKIPPED))
        .isEqualTo(Step.CIRCUIT);
    assertThat(next(Step.CIRCUIT, StepState.SKIPPED)).isEqualTo(Step.MAKE_SAFE);
    assertThat(next(Step.MAKE_SAFE, StepState.SKIPPED)).isEqualTo(Step.FILL_UP);
    assertThat(next(Step.RE_TEST, StepState.SKIPPED)).isEqualTo(Step.FILL_UP);
  }

  @Test
  void whatIsDonePassesWhatOneMayGoOnFromButNotTheCap() {
    assertThat(next(Step.INTAKE, StepState.DONE, Step.FILL_UP, StepState.DONE)).isEqualTo(Step.CAP);
    assertThat(next(Step.PRESSURE_TEST, StepState.DONE)).isEqualTo(Step.CAP);
    assertThat(next(Step.CAP, StepState.SKIPPED)).isEqualTo(Step.FIND);
  }

  @Test
  void whatRunsComesFirstThenWhatIsToBeLookedAtAgain() {
    assertThat(next(Step.FIND, StepState.AGAIN)).isEqualTo(Step.FIND);
    assertThat(next(Step.RE_TEST, StepState.RUNNING)).isEqualTo(Step.RE_TEST);
  }

  @Test
  void afterAStepComesNoneBeforeIt() {
    OrderOfWork begun = new OrderOfWork(states);
    assertThat(begun.after(Step.CIRCUIT)).isEqualTo(Step.MAKE_SAFE);
    assertThat(begun.after(Step.FIND)).isEqualTo(Step.INSIDE);
    states.put(Step.INSIDE, StepState.NOT_NEEDED);
    assertThat(new OrderOfWork(states).after(Step.FIND)).isEqualTo(Step.DECIDE);
    states.put(Step.MAKE_SAFE, StepState.SKIPPED);
    assertThat(new OrderOfWork(states).after(Step.CIRCUIT)).isEqualTo(Step.VISUAL_CHECK);
  }

  static Stream<Random> generators() {
    return Seeds.of(300);
  }

  /** Whatever the states: what is waited for can be worked at, and was neither done nor skipped. */
  @ParameterizedTest
  @MethodSource("generators")
  void neverWaitsForWhatIsDoneSkippedOrNotThere(Random random) {
    for (Step step : Step.values()) {
      states.put(step, StepState.values()[random.nextInt(StepState.values().length)]);
    }
    Step waits = new OrderOfWork(states).waitsFor();
    assertThat(waits == Step.HAND_OVER ? StepState.UNTOUCHED : states.get(waits))
        .isIn(StepState.UNTOUCHED, StepState.AGAIN, StepState.RUNNING);
  }
}
