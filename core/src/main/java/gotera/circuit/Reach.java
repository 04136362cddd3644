package gotera.circuit;

import gotera.circuit.Circuit.Joint;
import java.util.EnumSet;
import java.util.Set;

/**
 * The branches that coolant has flowed through. Until the thermostat opens, radiator and hoses hold
 * still: no dye reaches them and no gas comes up; with the heater valve shut the heater is not in
 * the test (common practice, no source).
 *
 * @param branches what is reached
 */
public record Reach(Set<Branch> branches) {
  /** Keeps its own copy. */
  public Reach {
    branches = Set.copyOf(branches);
  }

  /**
   * What flow reaches.
   *
   * @param circuit the circuit as it is now
   * @param thermostatOpen whether the thermostat has opened
   * @param heaterOpen whether the heater's valve was open
   */
  public static Reach byFlow(Circuit circuit, boolean thermostatOpen, boolean heaterOpen) {
    Set<Branch> reached = EnumSet.noneOf(Branch.class);
    for (Joint joint : circuit.joints()) {
      boolean open =
          switch (joint.branch().gate()) {
            case NONE -> true;
            case THERMOSTAT -> thermostatOpen;
            case HEATER_VALVE -> heaterOpen;
          };
      if (open) {
        reached.add(joint.branch());
      }
    }
    return new Reach(reached);
  }

  /** What a standing pressure reaches: everything but what a shut heater valve cuts off. */
  public static Reach byPressure(Circuit circuit, boolean heaterOpen) {
    return byFlow(circuit, true, heaterOpen);
  }

  /** Whether a joint is reached. */
  public boolean reaches(Joint joint) {
    return branches.contains(joint.branch());
  }
}
