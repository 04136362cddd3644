package gotera.quantity;

/** Units in which temperatures are shown and typed. */
public enum TemperatureUnit {
  /** Degree Celsius. */
  CELSIUS("\u00b0C"),
  /** Degree Fahrenheit: 1.8 of them a kelvin, 32 where water freezes (NIST SP 811:2008, B.8). */
  FAHRENHEIT("\u00b0F");

  private final String symbol;

  TemperatureUnit(String symbol) {
    this.symbol = symbol;
  }

  /** The unit as written on screen. */
  public String symbol() {
    return symbol;
  }

  /** A temperature in this unit. */
  public double of(double celsius) {
    return this == CELSIUS ? celsius : celsius * 1.8 + 32;
  }

  /** A temperature read in this unit (°C). */
  public double celsius(double value) {
    return this == CELSIUS ? value : (value - 32) / 1.8;
  }
}
