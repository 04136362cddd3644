package gotera.drawing;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.DripTrace;
import gotera.word.Worded;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a drawing of a circuit shows.
 *
 * @param circuit the circuit
 * @param joints what is known of each joint, by its code
 * @param chosen the joint being looked at
 * @param drips where it drips, with the joints that can feed it
 * @param still branches that coolant has not flowed through; drawn pale
 * @param dark whether it is drawn for the dark bay
 */
public record CircuitView(
    Circuit circuit,
    Map<String, JointView> joints,
    Optional<String> chosen,
    Optional<DripTrace> drips,
    Set<Branch> still,
    boolean dark) {
  /** Keeps its own copies. */
  public CircuitView {
    joints = Map.copyOf(joints);
    still = Set.copyOf(still);
  }

  /** A drawing of nothing but the circuit. */
  public static CircuitView plain(Circuit circuit, Map<String, JointView> joints) {
    return new CircuitView(circuit, joints, Optional.empty(), Optional.empty(), Set.of(), false);
  }

  /** What was seen at a joint. */
  public enum Mark implements Worded {
    /** Nobody has looked. */
    OPEN,
    /** Looked at and dry. */
    DRY,
    /** Wet. */
    WET,
    /** Stained or crusted. */
    STAINED
  }

  /** What the lamp showed at a joint. */
  public enum Glow implements Worded {
    /** Nothing, or nobody looked. */
    NONE,
    /** Old glow, not grown. */
    OLD,
    /** New or grown since. */
    NEW
  }

  /**
   * What to draw at a joint.
   *
   * @param mark what was seen
   * @param label its name and figure, shown beside it where something was found
   * @param spoken what is read aloud
   * @param suspicion probability that it leaks, 0 to 1: the size of its halo
   * @param glow what the lamp showed
   */
  public record JointView(Mark mark, String label, String spoken, double suspicion, Glow glow) {
    /** Whether its name stands beside it. */
    boolean named() {
      return mark == Mark.WET || glow != Glow.NONE;
    }
  }

  /** Words and addresses of a drawing. */
  public interface Words {
    /** What is read aloud for the whole. */
    String name();

    /** The word for a part or line. */
    String part(String code);

    /** The address of a joint. */
    String address(String joint);
  }
}
