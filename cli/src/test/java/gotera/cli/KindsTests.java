package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.simulation.StandInVehicle.Otherwise;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class KindsTests {
  @ParameterizedTest
  @EnumSource(
      value = Kind.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"AS_MODELLED", "LEANING", "OWN_SEEP"})
  void eachDoesSomethingOtherwise(Kind kind) {
    assertThat(kind.of(0.3, 0.1, new Chance(new Random(1)))).isNotEqualTo(Otherwise.NOTHING);
  }

  /** Few of each; the figures that count are printed by the command. */
  @ParameterizedTest
  @EnumSource(
      value = Kind.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"ALL"})
  void seldomCallsATightSystemALeakAndCatchesALargeOne(Kind kind) {
    long leaks = IntStream.range(0, 20).filter(i -> test(kind, 0, i).leak()).count();
    long caught = IntStream.range(0, 20).filter(i -> test(kind, 1.5, i).leak()).count();
    assertThat(leaks).as("tight, called a leak, of 20").isLessThanOrEqualTo(2);
    assertThat(caught).as("1.5 mL/min, caught, of 20").isGreaterThanOrEqualTo(18);
  }

  private static SimulatedTest test(Kind kind, double leak, int i) {
    return SimulatedTest.of(kind, Way.TEN, 0, OptionalDouble.of(leak), new Random(100 + i));
  }

  @Test
  void eachTruthStandsInItsTenth() {
    List<SimulatedTest> tests = List.of(off(-3), off(-0.1), off(0.1), off(5));
    assertThat(CoveragePicture.shares(tests))
        .containsExactly(0.25, 0, 0, 0, 0.25, 0.25, 0, 0, 0, 0.25);
  }

  private static SimulatedTest off(double z) {
    return new SimulatedTest(OptionalDouble.of(z), false, false, false, List.of());
  }
}
