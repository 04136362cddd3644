package gotera.quantity;

/** Units in which pressure is stamped, shown and typed. */
public enum PressureUnit {
  /** Kilopascal, the unit Gotera computes in. */
  KPA("kPa", 1.0, 1),
  /** Pound-force per square inch: 6.894757293168 kPa (NIST SP 811:2008, appendix B.8). */
  PSI("psi", 6.894757293168, 1),
  /** Bar: 100 kPa exactly (BIPM SI Brochure, 9th edition, table 8 remarks). */
  BAR("bar", 100.0, 3),
  /** Conventional inch of mercury: 3.386389 kPa (NIST SP 811:2008, appendix B.8). */
  INCH_OF_MERCURY("inHg", 3.386389, 1);

  private final String symbol;
  private final double kilopascals;
  private final int decimals;

  PressureUnit(String symbol, double kilopascals, int decimals) {
    this.symbol = symbol;
    this.kilopascals = kilopascals;
    this.decimals = decimals;
  }

  /** Whether caps and gauges of pressure are stamped in it; vacuum gauges alone in the other. */
  public boolean stamped() {
    return this != INCH_OF_MERCURY;
  }

  /** The unit as written on screen. */
  public String symbol() {
    return symbol;
  }

  /** One of this unit (kPa). */
  public double kilopascals() {
    return kilopascals;
  }

  /** Decimals that keep 0.1 kPa readable in this unit. */
  public int decimals() {
    return decimals;
  }
}
