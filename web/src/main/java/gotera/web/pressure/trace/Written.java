package gotera.web.pressure.trace;

/** How a write to a test ended. */
public enum Written {
  /** It is stored. */
  DONE,
  /** It is stored behind the last reading: the clock had gone back. */
  CLOCK_BACK,
  /** The test is sealed; nothing can be added. */
  FINISHED,
  /** There is a reading at that time already. */
  SAME_TIME,
  /** Its time is farther from the others than a trace is long. */
  TOO_FAR,
  /** The test has readings already. */
  NOT_EMPTY,
  /** The entry is another test's. */
  ANOTHER_TEST,
  /** What it is about does not count any more. */
  GONE;

  /** Whether it is stored. */
  public boolean isDone() {
    return this == DONE || this == CLOCK_BACK;
  }
}
