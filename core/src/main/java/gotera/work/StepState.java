package gotera.work;

import gotera.word.Worded;

/** How far a step is. */
public enum StepState implements Worded {
  UNTOUCHED,
  RUNNING,
  PARTLY,
  DONE,
  AGAIN,
  NOT_NEEDED,
  SKIPPED
}
