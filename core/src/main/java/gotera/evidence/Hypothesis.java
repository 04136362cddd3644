package gotera.evidence;

import java.util.EnumMap;
import java.util.Map;

/**
 * That a place leaks, and when it would.
 *
 * @param place name of the joint or inside place
 * @param prior probability before anything was found, above 0 and below 1
 * @param modes share of each mode among the faults of this place, above 0, together 1
 */
public record Hypothesis(String place, double prior, Map<Mode, Double> modes) {
  private static final double ROUNDING = 1e-9;

  /** Refuses what is certain beforehand, for no finding could change it, and shares of nothing. */
  public Hypothesis {
    if (!(prior > 0 && prior < 1)) {
      throw new IllegalArgumentException("prior of " + place + " is " + prior);
    }
    double sum = modes.values().stream().mapToDouble(Double::doubleValue).sum();
    if (!(Math.abs(sum - 1) < ROUNDING) || modes.values().stream().anyMatch(s -> !(s > 0))) {
      throw new IllegalArgumentException("modes of " + place + " are " + modes);
    }
    // an enum's map keeps the order of the modes, so that sums are rounded alike everywhere
    modes = java.util.Collections.unmodifiableMap(new EnumMap<>(modes));
  }

  /** A fault that acts whenever there is pressure. */
  public Hypothesis(String place, double prior) {
    this(place, prior, Map.of(Mode.ALWAYS, 1.0));
  }

  /** The same with another prior. */
  public Hypothesis withPrior(double other) {
    return new Hypothesis(place, other, modes);
  }
}
