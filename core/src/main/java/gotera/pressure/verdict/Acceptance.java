package gotera.pressure.verdict;

import gotera.word.Worded;

/**
 * The rate at the rated pressure up to which a system counts as tight, and what it is for.
 *
 * @param purpose what the test is for
 * @param limit acceptance limit q_a (mL/min), positive
 */
public record Acceptance(Purpose purpose, double limit) {
  /** Refuses a limit of zero: no measurement reaches it. */
  public Acceptance {
    if (!(limit > 0)) {
      throw new IllegalArgumentException("acceptance limit must be positive, not " + limit);
    }
  }

  /** The usual limit of a purpose. */
  public static Acceptance of(Purpose purpose) {
    return new Acceptance(purpose, purpose.usual);
  }

  /** What a test is for; the usual limits are our judgement, untested. */
  public enum Purpose implements Worded {
    /** Finding a leak: 1 mL/min. */
    SEARCH(1),
    /** Checking a repair: 0.3 mL/min. */
    REPAIR(0.3),
    /** Signing off: 0.1 mL/min, two drops a minute; asks for a closing draw. */
    SIGN_OFF(0.1),
    /** A limit of the shop's own. */
    OWN(0.1);

    private final double usual;

    Purpose(double usual) {
      this.usual = usual;
    }

    /** The usual limit (mL/min). */
    public double usual() {
      return usual;
    }
  }
}
