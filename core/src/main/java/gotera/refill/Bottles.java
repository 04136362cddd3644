package gotera.refill;

/**
 * Concentrate bought in whole bottles: how many are needed, what strength they give when all of
 * them go in, and what is left over. Volumes in any unit, the same throughout.
 *
 * @param bottles how many
 * @param strength strength of the mix when all of them go in
 * @param over what is left over when only what is needed goes in
 */
public record Bottles(int bottles, double strength, double over) {
  /**
   * For an amount of concentrate.
   *
   * @param concentrate needed, 0 or more
   * @param size of a bottle, above zero
   * @param mix volume of the mix it goes into, above zero
   */
  public static Bottles of(double concentrate, double size, double mix) {
    if (!(concentrate >= 0 && size > 0 && mix > 0)) {
      throw new IllegalArgumentException("bottles of " + size + " for " + concentrate);
    }
    int bottles = (int) Math.ceil(concentrate / size - 1e-9);
    return new Bottles(bottles, Math.min(1, bottles * size / mix), bottles * size - concentrate);
  }

  /**
   * Price of a litre of the mix from concentrate, water counting for nothing.
   *
   * @param price of a litre of concentrate
   * @param strength of the mix
   */
  public static double mixed(double price, double strength) {
    return price * strength;
  }
}
