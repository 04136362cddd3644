package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.fitting.Mixture;
import gotera.pressure.law.LeakLaw;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The fitted curve as pressures with a band, for drawing. */
public final class FittedCurve {
  private static final int POINTS = 60;
  private static final double NINETY_FIVE = 1.96;

  private FittedCurve() {}

  /**
   * A point of the fitted curve.
   *
   * @param seconds time on the trace's clock (s)
   * @param gauge fitted gauge pressure (kPa)
   * @param halfWidth half width of the 95 % band of the curve (kPa)
   */
  public record Point(double seconds, double gauge, double halfWidth) {}

  static List<Point> of(
      gotera.pressure.trace.Trace window,
      Blocks blocks,
      Filling filling,
      List<RateEstimator.Part> parts,
      Mixture mixture,
      double pumped,
      double inflation,
      HoldConditions conditions) {
    double first = window.seconds(0);
    double last = window.seconds(window.size() - 1);
    List<Point> points = new ArrayList<>();
    Map<LeakLaw, Double> driven = new EnumMap<>(LeakLaw.class);
    double before = first;
    double gauge = blocks.gauge()[0];
    for (int i = 0; i <= POINTS; i++) {
      double t = first + (last - first) * i / POINTS;
      for (LeakLaw law : LeakLaw.values()) {
        driven.merge(law, conditions.share(law, gauge) * (t - before) / 60, Double::sum);
      }
      before = t;
      Lost lost = lost(t, driven, parts, mixture, pumped);
      double sd = Math.sqrt(lost.variance() * inflation);
      gauge = filling.gauge(t, lost.mean());
      points.add(new Point(t, gauge, NINETY_FIVE * sd / filling.perKilopascal(t, gauge)));
    }
    return points;
  }

  /** Volume lost (mL) as the mixture has it. */
  private record Lost(double mean, double variance) {}

  private static Lost lost(
      double t,
      Map<LeakLaw, Double> driven,
      List<RateEstimator.Part> parts,
      Mixture mixture,
      double pumped) {
    double mean = 0;
    double square = 0;
    for (int j = 0; j < parts.size(); j++) {
      RateEstimator.Part node = parts.get(j);
      double settled = RateEstimator.settling(new double[] {t}, pumped, node.tau())[0];
      double[] row = {1, driven.getOrDefault(node.law(), 0.0), settled};
      LinearPosterior part = mixture.parts().get(j);
      double value = dot(row, part.mean());
      mean += mixture.weights()[j] * value;
      square += mixture.weights()[j] * (variance(row, part.covariance()) + value * value);
    }
    return new Lost(mean, Math.max(0, square - mean * mean));
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static double variance(double[] row, double[][] covariance) {
    double sum = 0;
    for (int i = 0; i < row.length; i++) {
      sum += row[i] * dot(covariance[i], row);
    }
    return sum;
  }
}
