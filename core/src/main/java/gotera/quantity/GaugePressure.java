package gotera.quantity;

/**
 * Pressure above the surrounding air, as a gauge shows it.
 *
 * @param kilopascals the pressure (kPa); negative is a vacuum
 */
public record GaugePressure(double kilopascals) implements Comparable<GaugePressure> {
  /** Refuses what is not a number. */
  public GaugePressure {
    Finite.require(kilopascals, "gauge pressure (kPa)");
  }

  /** A pressure read in a unit. */
  public static GaugePressure of(double value, PressureUnit unit) {
    return new GaugePressure(value * unit.kilopascals());
  }

  /** The pressure in a unit. */
  public double in(PressureUnit unit) {
    return kilopascals / unit.kilopascals();
  }

  /** The same pressure above vacuum. */
  public AbsolutePressure above(AbsolutePressure atmosphere) {
    return new AbsolutePressure(kilopascals + atmosphere.kilopascals());
  }

  @Override
  public int compareTo(GaugePressure other) {
    return Double.compare(kilopascals, other.kilopascals);
  }
}
