package gotera.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit.Joint;
import java.util.List;
import org.junit.jupiter.api.Test;

class CircuitPresetsTests {
  private final Circuit circuit = CircuitPresets.inlineAcrossCapOnRadiator();

  @Test
  void everyJointHasItsOwnName() {
    assertThat(circuit.joints()).extracting(Joint::code).doesNotHaveDuplicates().hasSize(25);
    assertThat(circuit.joint("lower-hose.radiator-end")).isPresent();
    assertThat(circuit.joint("nothing")).isEmpty();
  }

  @Test
  void everythingLiesOnTheSheet() {
    assertThat(circuit.joints())
        .allMatch(j -> j.x() > 20 && j.x() < Circuit.WIDTH - 20 && j.y() > 20)
        .allMatch(j -> j.y() < Circuit.HEIGHT - 20);
    assertThat(circuit.parts()).allMatch(p -> p.x() + p.width() <= Circuit.WIDTH);
  }

  @Test
  void jointsAreFarEnoughApartToTouch() {
    List<Joint> joints = circuit.joints();
    for (Joint a : joints) {
      for (Joint b : joints) {
        if (a != b) {
          assertThat(Math.hypot(a.x() - b.x(), a.y() - b.y()))
              .as(a.code() + " to " + b.code())
              .isGreaterThan(40);
        }
      }
    }
  }

  @Test
  void linesStartAndEndAtJoints() {
    for (Circuit.Line line : circuit.lines()) {
      List<Double> p = line.points();
      long ends =
          circuit.joints().stream()
              .filter(
                  j ->
                      (j.x() == p.get(0) && j.y() == p.get(1))
                          || (j.x() == p.get(6) && j.y() == p.get(7)))
              .count();
      assertThat(ends).as(line.code()).isEqualTo(2);
    }
  }
}
