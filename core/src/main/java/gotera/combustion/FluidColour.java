package gotera.combustion;

/**
 * Colour of a fluid from two photographs with the same white thing in both: the mean of a spot over
 * the mean of the white, in CIELAB.
 *
 * <p>sRGB to XYZ after IEC 61966-2-1:1999; XYZ to L*a*b* and ΔE*ab after CIE 15:2004, white D65,
 * 2°. Shown beside the eye's word, which counts.
 *
 * @param lightness L* (1)
 * @param a green to red, a* (1)
 * @param b blue to yellow, b* (1)
 */
public record FluidColour(double lightness, double a, double b) {
  /**
   * Radius of a spot, of the shorter side of a photograph: less than the fluid in a tester, more
   * than what noise and the blocks of a JPEG spoil (1) (our judgement, untested).
   */
  public static final double RADIUS = 0.02;

  // D65, 2° (CIE 15:2004)
  private static final double[] WHITE = {0.95047, 1, 1.08883};
  // linear sRGB to XYZ (IEC 61966-2-1)
  private static final double[][] XYZ = {
    {0.4124564, 0.3575761, 0.1804375},
    {0.2126729, 0.7151522, 0.0721750},
    {0.0193339, 0.1191920, 0.9503041}
  };

  /** Neither glare nor darkness: a channel of the white must lie between these (1). */
  private static final double DARKEST = 0.1;

  private static final double BRIGHTEST = 0.98;

  /**
   * Mean colour of a spot of a photograph.
   *
   * @param red red, as the picture has it, 0 to 1
   * @param green green, likewise
   * @param blue blue, likewise
   */
  public record Spot(double red, double green, double blue) {
    private double[] linear() {
      return new double[] {linear(red), linear(green), linear(blue)};
    }

    private static double linear(double c) {
      return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** Whether it can serve as white: neither burnt out nor dark. */
    public boolean serves() {
      return Math.min(red, Math.min(green, blue)) >= DARKEST
          && Math.max(red, Math.max(green, blue)) <= BRIGHTEST;
    }
  }

  /**
   * From a photograph.
   *
   * @param fluid mean of the fluid
   * @param white mean of the white beside it; refused where it does not serve
   */
  public static FluidColour of(Spot fluid, Spot white) {
    if (!white.serves()) {
      throw new IllegalArgumentException("burnt out or too dark to be a white: " + white);
    }
    double[] f = fluid.linear();
    double[] w = white.linear();
    double[] lab = new double[3];
    for (int i = 0; i < 3; i++) {
      double sum = 0;
      for (int k = 0; k < 3; k++) {
        sum += XYZ[i][k] * f[k] / w[k];
      }
      lab[i] = root(sum / WHITE[i]);
    }
    return new FluidColour(116 * lab[1] - 16, 500 * (lab[0] - lab[1]), 200 * (lab[1] - lab[2]));
  }

  private static double root(double t) {
    double d = 6.0 / 29;
    return t > d * d * d ? Math.cbrt(t) : t / (3 * d * d) + 4.0 / 29;
  }

  /** Hue angle (°), 0 to 360. */
  public double hue() {
    return (Math.toDegrees(Math.atan2(b, a)) + 360) % 360;
  }

  /** Difference to another colour, ΔE*ab (1). */
  public double difference(FluidColour other) {
    return Math.sqrt(
        Math.pow(lightness - other.lightness, 2)
            + Math.pow(a - other.a, 2)
            + Math.pow(b - other.b, 2));
  }
}
