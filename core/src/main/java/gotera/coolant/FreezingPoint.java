package gotera.coolant;

import gotera.word.Worded;
import java.util.OptionalDouble;

/**
 * Freezing point of a glycol–water mixture by volume: straight lines between the points of handbook
 * tables and label practice (values from memory). Good to about 2 K. Above 60 % more glycol freezes
 * earlier again, so nothing is said there.
 */
public final class FreezingPoint {
  /** Highest strength the tables reach. */
  public static final double HIGHEST = 0.6;

  /** Which glycol; a refractometer's scale is of one of them. */
  public enum Glycol implements Worded {
    ETHYLENE(
        new double[] {0, 0.10, 0.20, 0.25, 0.30, 0.33, 0.40, 0.50, 0.60},
        new double[] {0, -3.5, -8, -12, -15, -18, -24, -37, -52}),
    /** Points at 30, 40 and 50 % from memory; between water and 30 % by the straight line. */
    PROPYLENE(new double[] {0, 0.30, 0.40, 0.50}, new double[] {0, -13, -21, -33});

    private final double[] strengths;
    private final double[] celsius;

    Glycol(double[] strengths, double[] celsius) {
      this.strengths = strengths;
      this.celsius = celsius;
    }

    /** Highest strength of its table. */
    public double highest() {
      return strengths[strengths.length - 1];
    }

    /** Lowest freezing point of its table (°C). */
    public double lowest() {
      return celsius[celsius.length - 1];
    }
  }

  /**
   * Standard uncertainty of a strength read by a refractometer: ± 2 % of volume are taken as 95 %
   * (1) (common practice, no source).
   */
  public static final double READ_U = 0.01;

  private FreezingPoint() {}

  /**
   * Freezing point (°C).
   *
   * @param strength volume fraction of concentrate; outside the glycol's table it is refused
   */
  public static double of(Glycol glycol, double strength) {
    if (!(strength >= 0 && strength <= glycol.highest())) {
      throw new IllegalArgumentException("strength must be 0 to " + glycol.highest());
    }
    return between(glycol.strengths, glycol.celsius, strength);
  }

  /** The same; nothing outside the glycol's table (°C). */
  public static OptionalDouble ifKnown(Glycol glycol, double strength) {
    return strength >= 0 && strength <= glycol.highest()
        ? OptionalDouble.of(of(glycol, strength))
        : OptionalDouble.empty();
  }

  /**
   * Strength of a mixture that freezes at a temperature, as a refractometer reads it; ± 2 % of
   * volume (common practice, no source).
   *
   * @param celsius freezing point (°C); outside the glycol's table it is refused
   */
  public static double strength(Glycol glycol, double celsius) {
    if (!(celsius <= 0 && celsius >= glycol.lowest())) {
      throw new IllegalArgumentException("a reading must be " + glycol.lowest() + " to 0 °C");
    }
    double[] rising = new double[glycol.celsius.length];
    for (int i = 0; i < rising.length; i++) {
      rising[i] = -glycol.celsius[i];
    }
    return between(rising, glycol.strengths, -celsius);
  }

  private static double between(double[] x, double[] y, double at) {
    int i = 1;
    while (i < x.length - 1 && at > x[i]) {
      i++;
    }
    return y[i - 1] + (y[i] - y[i - 1]) * (at - x[i - 1]) / (x[i] - x[i - 1]);
  }
}
