package gotera.coolant;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.Temperature;

/**
 * Temperature at which a mixture boils: where its water vapour reaches the pressure, x_w·p_sat(T) =
 * P (Raoult's law, good to 2 K up to 60 % by volume; our judgement, untested).
 */
public final class BoilingPoint {
  /** Relative to what a cooling system reaches; beyond it a pressure is refused (K). */
  private static final double LOWEST = 273.15;

  private static final double HIGHEST = 500;

  private BoilingPoint() {}

  /** The boiling point at a pressure that boils it between 0 and 226 °C; refuses any other. */
  public static Temperature of(CoolantMixture mixture, AbsolutePressure pressure) {
    double low = LOWEST;
    double high = HIGHEST;
    double wanted = pressure.kilopascals();
    if (!(vapour(mixture, low) < wanted && wanted < vapour(mixture, high))) {
      throw new IllegalArgumentException("nothing boils at " + pressure);
    }
    while (high - low > 1e-6) {
      double middle = (low + high) / 2;
      if (vapour(mixture, middle) < wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return new Temperature(low);
  }

  private static double vapour(CoolantMixture mixture, double kelvins) {
    return mixture.vapourPressure(new Temperature(kelvins)).kilopascals();
  }
}
