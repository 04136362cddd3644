package gotera.evidence;

/**
 * That a place leaks.
 *
 * @param place name of the joint or inside place
 * @param prior probability before anything was found, above 0 and below 1
 */
public record Hypothesis(String place, double prior) {
  /** Refuses what is certain beforehand: no finding could change it. */
  public Hypothesis {
    if (!(prior > 0 && prior < 1)) {
      throw new IllegalArgumentException("prior of " + place + " is " + prior);
    }
  }

  /** The same with another prior. */
  Hypothesis withPrior(double other) {
    return new Hypothesis(place, other);
  }
}
