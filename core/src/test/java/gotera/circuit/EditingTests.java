package gotera.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit.Joint;
import gotera.circuit.CircuitEdit.AddJoint;
import gotera.circuit.CircuitEdit.AddPart;
import gotera.circuit.CircuitEdit.LoopOff;
import gotera.circuit.CircuitEdit.MoveJoint;
import gotera.circuit.CircuitEdit.MovePart;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.RemoveJoint;
import gotera.circuit.CircuitEdit.RemovePart;
import gotera.circuit.CircuitEdit.Rename;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.Editing.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EditingTests {
  private final Circuit usual = CircuitBuilder.of(CircuitPresets.USUAL);

  @Test
  void aNameIsGivenAndTakenBack() {
    Circuit named = done(usual, new Rename("pump.gasket", "Gasket behind the pump"));
    assertThat(named.names()).containsEntry("pump.gasket", "Gasket behind the pump");
    assertThat(done(named, new Rename("pump.gasket", " ")).names()).isEmpty();
    assertThat(refused(usual, new Rename("nothing.here", "x"))).isEqualTo(Problem.UNKNOWN);
  }

  @Test
  void aJointIsAddedWhereAFingerCanTellIt() {
    AddJoint edit = new AddJoint("added-1", "Sensor", "head", Spot.UPPER_REAR, Fastening.O_RING);
    Joint added = done(usual, edit).joint("added-1").orElseThrow();
    assertThat(usual.joints()).allMatch(j -> j.at().distance(added.at()) >= Circuit.TOUCH);
    assertThat(added.branch()).isEqualTo(Branch.ENGINE);
    assertThat(refused(done(usual, edit), edit)).isEqualTo(Problem.TAKEN);
  }

  @Test
  void aPartTooFullTakesNoMoreJoints() {
    Circuit circuit = usual;
    Problem problem = null;
    for (int i = 0; i < 30 && problem == null; i++) {
      Editing editing =
          Editing.apply(
              circuit, new AddJoint("added-" + i, "n", "bottle", Spot.CENTRE, Fastening.NONE));
      circuit = editing.circuit();
      problem = editing.problem().orElse(null);
    }
    assertThat(problem).isEqualTo(Problem.NO_ROOM);
  }

  @Test
  void aHoseFollowsItsEnd() {
    Circuit moved = done(usual, new MoveJoint("upper-hose.housing-end", "head", Spot.UPPER_FRONT));
    Joint joint = moved.joint("upper-hose.housing-end").orElseThrow();
    assertThat(joint.at()).isNotEqualTo(usual.joint(joint.code()).orElseThrow().at());
    assertThat(moved.lines())
        .anyMatch(l -> l.code().equals("upper-hose") && l.points().contains(joint.at()));
  }

  @Test
  void whatAVehicleDoesNotHaveIsRemoved() {
    assertThat(done(usual, new RemoveJoint("block.drain-plug")).joint("block.drain-plug"))
        .isEmpty();
    assertThat(refused(usual, new RemoveJoint("nothing"))).isEqualTo(Problem.UNKNOWN);
    assertThat(refused(usual, new RemovePart("pump"))).isEqualTo(Problem.OF_A_FEATURE);
  }

  @Test
  void anAddedPartFindsRoomMovesWithItsJointsAndGoes() {
    Circuit with = done(usual, new AddPart("added-part", "Second cooler", Region.FRONT));
    with =
        done(with, new AddJoint("added-j", "Fitting", "added-part", Spot.CENTRE, Fastening.SCREW));
    Circuit before = with;
    assertThat(before.parts())
        .filteredOn(p -> !p.code().equals("added-part"))
        .noneMatch(p -> p.overlaps(before.part("added-part").orElseThrow()));
    Circuit moved = done(before, new MovePart("added-part", Region.CABIN));
    assertThat(moved.joint("added-j").orElseThrow().at().x()).isGreaterThan(Circuit.FIREWALL);
    assertThat(done(moved, new RemovePart("added-part")).joints()).isEqualTo(usual.joints());
  }

  @Test
  void aBranchLoopedOffHoldsNoCoolantAnyMore() {
    Circuit built =
        CircuitBuilder.of(CircuitPresets.of("v-along-automatic").orElseThrow().features());
    Circuit now = done(built, new LoopOff("rear-heater"));
    assertThat(now.joints()).noneMatch(j -> j.branch() == Branch.REAR_HEATER);
    assertThat(now.joint("loop.rear-heater")).isPresent();
    assertThat(now.part("rear-heater-core").orElseThrow().inUse()).isFalse();
    assertThat(now.joint("heater-core.tubes")).isPresent();
    assertThat(done(built, new LoopOff("heater")).joints())
        .noneMatch(j -> j.branch() == Branch.REAR_HEATER || j.branch() == Branch.HEATER);
    assertThat(refused(built, new LoopOff("engine"))).isEqualTo(Problem.NOT_LOOPABLE);
    assertThat(refused(usual, new LoopOff("rear-heater"))).isEqualTo(Problem.UNKNOWN);
  }

  @Test
  void aThousandRandomEditsLeaveACircuitThatIsWhole() {
    Random random = new Random(7);
    Circuit circuit = usual;
    for (int i = 0; i < 1000; i++) {
      circuit = Editing.apply(circuit, some(random, circuit, i)).circuit();
    }
    List<Joint> joints = circuit.joints();
    for (int i = 0; i < joints.size(); i++) {
      for (int k = 0; k < i; k++) {
        assertThat(joints.get(i).at().distance(joints.get(k).at()))
            .isGreaterThanOrEqualTo(Circuit.TOUCH);
      }
    }
    assertThat(joints).extracting(Joint::code).doesNotHaveDuplicates();
  }

  private static CircuitEdit some(Random random, Circuit c, int i) {
    String joint =
        c.joints().isEmpty() ? "none" : c.joints().get(random.nextInt(c.joints().size())).code();
    String part = c.parts().get(random.nextInt(c.parts().size())).code();
    Spot spot = Spot.values()[random.nextInt(9)];
    Region region = Region.values()[random.nextInt(3)];
    return switch (random.nextInt(8)) {
      case 0 -> new Rename(joint, "n" + i);
      case 1, 2 -> new AddJoint("added-j" + i, "n", part, spot, Fastening.SCREW);
      case 3 -> new MoveJoint(joint, part, spot);
      case 4 -> new RemoveJoint(joint);
      case 5 -> new AddPart("added-p" + i, "p", region);
      case 6 -> new MovePart(part, region);
      default -> new RemovePart(part);
    };
  }

  @Test
  void anEditThatMakesNoSenseAnyMoreIsLeftOut() {
    List<CircuitEdit> edits = new ArrayList<>();
    edits.add(new RemoveJoint("pump.gasket"));
    edits.add(new Rename("pump.gasket", "gone"));
    edits.add(new Rename("radiator.core", "Core"));
    assertThat(Editing.all(usual, edits).names()).containsOnlyKeys("radiator.core");
  }

  private static Circuit done(Circuit circuit, CircuitEdit edit) {
    Editing editing = Editing.apply(circuit, edit);
    assertThat(editing.problem()).isEmpty();
    return editing.circuit();
  }

  private static Problem refused(Circuit circuit, CircuitEdit edit) {
    Editing editing = Editing.apply(circuit, edit);
    assertThat(editing.circuit()).isSameAs(circuit);
    return editing.problem().orElseThrow();
  }
}
