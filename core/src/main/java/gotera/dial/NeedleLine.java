package gotera.dial;

import java.util.Arrays;
import java.util.List;

/**
 * A straight line through points, from the origin outwards.
 *
 * @param angle its direction, clockwise from the right where y goes down (rad)
 * @param angleU standard uncertainty of that (rad)
 * @param aside how far from the origin it passes (dots)
 * @param scatter standard deviation of the points across it, those far off counting less (dots)
 * @param kept how many points lie on it
 */
record NeedleLine(double angle, double angleU, double aside, double scatter, int kept) {
  private static final int ROUNDS = 12;
  private static final double HUBER = 1.345; // standard deviations; 95 % efficient
  private static final double FINEST = 0.05; // dots
  private static final double ON_IT = 4; // standard deviations

  /** Lays a line through points, at least two; each is its x and y. */
  static NeedleLine through(List<double[]> points) {
    int n = points.size();
    double[] weights = new double[n];
    Arrays.fill(weights, 1);
    double[] across = new double[n];
    double mx = 0;
    double my = 0;
    double angle = 0;
    double spread = 0;
    double scale = FINEST;
    for (int round = 0; round < ROUNDS; round++) {
      double w = 0;
      mx = 0;
      my = 0;
      for (int i = 0; i < n; i++) {
        w += weights[i];
        mx += weights[i] * points.get(i)[0];
        my += weights[i] * points.get(i)[1];
      }
      mx /= w;
      my /= w;
      double xx = 0;
      double xy = 0;
      double yy = 0;
      for (int i = 0; i < n; i++) {
        double dx = points.get(i)[0] - mx;
        double dy = points.get(i)[1] - my;
        xx += weights[i] * dx * dx;
        xy += weights[i] * dx * dy;
        yy += weights[i] * dy * dy;
      }
      // the axis along which the points spread most
      angle = Math.atan2(2 * xy, xx - yy) / 2;
      if (Math.cos(angle) * mx + Math.sin(angle) * my < 0) {
        angle += Math.PI;
      }
      spread = 0;
      for (int i = 0; i < n; i++) {
        double dx = points.get(i)[0] - mx;
        double dy = points.get(i)[1] - my;
        across[i] = -Math.sin(angle) * dx + Math.cos(angle) * dy;
        double along = Math.cos(angle) * dx + Math.sin(angle) * dy;
        spread += weights[i] * along * along;
      }
      scale = scatter(across);
      weigh(across, scale, weights);
    }
    double most = ON_IT * scale;
    int kept = (int) Arrays.stream(across).filter(d -> Math.abs(d) <= most).count();
    return new NeedleLine(
        angle,
        scale / Math.sqrt(Math.max(spread, 1e-9)),
        -Math.sin(angle) * mx + Math.cos(angle) * my,
        scale,
        kept);
  }

  private static double scatter(double[] across) {
    double[] sizes = Arrays.stream(across).map(Math::abs).sorted().toArray();
    // half of a normal distribution lies within 0.67 standard deviations
    return Math.max(FINEST, sizes[sizes.length / 2] / 0.6745);
  }

  private static void weigh(double[] across, double scale, double[] weights) {
    for (int i = 0; i < across.length; i++) {
      double size = Math.abs(across[i]) / scale;
      weights[i] = size > HUBER ? HUBER / size : 1;
    }
  }
}
