package gotera.suspects;

import gotera.word.Worded;

/** What kind of place something is that can leak. Its code names it within all of them. */
public enum PlaceKind implements Worded {
  /** A joint of the circuit. */
  JOINT,
  /** Within the engine: nothing of it shows outside. */
  INSIDE,
  /** Somewhere in a region, without a name on the circuit. */
  ELSEWHERE,
  /** A joint that the shop added: its facts stand for any of them. */
  ADDED
}
