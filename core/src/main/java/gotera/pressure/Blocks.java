package gotera.pressure;

import gotera.pressure.trace.Trace;

/**
 * Readings averaged in blocks of equal count, so that long traces cost no more than short ones.
 *
 * @param seconds mean times (s)
 * @param gauge mean gauge pressures (kPa)
 * @param noise standard deviation of each mean (kPa)
 */
record Blocks(double[] seconds, double[] gauge, double[] noise) {

  static Blocks of(Trace window, int most, double noise) {
    int n = window.size();
    int blocks = Math.min(n, most);
    double[] t = new double[blocks];
    double[] p = new double[blocks];
    double[] sd = new double[blocks];
    for (int b = 0; b < blocks; b++) {
      int from = (int) ((long) b * n / blocks);
      int to = (int) ((long) (b + 1) * n / blocks);
      for (int i = from; i < to; i++) {
        t[b] += window.seconds(i) / (to - from);
        p[b] += window.gauge(i) / (to - from);
      }
      sd[b] = noise / Math.sqrt(to - from);
    }
    return new Blocks(t, p, sd);
  }

  int size() {
    return seconds.length;
  }

  /** Gauge pressure averaged with its neighbours (kPa), light smoothing for the leak's drive. */
  double smoothGauge(int i) {
    if (i == 0 || i == gauge.length - 1) {
      return gauge[i];
    }
    return (gauge[i - 1] + gauge[i] + gauge[i + 1]) / 3;
  }
}
