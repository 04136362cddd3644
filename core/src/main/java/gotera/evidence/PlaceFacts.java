package gotera.evidence;

/**
 * What is known of a place beforehand.
 *
 * @param place its name
 * @param prior probability that it leaks where a loss is looked for
 * @param acts when its fault acts
 * @param seenPressed probability of seeing it wet under pressure, cold, where it leaks
 * @param seenRunning the same running and hot
 * @param seenParked the same parked and cold, without pressure
 * @param falseAlarm probability of seeing it wet where it does not leak
 * @param minutes time to look at it (min)
 * @param inside whether nothing of it shows outside
 */
public record PlaceFacts(
    String place,
    double prior,
    Acts acts,
    double seenPressed,
    double seenRunning,
    double seenParked,
    double falseAlarm,
    double minutes,
    boolean inside) {

  /** When a fault acts. */
  public enum Acts {
    /** Whenever there is pressure. */
    ALWAYS,
    /** Only hot. */
    HEAT,
    /** Only while it turns. */
    ROTATION;

    /** Whether it acts in a cold hold. */
    public boolean cold() {
      return this == ALWAYS;
    }
  }

  /** State in which a place was looked at. */
  public enum State {
    /** Cold, under pressure. */
    PRESSED,
    /** Running, warm. */
    RUNNING,
    /** Parked and cold. */
    PARKED
  }

  /** As something that may be so. */
  Hypothesis hypothesis() {
    return new Hypothesis(place, prior);
  }

  /** Probability of seeing it wet in a state, where it leaks. */
  public double sensitivity(State state) {
    return switch (state) {
      case PRESSED -> seenPressed;
      case RUNNING -> seenRunning;
      case PARKED -> seenParked;
    };
  }

  /** The same facts for a place of another name. */
  public PlaceFacts named(String other) {
    return new PlaceFacts(
        other, prior, acts, seenPressed, seenRunning, seenParked, falseAlarm, minutes, inside);
  }
}
