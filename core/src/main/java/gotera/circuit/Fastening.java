package gotera.circuit;

import gotera.word.Worded;

/** How a joint is held. How each is let go is a word of the trade, by the same name. */
public enum Fastening implements Worded {
  /** Pressure cap. */
  CAP,
  /** Hose clamp. */
  CLAMP,
  /** Connector with a wire or a latch. */
  QUICK_CONNECTOR,
  /** Pushed on, held by friction. */
  PUSH_FIT,
  /** Screwed in. */
  SCREW,
  /** Held by bolts. */
  BOLTS,
  /** Crimped over. */
  CRIMP,
  /** Soldered or brazed. */
  SOLDERED,
  /** Pressed in. */
  PRESSED_IN,
  /** Sealed by a ring in a bore. */
  O_RING,
  /** A loop of hose where a branch was cut out. */
  LOOP,
  /** Nothing: it is the wall of a part. */
  NONE;
}
