package gotera.dial;

import gotera.word.Worded;

/** What came of looking at a dial. */
public sealed interface DialReading {
  /**
   * It was read.
   *
   * @param kilopascals where the needle points (kPa)
   * @param u standard uncertainty of that (kPa)
   * @param angle of the needle, clockwise from the right (rad)
   */
  record Read(double kilopascals, double u, double angle) implements DialReading {}

  /** It was not: a guess is worse than nothing. */
  record NotRead(Why why) implements DialReading {}

  /** Why a needle is not read. */
  enum Why implements Worded {
    /** Nothing stands out like a needle. */
    NO_NEEDLE,
    /** Something as straight as a needle stands beside it. */
    TWO_NEEDLES,
    /** Light is reflected where it points. */
    GLARE,
    /** It is smeared: out of focus, or it moves. */
    BLUR,
    /** Only a part of it is seen. */
    HIDDEN,
    /** It points where the scale does not reach. */
    OFF_THE_SCALE
  }
}
