package gotera.dye;

/** What the glow of a joint is. */
public enum Glow {
  /** Not there before the dye went in. */
  NEW,
  /** There before, and larger now. */
  GROWN,
  /** There before, and no larger: it has no weight. */
  UNCHANGED,
  /** Glows, and nobody had scanned before the dye went in: it may be old, and weighs little. */
  UNSCANNED,
  /** Seen before the dye went in, not scanned since. */
  OLD;

  /** Whether it says that the joint leaks. */
  public boolean counts() {
    return this == NEW || this == GROWN || this == UNSCANNED;
  }
}
