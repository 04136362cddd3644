package gotera.evidence;

/**
 * How many places of a vehicle leak, before anything was found: a number of its own, for the odds
 * of sixty places multiplied would have it that two leak as often as one.
 *
 * @param none weight of none (1)
 * @param one weight of one (1)
 * @param two weight of two (1)
 */
public record FaultCount(double none, double one, double two) {
  /** A vehicle that was brought in (our judgement, untested). */
  public static final FaultCount BROUGHT_IN = new FaultCount(0.22, 0.56, 0.22);

  /** Beside a place that is known to leak already (our judgement, untested). */
  public static final FaultCount BESIDES = new FaultCount(0.84, 0.14, 0.02);

  /** Refuses what is no weight. */
  public FaultCount {
    if (!(none > 0 && one > 0 && two > 0)) {
      throw new IllegalArgumentException("weights of " + none + ", " + one + ", " + two);
    }
  }
}
