package gotera.suspects;

import gotera.evidence.Hypothesis;
import gotera.evidence.Mode;
import gotera.look.LookState;
import java.util.Map;

/**
 * What is known of a place beforehand.
 *
 * @param place its name
 * @param prior probability that it leaks where a loss is looked for
 * @param modes when its faults act: the share of each mode among them, together 1
 * @param seen probability of seeing it wet where it leaks
 * @param falseAlarm probability of seeing it wet where nothing leaks
 * @param access what it costs to look at it
 * @param kind what kind of place it is
 */
public record PlaceFacts(
    String place,
    double prior,
    Map<Mode, Double> modes,
    Seen seen,
    double falseAlarm,
    Access access,
    PlaceKind kind) {
  /** Keeps its own copy. */
  public PlaceFacts {
    modes = Map.copyOf(modes);
  }

  /**
   * Probability of seeing a place wet where it leaks, while its fault acts.
   *
   * @param pressed cold, under pressure
   * @param running running or warm
   * @param parked parked and cold, without pressure
   */
  public record Seen(double pressed, double running, double parked) {
    /** In a state. */
    public double in(LookState state) {
      return switch (state) {
        case PRESSED -> pressed;
        case WARM, RUNNING -> running;
        case PARKED, COLD -> parked;
      };
    }
  }

  /**
   * What it costs to look at a place.
   *
   * @param minutes time to look (min), positive
   * @param covers what must come off first; empty where it is open
   * @param coverMinutes time for that (min)
   */
  public record Access(double minutes, String covers, double coverMinutes) {
    /** All of it (min). */
    public double all() {
      return minutes + coverMinutes;
    }
  }

  /** Whether nothing of it shows outside. */
  public boolean inside() {
    return kind == PlaceKind.INSIDE;
  }

  /** As something that may be so. */
  Hypothesis hypothesis() {
    return new Hypothesis(place, prior, modes);
  }

  /** The same facts for a place of another name. */
  PlaceFacts named(String other) {
    return new PlaceFacts(other, prior, modes, seen, falseAlarm, access, kind);
  }

  /** The same facts with other odds beforehand: {@code factor} times as many faults. */
  PlaceFacts likelier(double factor) {
    double odds = factor * prior / (1 - prior);
    return new PlaceFacts(place, odds / (1 + odds), modes, seen, falseAlarm, access, kind);
  }
}
