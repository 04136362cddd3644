package gotera.evidence;

import gotera.word.Worded;

/** When a fault acts: it leaks only then. */
public enum Mode implements Worded {
  /** Whenever there is pressure. */
  ALWAYS,
  /** Only hot. */
  HEAT,
  /** Only while it turns. */
  ROTATION,
  /** Only cold, after standing: what shrinks opens. */
  COLD
}
