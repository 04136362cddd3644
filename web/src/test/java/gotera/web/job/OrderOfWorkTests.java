package gotera.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.testkit.Seeds;
import gotera.web.job.StepReporter.State;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class OrderOfWorkTests {
  private final Map<Step, State> states = new EnumMap<>(Step.class);

  OrderOfWorkTests() {
    for (Step step : Step.values()) {
      states.put(step, State.UNTOUCHED);
    }
  }

  private Step next(Object... stepsAndStates) {
    for (int i = 0; i < stepsAndStates.length; i += 2) {
      states.put((Step) stepsAndStates[i], (State) stepsAndStates[i + 1]);
    }
    return new OrderOfWork(states).waitsFor();
  }

  @Test
  void beginsAtTheIntakeAndGoesOnStepByStep() {
    assertThat(next()).isEqualTo(Step.INTAKE);
    assertThat(next(Step.INTAKE, State.DONE)).isEqualTo(Step.CIRCUIT);
    assertThat(next(Step.CIRCUIT, State.DONE)).isEqualTo(Step.MAKE_SAFE);
    assertThat(next(Step.MAKE_SAFE, State.DONE)).isEqualTo(Step.VISUAL_CHECK);
  }

  @Test
  void skippingAStepPassesNoOther() {
    assertThat(next(Step.INTAKE, State.DONE, Step.VISUAL_CHECK, State.SKIPPED))
        .isEqualTo(Step.CIRCUIT);
    assertThat(next(Step.CIRCUIT, State.SKIPPED)).isEqualTo(Step.MAKE_SAFE);
    assertThat(next(Step.MAKE_SAFE, State.SKIPPED)).isEqualTo(Step.FILL_UP);
    assertThat(next(Step.RE_TEST, State.SKIPPED)).isEqualTo(Step.FILL_UP);
  }

  @Test
  void whatIsDonePassesWhatOneMayGoOnFromButNotTheCap() {
    assertThat(next(Step.INTAKE, State.DONE, Step.FILL_UP, State.DONE)).isEqualTo(Step.CAP);
    assertThat(next(Step.PRESSURE_TEST, State.DONE)).isEqualTo(Step.CAP);
    assertThat(next(Step.CAP, State.SKIPPED)).isEqualTo(Step.FIND);
  }

  @Test
  void whatRunsComesFirstThenWhatIsToBeLookedAtAgain() {
    assertThat(next(Step.FIND, State.AGAIN)).isEqualTo(Step.FIND);
    assertThat(next(Step.RE_TEST, State.RUNNING)).isEqualTo(Step.RE_TEST);
  }

  @Test
  void afterAStepComesNoneBeforeIt() {
    OrderOfWork begun = new OrderOfWork(states);
    assertThat(begun.after(Step.CIRCUIT)).isEqualTo(Step.MAKE_SAFE);
    assertThat(begun.after(Step.FIND)).isEqualTo(Step.INSIDE);
    states.put(Step.INSIDE, State.NOT_NEEDED);
    assertThat(new OrderOfWork(states).after(Step.FIND)).isEqualTo(Step.DECIDE);
    states.put(Step.MAKE_SAFE, State.SKIPPED);
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
      states.put(step, State.values()[random.nextInt(State.values().length)]);
    }
    Step waits = new OrderOfWork(states).waitsFor();
    assertThat(waits == Step.HAND_OVER ? State.UNTOUCHED : states.get(waits))
        .isIn(State.UNTOUCHED, State.AGAIN, State.RUNNING);
  }
}
