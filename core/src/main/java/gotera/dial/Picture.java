package gotera.dial;

/**
 * How light a picture is, dot by dot.
 *
 * @param width dots in a row, at least 1
 * @param height rows, at least 1
 * @param light row by row, 0 for black to 1 for white
 */
public record Picture(int width, int height, float[] light) {
  /** Refuses a picture whose dots do not fill it. */
  public Picture {
    if (width < 1 || height < 1 || light.length != width * height) {
      throw new IllegalArgumentException(width + " × " + height + " of " + light.length);
    }
  }

  /** Shares of red, green and blue in what the eye calls light (ITU-R BT.601). */
  private static final float RED = 0.299f;

  private static final float GREEN = 0.587f;
  private static final float BLUE = 0.114f;
  private static final float WHITE = 255f;

  /**
   * A picture in colours, as light and dark.
   *
   * @param rgb row by row, eight bits each for red, green and blue
   */
  public static Picture ofColours(int width, int height, int[] rgb) {
    float[] light = new float[rgb.length];
    for (int i = 0; i < rgb.length; i++) {
      light[i] =
          (RED * (rgb[i] >> 16 & 0xff) + GREEN * (rgb[i] >> 8 & 0xff) + BLUE * (rgb[i] & 0xff))
              / WHITE;
    }
    return new Picture(width, height, light);
  }

  /** How light it is at a point between dots; beyond the edge as at the edge. */
  double at(double x, double y) {
    double cx = Math.max(0, Math.min(width - 1.0, x));
    double cy = Math.max(0, Math.min(height - 1.0, y));
    int x0 = (int) cx;
    int y0 = (int) cy;
    int x1 = Math.min(width - 1, x0 + 1);
    int y1 = Math.min(height - 1, y0 + 1);
    double fx = cx - x0;
    double fy = cy - y0;
    return (light[y0 * width + x0] * (1 - fx) + light[y0 * width + x1] * fx) * (1 - fy)
        + (light[y1 * width + x0] * (1 - fx) + light[y1 * width + x1] * fx) * fy;
  }
}
