package gotera.pressure.verdict;

import gotera.word.Worded;

/** The classes of verdict on a pressure test. */
public enum VerdictKind implements Worded {
  /** Released because the place was seen: a finding, no rate. */
  STOPPED,
  /** The rated pressure cannot be reached or kept. */
  GROSS,
  /** A condition of the test failed. */
  NOT_COUNTED,
  /** Coolant leaves. */
  LEAK,
  /** The computed rate is zero within its uncertainty, and the bound suffices. */
  TIGHT,
  /** Neither a leak nor tight is shown. */
  NOT_PROVEN;
}
