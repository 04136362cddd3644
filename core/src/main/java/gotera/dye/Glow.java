package gotera.dye;

import gotera.word.Worded;

/** What the glow of a joint is. */
public enum Glow implements Worded {
  /** Not there before the dye went in. */
  NEW_GLOW,
  /** There before the dye or the repair, and larger now. */
  GROWN,
  /** There before, and no larger: it has no weight. */
  UNCHANGED,
  /** Glows, and nobody had scanned before the dye went in: it may be old, and weighs little. */
  UNSCANNED,
  /** Seen before the dye went in or before the repair, not scanned since. */
  OLD,
  /** Scanned where dye has been, and it does not glow. */
  DARK;

  /** Whether it says that the joint leaks. */
  public boolean counts() {
    return this == NEW_GLOW || this == GROWN || this == UNSCANNED;
  }
}
