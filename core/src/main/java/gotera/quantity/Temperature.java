package gotera.quantity;

/**
 * A temperature, not a difference of two.
 *
 * @param kelvins the temperature (K), not negative
 */
public record Temperature(double kelvins) {
  private static final double ZERO_CELSIUS = 273.15;

  /** Refuses temperatures below absolute zero. */
  public Temperature {
    Finite.requireNotNegative(kelvins, "temperature (K)");
  }

  /** A temperature read in degrees Celsius. */
  public static Temperature ofCelsius(double celsius) {
    return new Temperature(celsius + ZERO_CELSIUS);
  }

  /** A temperature read in degrees Fahrenheit. */
  public static Temperature ofFahrenheit(double fahrenheit) {
    return ofCelsius((fahrenheit - 32) / 1.8);
  }

  /** The temperature (°C). */
  public double celsius() {
    return kelvins - ZERO_CELSIUS;
  }
}
