package gotera.coolant;

import gotera.quantity.Temperature;

/**
 * How much a coolant grows against its container between two temperatures: the integral of β − α,
 * by trapezoids between the nodes of {@link Expansion}'s table.
 *
 * <p>Beyond the table (10 to 60 °C) β goes on along its last stretch, down to 0 and up to 125 °C,
 * with twice the uncertainty (our judgement, untested): an engine that runs is hotter than the
 * table. Refuses anything else.
 *
 * @param share growth as a share of the volume (1); negative when it cools
 * @param u standard uncertainty of the share (1)
 */
public record Growth(double share, double u) {
  /** The lowest temperature that is answered (°C). */
  public static final double COLDEST = 0;

  /** The highest temperature that is answered (°C). */
  public static final double HOTTEST = 125;

  /** Temperature at which a system is filled (°C) (our judgement, untested). */
  public static final double FILLED = 20;

  /** Temperature of a whole system that runs hot (°C) (our judgement, untested). */
  public static final double RUNNING = 90;

  private static final double[] NODES = {COLDEST, 10, 20, 30, 40, 60, HOTTEST};
  private static final double BEYOND = 2;

  /**
   * Between two temperatures.
   *
   * @param from at first (°C)
   * @param to afterwards (°C)
   */
  public static Growth between(CoolantMixture mixture, double from, double to) {
    if (!covers(from) || !covers(to)) {
      throw new IllegalArgumentException("growth is known from 0 to 125 °C: " + from + ", " + to);
    }
    double low = Math.min(from, to);
    double high = Math.max(from, to);
    double share = 0;
    double u = 0;
    for (int i = 0; i + 1 < NODES.length; i++) {
      double a = Math.max(low, NODES[i]);
      double b = Math.min(high, NODES[i + 1]);
      if (b > a) {
        share += (b - a) * (rate(mixture, a) + rate(mixture, b)) / 2;
        u += (b - a) * (uncertainty(mixture, a) + uncertainty(mixture, b)) / 2;
      }
    }
    return new Growth(to < from ? -share : share, u);
  }

  /** Whether a temperature is answered (°C). */
  public static boolean covers(double celsius) {
    return celsius >= COLDEST && celsius <= HOTTEST;
  }

  /** Growth β − α at a temperature (1/K), from 0 to 125 °C. */
  public static double rate(CoolantMixture mixture, double celsius) {
    double held = held(celsius);
    double at = Expansion.againstCastings(mixture, Temperature.ofCelsius(held));
    if (held == celsius) {
      return at;
    }
    double inner = held > celsius ? held + 10 : held - 20;
    double before = Expansion.againstCastings(mixture, Temperature.ofCelsius(inner));
    return at + (at - before) / (held - inner) * (celsius - held);
  }

  /** Standard uncertainty of {@link #rate} (1/K). */
  public static double uncertainty(CoolantMixture mixture, double celsius) {
    double held = held(celsius);
    double at = Expansion.uncertainty(mixture, Temperature.ofCelsius(held));
    return held == celsius ? at : BEYOND * at;
  }

  private static double held(double celsius) {
    return Math.max(10, Math.min(60, celsius));
  }
}
