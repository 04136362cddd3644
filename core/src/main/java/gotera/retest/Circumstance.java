package gotera.retest;

import gotera.word.Worded;

/** A circumstance under which a leak shows. */
public enum Circumstance implements Worded {
  /** Under the pressure of a tester. */
  PRESSED,
  /** Parked and cold. */
  PARKED,
  /** While the engine runs. */
  RUNNING,
  /** On the road. */
  DRIVEN,
  /** As a level that falls over weeks. */
  OVER_WEEKS
}
