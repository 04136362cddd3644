package gotera.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import gotera.circuit.Circuit.Shape;
import gotera.circuit.Features.Extra;
import gotera.word.Worded;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CircuitBuilderTests {
  static Stream<Features> combinations() {
    return SomeFeatures.all().stream();
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void aCircuitIsWholeWhateverItIsBuiltFrom(Features features) {
    Circuit circuit = CircuitBuilder.of(features);
    assertThat(circuit.joints()).extracting(Joint::code).doesNotHaveDuplicates();
    assertThat(circuit.parts()).extracting(Part::code).doesNotHaveDuplicates();
    noPartLiesOverAnother(circuit);
    everythingLiesOnTheSheet(circuit);
    jointsAreFarEnoughApartToTouch(circuit);
    linesHangTogether(circuit);
    assertThat(circuit.joints()).extracting(j -> j.at().y()).isSorted();
  }

  private static void noPartLiesOverAnother(Circuit circuit) {
    for (Part a : circuit.parts()) {
      for (Part b : circuit.parts()) {
        assertThat(a != b && a.overlaps(b)).as(a.code() + " over " + b.code()).isFalse();
      }
    }
  }

  private static void everythingLiesOnTheSheet(Circuit circuit) {
    assertThat(circuit.parts())
        .allMatch(p -> p.x() > 10 && p.y() > 10 && p.x() + p.width() < Circuit.WIDTH - 10)
        .allMatch(p -> p.y() + p.height() < Circuit.HEIGHT - 20);
    assertThat(circuit.joints())
        .allMatch(j -> j.at().x() > 20 && j.at().x() < Circuit.WIDTH - 20)
        .allMatch(j -> j.at().y() > 20 && j.at().y() < Circuit.HEIGHT - 20);
  }

  private static void jointsAreFarEnoughApartToTouch(Circuit circuit) {
    List<Joint> joints = circuit.joints();
    for (int i = 0; i < joints.size(); i++) {
      for (int k = 0; k < i; k++) {
        assertThat(joints.get(i).at().distance(joints.get(k).at()))
            .as(joints.get(i).code() + " to " + joints.get(k).code())
            .isGreaterThanOrEqualTo(Circuit.TOUCH);
      }
    }
  }

  /** A line begins and ends at a joint or at a part's edge. */
  private static void linesHangTogether(Circuit circuit) {
    for (Line line : circuit.lines()) {
      for (Point end : List.of(line.points().get(0), line.points().get(line.points().size() - 1))) {
        boolean joint = circuit.joints().stream().anyMatch(j -> j.at().equals(end));
        assertThat(joint).as(line.code() + " ends at a joint").isTrue();
      }
    }
  }

  @Test
  void thereAreTwelvePresetsAndMoreAndNoTwoAreTheSame() {
    assertThat(CircuitPresets.all()).hasSizeGreaterThanOrEqualTo(12);
    assertThat(CircuitPresets.all()).extracting(p -> p.features()).doesNotHaveDuplicates();
    assertThat(CircuitPresets.of("generator").orElseThrow().features().heated()).isFalse();
  }

  @Test
  void aFeatureBringsItsPlacesAndNothingElse() {
    Features usual = CircuitPresets.USUAL;
    Circuit without = CircuitBuilder.of(usual);
    for (Extra extra : Extra.values()) {
      Circuit with =
          CircuitBuilder.of(
              Features.of(usual.drive(), usual.fill(), usual.engine(), usual.orientation(), extra));
      if (extra == Extra.NO_HEATER) {
        assertThat(with.joints()).hasSizeLessThan(without.joints().size());
      } else if (extra == Extra.QUICK_CONNECTORS) {
        assertThat(with.joint("upper-hose.radiator-end").orElseThrow().fastening())
            .isEqualTo(Fastening.QUICK_CONNECTOR);
      } else {
        assertThat(with.joints()).as(extra.word()).isNotEqualTo(without.joints());
      }
    }
  }

  @Test
  void anEngineOfTwoBanksHasTwoHeadJoints() {
    Circuit v = CircuitBuilder.of(CircuitPresets.of("v-along-automatic").orElseThrow().features());
    assertThat(v.joint("head.gasket")).isPresent();
    assertThat(v.joint("second-head.gasket")).isPresent();
  }

  @Test
  void anElectricDriveHasTwoLoopsAndNothingThatBurns() {
    Circuit circuit =
        CircuitBuilder.of(CircuitPresets.of("electric-two-loops").orElseThrow().features());
    assertThat(circuit.joints())
        .extracting(Joint::branch)
        .containsOnly(Branch.DRIVE, Branch.BATTERY);
    assertThat(circuit.part("head")).isEmpty();
    assertThat(circuit.joint("battery-plate.inlet")).isPresent();
    assertThat(circuit.joint("charger.outlet")).isPresent();
  }

  @Test
  void wordsAndValuesMeanTheSame() {
    for (Extra extra : Extra.values()) {
      assertThat(Worded.of(Extra.class, extra.word())).contains(extra);
    }
    assertThat(Worded.of(Extra.class, "wings")).isEmpty();
    assertThat(Worded.of(Fastening.class, "quick-connector")).contains(Fastening.QUICK_CONNECTOR);
    assertThat(CircuitBuilder.of(CircuitPresets.USUAL).part("pump").orElseThrow().shape())
        .isEqualTo(Shape.WHEEL);
  }
}
