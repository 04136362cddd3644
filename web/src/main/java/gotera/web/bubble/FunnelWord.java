package gotera.web.bubble;

import gotera.word.Worded;

/** What is written down at a funnel. */
enum FunnelWord implements Worded {
  /** The funnel and its free area. */
  SET_UP,
  LEVEL,
  MOVED,
  /** Water was put in. */
  WATER,
  /** Coolant as it is in there was put in. */
  COOLANT,
  SQUEEZED,
  HOSES,
  SMALL,
  PEA,
  LARGE,
  BURST,
  ENDED
}
