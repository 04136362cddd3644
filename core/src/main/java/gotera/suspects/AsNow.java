package gotera.suspects;

import gotera.circuit.Branch;
import java.util.Set;

/**
 * How the circuit stands now.
 *
 * @param cutOff branches that are cut off
 * @param heaterValveShut whether the heater's valve is shut
 */
public record AsNow(Set<Branch> cutOff, boolean heaterValveShut) {
  /** Everything open. */
  public static final AsNow OPEN = new AsNow(Set.of(), false);

  /** Keeps its own copy. */
  public AsNow {
    cutOff = Set.copyOf(cutOff);
  }

  /** With the heater's valve shut or not, nothing else cut off. */
  public static AsNow heaterValveShut(boolean shut) {
    return new AsNow(Set.of(), shut);
  }
}
