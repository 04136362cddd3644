package gotera.quantity;

/** Units in which volumes of a system are shown and typed. */
public enum VolumeUnit {
  /** Litre; below one of them millilitres. */
  LITRE("L", 1000, "litres"),
  /** US gallon, 3.785411784 L (NIST SP 811:2008, appendix B.8). */
  GALLON("gal", 3785.411784, "gallons"),
  /** US quart, 0.946352946 L (NIST SP 811:2008, appendix B.8). */
  QUART("qt", 946.352946, "quarts"),
  /** US liquid pint, 0.473176473 L (NIST SP 811:2008, appendix B.8). */
  PINT("pt", 473.176473, "pints");

  private final String symbol;
  private final double millilitres;
  private final String words;

  VolumeUnit(String symbol, double millilitres, String words) {
    this.symbol = symbol;
    this.millilitres = millilitres;
    this.words = words;
  }

  /** The unit as written on screen. */
  public String symbol() {
    return symbol;
  }

  /** One of it (mL). */
  public double millilitres() {
    return millilitres;
  }

  /** Its name, several of it. */
  public String words() {
    return words;
  }
}
