package gotera.standing;

import gotera.retest.Circumstance;
import gotera.word.Worded;
import java.time.Instant;

/**
 * It leaks after the repair.
 *
 * @param when under which circumstance
 * @param by what says so
 * @param place word of the place, or of the spot it drips from; empty where none is known
 * @param at when it happened
 */
public record LeaksAgain(Circumstance when, By by, String place, Instant at) {
  /** What says so. */
  public enum By implements Worded {
    /** A place was seen wet. */
    WET,
    /** Drops fall from a spot. */
    DRIPS,
    /** A place that had been clean is stained. */
    STAINED,
    /** A place glows that did not before. */
    GLOWS,
    /** A hold lost coolant. */
    HOLD,
    /** A drop fell while it ran. */
    RUN,
    /** The drive, or the look after it. */
    ROAD,
    /** The level falls. */
    LEVEL
  }
}
