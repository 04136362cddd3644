package gotera.cylinder;

/**
 * A cylinder's bore over a flat piston.
 *
 * @param diameter of the bore (mm), positive
 */
public record Bore(double diameter) {
  /** Standard uncertainty of a depth read with a probe (mm) (our judgement, untested). */
  public static final double DEPTH_U = 0.5;

  /** Refuses a bore that is none. */
  public Bore {
    if (!(diameter > 0)) {
      throw new IllegalArgumentException("a bore of " + diameter + " mm");
    }
  }

  /** Volume that stands so deep over the piston, π/4·B²·h (mL). */
  public double volume(double depth) {
    return Math.PI / 4 * diameter * diameter * depth / 1000;
  }

  /** Standard uncertainty of that (mL). */
  public double volumeU() {
    return volume(DEPTH_U);
  }
}
