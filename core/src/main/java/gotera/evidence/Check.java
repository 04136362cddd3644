package gotera.evidence;

import java.util.List;

/**
 * A check that could be made now.
 *
 * @param label what it is called
 * @param minutes work it costs, with what must come first (min), positive
 * @param outcomes what it can show, one of them for certain
 */
public record Check(Label label, double minutes, List<Evidence> outcomes) {
  /** Refuses a check that shows nothing or costs nothing. */
  public Check {
    outcomes = List.copyOf(outcomes);
    if (!(minutes > 0) || outcomes.size() < 2) {
      throw new IllegalArgumentException(label + ": " + minutes + " min, " + outcomes);
    }
  }

  /** How much less uncertain one expects to be after it (bit), never below zero. */
  public double gain(Posterior now) {
    return now.gain(outcomes);
  }
}
