package gotera.quantity;

/**
 * A volume, or a change of one.
 *
 * @param millilitres the volume (mL)
 */
public record Volume(double millilitres) {
  /** Refuses what is not a number. */
  public Volume {
    Finite.require(millilitres, "volume (mL)");
  }

  /** A volume read in litres. */
  public static Volume ofLitres(double litres) {
    return new Volume(litres * 1000);
  }

  /** The volume (L). */
  public double litres() {
    return millilitres / 1000;
  }
}
