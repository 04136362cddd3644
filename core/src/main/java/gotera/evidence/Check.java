package gotera.evidence;

import java.util.Comparator;
import java.util.List;

/**
 * A check that could be made now.
 *
 * @param label what it is called
 * @param minutes work it costs, with what must come first (min), positive
 * @param outcomes what it can show, one of them for certain
 */
public record Check(Label label, double minutes, List<Finding> outcomes) {
  /** Refuses a check that shows nothing or costs nothing. */
  public Check {
    outcomes = List.copyOf(outcomes);
    if (!(minutes > 0) || outcomes.size() < 2) {
      throw new IllegalArgumentException(label + ": " + minutes + " min, " + outcomes);
    }
  }

  /** Looking at one place: wet or dry. */
  public static Check look(
      Label label, double minutes, String place, double sensitivity, double falseAlarm) {
    return new Check(
        label,
        minutes,
        List.of(
            new Finding.AtPlace(label, place, true, sensitivity, falseAlarm),
            new Finding.AtPlace(label, place, false, sensitivity, falseAlarm)));
  }

  /** How much less uncertain one expects to be after it (bit), never below zero. */
  public double gain(Posterior now) {
    return now.gain(outcomes);
  }

  /** The checks by what they tell per minute of work, the best first. */
  public static List<Ranked> rank(List<Check> checks, Posterior now) {
    return checks.stream()
        .map(c -> new Ranked(c, c.gain(now)))
        .sorted(Comparator.comparingDouble(Ranked::perMinute).reversed())
        .toList();
  }

  /**
   * A check and what it is expected to tell.
   *
   * @param check the check
   * @param bits expected fall of the entropy (bit)
   */
  public record Ranked(Check check, double bits) {
    /** What it tells for a minute of work (bit/min). */
    public double perMinute() {
      return bits / check.minutes();
    }
  }
}
