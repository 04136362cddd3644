package gotera.web.combustion;

import gotera.word.Worded;

/** What is written down in a check for combustion gas. */
enum GasWord implements Worded {
  /** Where the tester stands, and the free area below it. */
  SET_UP,
  FILLED_BLUE,
  FILLED_NOT_BLUE,
  LEVEL,
  STARTED,
  WARMED,
  OPENED,
  DRAWING,
  DRAWN,
  STALLED,
  FLOODED,
  BLUE,
  YELLOW,
  GREEN,
  TURNED,
  NOT_TURNED,
  ENDED
}
