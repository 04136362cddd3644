package gotera.pressure;

import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Trace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Someone leans on a hose: the pressure steps up and a little later down again. Neither a leak nor
 * settling nor temperature does that, so the readings between are cut out and the disturbance is
 * named. A step that does not come back stays in the curve, which then is not described by the
 * model.
 *
 * @param trace what is left
 * @param found the disturbances, in order
 */
record Disturbances(Trace trace, List<HoldConditions.Window> found) {
  /** Steps beyond so many standard deviations of a difference count (our judgement, untested). */
  private static final double SIGMAS = 4;

  /** A disturbance is over within so long (s), or after one reading (our judgement, untested). */
  private static final double LONGEST = 60;

  private static final int FEWEST = 6;

  static Disturbances cutOut(Trace window, Gauge gauge) {
    int n = window.size();
    if (n < FEWEST) {
      return new Disturbances(window, List.of());
    }
    double[] step = new double[n - 1];
    for (int i = 0; i < n - 1; i++) {
      step[i] = window.gauge(i + 1) - window.gauge(i);
    }
    double[] sorted = step.clone();
    Arrays.sort(sorted);
    double usual = sorted[(n - 1) / 2];
    double least = SIGMAS * Math.sqrt(2) * gauge.noise();
    boolean[] cut = new boolean[n];
    List<HoldConditions.Window> found = new ArrayList<>();
    for (int i = 0; i < n - 2; i++) {
      double up = step[i] - usual;
      if (up <= least) {
        continue;
      }
      int back = comesBack(window, step, usual, least, up, i);
      if (back > 0) {
        Arrays.fill(cut, i + 1, back + 1, true);
        found.add(new HoldConditions.Window(window.seconds(i), window.seconds(back + 1)));
        i = back;
      }
    }
    return found.isEmpty()
        ? new Disturbances(window, List.of())
        : new Disturbances(without(window, cut), List.copyOf(found));
  }

  /** Index of the last reading before it steps down by about as much again; 0 where it does not. */
  private static int comesBack(
      Trace window, double[] step, double usual, double least, double up, int i) {
    for (int j = i + 1; j < step.length; j++) {
      if (j > i + 1 && window.seconds(j) - window.seconds(i + 1) > LONGEST) {
        return 0;
      }
      double down = usual - step[j];
      if (down > least && Math.abs(down - up) <= Math.max(up / 2, least)) {
        return j;
      }
    }
    return 0;
  }

  private static Trace without(Trace window, boolean[] cut) {
    Trace.Builder kept = Trace.builder();
    for (int i = 0; i < window.size(); i++) {
      if (!cut[i]) {
        kept.reading(
            window.seconds(i),
            window.gauge(i),
            window.hasTemperature(i) ? window.celsius(i) : Double.NaN);
      }
    }
    window.events().forEach(kept::event);
    return kept.build();
  }
}
