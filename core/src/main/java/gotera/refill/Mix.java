package gotera.refill;

import java.util.Optional;

/**
 * What to drain and what to pour in to reach a strength. Volumes are taken as additive (error below
 * 1 %). Volumes in any unit, the same throughout; strengths are volume fractions of concentrate.
 */
public final class Mix {
  private Mix() {}

  /**
   * Concentrate and water of a fill.
   *
   * @param concentrate volume of concentrate
   * @param water volume of water
   */
  public record Fill(double concentrate, double water) {}

  /**
   * Draining some and replacing it.
   *
   * @param drain volume to drain and replace; empty where the wanted strength cannot be reached
   * @param highest highest strength that can be reached
   */
  public record Restore(Optional<Double> drain, double highest) {}

  /** A new fill of a dry system. */
  public static Fill fresh(double capacity, double strength) {
    return new Fill(capacity * strength, capacity * (1 - strength));
  }

  /** Strength after volumes were exchanged by water, one after the other. */
  public static double diluted(double strength, double volume, double... exchanged) {
    double left = strength;
    for (double v : exchanged) {
      left *= 1 - v / volume;
    }
    return left;
  }

  /**
   * How much to drain and replace.
   *
   * @param volume volume of the system
   * @param strength strength now
   * @param wanted strength wanted, above the present one
   * @param poured strength of what is poured in, 1 for concentrate
   * @param rest volume that cannot be drained
   */
  public static Restore restore(
      double volume, double strength, double wanted, double poured, double rest) {
    double highest = (rest * strength + (volume - rest) * poured) / volume;
    if (wanted <= strength) {
      return new Restore(Optional.of(0.0), Math.max(strength, highest));
    }
    double drain = volume * (wanted - strength) / (poured - strength);
    boolean possible = poured > wanted && drain <= volume - rest;
    return new Restore(
        possible ? Optional.of(drain) : Optional.empty(), Math.max(strength, highest));
  }

  /**
   * What filling up alone can reach.
   *
   * @param lowest strength when all that is missing is water
   * @param highest strength when all of it is concentrate
   */
  public record Reach(double lowest, double highest) {}

  /**
   * What filling up a system that is not full can reach.
   *
   * @param volume volume of the full system
   * @param now what is in it, not above that
   * @param strength strength of what is in it
   */
  public static Reach reach(double volume, double now, double strength) {
    return new Reach(now * strength / volume, (now * strength + volume - now) / volume);
  }

  /**
   * A full drain and a new fill.
   *
   * @param volume volume of the system
   * @param rest volume that cannot be drained
   * @param strength strength of that rest
   * @param wanted strength wanted
   * @return what to pour in; empty where the rest alone makes it impossible
   */
  public static Optional<Fill> fullDrain(
      double volume, double rest, double strength, double wanted) {
    double concentrate = volume * wanted - rest * strength;
    double water = volume - rest - concentrate;
    return concentrate >= 0 && water >= 0
        ? Optional.of(new Fill(concentrate, water))
        : Optional.empty();
  }
}
