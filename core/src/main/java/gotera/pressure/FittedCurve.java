package gotera.pressure;

import gotera.fitting.LinearPosterior;
import gotera.fitting.Mixture;
import gotera.pressure.SlowCreep.Shape;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.Trace;
import java.util.ArrayList;
import java.util.List;

/** The fitted curve as pressures with a band, for drawing. */
public final class FittedCurve {
  private static final int POINTS = 60;
  private static final double NINETY_FIVE = 1.96;

  /** A node of so little weight does not show in a drawing. */
  private static final double NEGLIGIBLE = 1e-5;

  private FittedCurve() {}

  /**
   * A point of the fitted curve.
   *
   * @param seconds time on the trace's clock (s)
   * @param gauge fitted gauge pressure (kPa)
   * @param halfWidth half width of the 95 % band of the curve (kPa)
   */
  public record Point(double seconds, double gauge, double halfWidth) {}

  /**
   * What was fitted.
   *
   * @param fit the mixture
   * @param pumped end of the pumping (s)
   * @param creep how the hoses go on creeping
   * @param inflation factor on the variance
   */
  record Fitted(HoldFit fit, double pumped, SlowCreep creep, double inflation) {}

  static List<Point> of(
      Trace window, Blocks blocks, Filling filling, Fitted fitted, HoldConditions conditions) {
    double first = window.seconds(0);
    double last = window.seconds(window.size() - 1);
    List<Point> points = new ArrayList<>();
    double[] driven = new double[LeakLaw.values().length];
    double before = first;
    double gauge = blocks.gauge()[0];
    for (int i = 0; i <= POINTS; i++) {
      double t = first + (last - first) * i / POINTS;
      for (LeakLaw law : LeakLaw.values()) {
        driven[law.ordinal()] += conditions.share(law, gauge) * (t - before) / 60;
      }
      before = t;
      Lost lost = lost(t, first, driven, fitted);
      double sd = Math.sqrt(lost.variance() * fitted.inflation());
      gauge = filling.gauge(t, lost.mean());
      points.add(new Point(t, gauge, NINETY_FIVE * sd / filling.perKilopascal(t, gauge)));
    }
    return points;
  }

  /** Volume lost (mL) as the mixture has it. */
  private record Lost(double mean, double variance) {}

  private static Lost lost(double t, double first, double[] driven, Fitted fitted) {
    double mean = 0;
    double square = 0;
    Mixture mixture = fitted.fit().mixture();
    double[] crept = new double[Shape.values().length];
    for (Shape shape : Shape.values()) {
      crept[shape.ordinal()] = fitted.creep().at(shape, t) - fitted.creep().at(shape, first);
    }
    for (int j = 0; j < fitted.fit().parts().size(); j++) {
      if (mixture.weights()[j] < NEGLIGIBLE) {
        continue;
      }
      HoldFit.Part node = fitted.fit().parts().get(j);
      double settled = Settling.at(t, fitted.pumped(), node.tau());
      double[] row = {1, driven[node.law().ordinal()], settled, crept[node.shape().ordinal()]};
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
