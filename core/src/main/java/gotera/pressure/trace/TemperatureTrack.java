package gotera.pressure.trace;

import gotera.fitting.LeastSquares;
import java.util.Optional;

/**
 * The temperature of the coolant through the hold: a constant, a line or a parabola through the
 * readings, whichever costs least by Akaike's information criterion for known noise (χ² + 2k, H.
 * Akaike, IEEE Trans. Autom. Control 19 (1974) 716). Without readings the soak class stands in.
 *
 * @param origin time the coefficients count from (s)
 * @param coefficients temperature (°C) as a polynomial of the minutes since the origin
 * @param drift mean drift over the window, Ṫ (K/min)
 * @param uncertainty its standard uncertainty (K/min)
 * @param measured whether it comes from a thermometer
 * @param highest highest temperature, read or assumed (°C)
 * @param unseen what of the coolant's temperature the track does not show
 */
public record TemperatureTrack(
    double origin,
    double[] coefficients,
    double drift,
    double uncertainty,
    boolean measured,
    double highest,
    Unseen unseen) {
  /**
   * What of the coolant's temperature a track does not show, beside a drift that is another: each
   * moves it without a sign that is known.
   *
   * @param bend standard deviation of the bend that is not in it (K/min²)
   * @param behind how far the probe may fall behind at first (K)
   */
  public record Unseen(double bend, double behind) {
    /** Nothing. */
    public static final Unseen NOTHING = new Unseen(0, 0);
  }

  /** A track that shows everything but its drift's uncertainty. */
  public TemperatureTrack(
      double origin,
      double[] coefficients,
      double drift,
      double uncertainty,
      boolean measured,
      double highest) {
    this(origin, coefficients, drift, uncertainty, measured, highest, Unseen.NOTHING);
  }

  /** A drift dies away within such a time (min) (our judgement, untested). */
  private static final double BENDS_WITHIN = 20;

  /** A probe follows what it sits on with such a time constant (min) (our judgement, untested). */
  public static final double LAGS = 1.5;

  /** One probe does not know eight litres: 0.3 of the drift (our judgement, untested). */
  public static final double PROBE_SHARE = 0.3;

  /** What no probe sees (K/min) (our judgement, untested). */
  public static final double FLOOR = 0.005;

  private static final int MOST_BLOCKS = 200;

  /** Temperature at a moment (°C). */
  public double celsius(double seconds) {
    double minutes = (seconds - origin) / 60;
    double value = 0;
    for (int i = coefficients.length - 1; i >= 0; i--) {
      value = value * minutes + coefficients[i];
    }
    return value;
  }

  /**
   * The track through the readings of a window.
   *
   * @param window the hold's readings, at least one
   * @param thermometer its thermometer, if it had one
   * @param soak how long the vehicle stood
   * @param ambient temperature to assume without any reading (°C)
   */
  public static TemperatureTrack through(
      Trace window, Optional<Thermometer> thermometer, Soak soak, double ambient) {
    int n = 0;
    for (int i = 0; i < window.size(); i++) {
      n += window.hasTemperature(i) ? 1 : 0;
    }
    double origin = window.seconds(0);
    double length = (window.seconds(window.size() - 1) - origin) / 60;
    double[] minutes = new double[n];
    double[] celsius = new double[n];
    double highest = Double.NEGATIVE_INFINITY;
    int next = 0;
    for (int i = 0; i < window.size(); i++) {
      if (window.hasTemperature(i)) {
        minutes[next] = (window.seconds(i) - origin) / 60;
        celsius[next] = window.celsius(i);
        highest = Math.max(highest, celsius[next]);
        next++;
      }
    }
    if (n < 2 || thermometer.isEmpty()) {
      double level = n > 0 ? celsius[0] : ambient;
      return new TemperatureTrack(
          origin,
          new double[] {level, soak.drift()},
          soak.drift(),
          soak.uncertainty(),
          false,
          Math.max(highest, level),
          new Unseen(soak.uncertainty() / (2 * Soak.TIME_CONSTANT), 0));
    }
    return fitted(origin, length, minutes, celsius, thermometer.get(), highest);
  }

  /**
   * What the track of a hold that is planned will not show.
   *
   * @param drift drift that is expected (K/min)
   * @param minutes length of the hold (min), positive
   * @param readings how often it is read
   */
  public static Unseen unseen(double drift, Thermometer thermometer, double minutes, int readings) {
    double line = thermometer.noise() * Math.sqrt(12.0 / readings) / minutes;
    double slope = Math.hypot(drift, line);
    double likely = slope / (2 * BENDS_WITHIN);
    // the bend of a parabola through evenly spaced readings (K/min²)
    double told = thermometer.noise() * Math.sqrt(180.0 / readings) / (minutes * minutes);
    return new Unseen(1 / Math.hypot(1 / likely, 1 / told), LAGS * slope);
  }

  private static TemperatureTrack fitted(
      double origin,
      double length,
      double[] minutes,
      double[] celsius,
      Thermometer thermometer,
      double highest) {
    int n = minutes.length;
    // long logs are averaged first, as the gauge's are
    int blocks = Math.min(n, MOST_BLOCKS);
    double noise = thermometer.noise() * Math.sqrt((double) blocks / n);
    double[] times = averaged(minutes, blocks);
    double[] means = averaged(celsius, blocks);
    LeastSquares line = LeastSquares.polynomial(times, means, noise, 1);
    // what a drift may bend by, and what the readings say of it
    double bend = Math.hypot(line.coefficients()[1], line.sd(1)) / (2 * BENDS_WITHIN);
    LeastSquares best =
        n < 4 ? line : cheaper(LeastSquares.polynomial(times, means, noise, 0), line);
    if (n >= 6) {
      LeastSquares parabola = LeastSquares.polynomial(times, means, noise, 2);
      bend = 1 / Math.hypot(1 / bend, 1 / parabola.sd(2));
      best = cheaper(parabola, best);
    }
    double[] c = best.coefficients();
    double slope = c.length < 2 ? 0 : c.length < 3 ? c[1] : c[1] + c[2] * length;
    double span = minutes[n - 1] - minutes[0];
    // the steps of the display do not average away, as for the gauge
    double steps = thermometer.stepsStay(n) ? thermometer.resolution() / (Math.sqrt(6) * span) : 0;
    double log = Math.hypot(line.sd(1), steps);
    double probe = PROBE_SHARE * slope;
    return new TemperatureTrack(
        origin,
        c,
        slope,
        Math.sqrt(log * log + probe * probe + FLOOR * FLOOR),
        true,
        highest,
        new Unseen(bend, LAGS * Math.hypot(slope, log)));
  }

  private static double[] averaged(double[] values, int blocks) {
    double[] means = new double[blocks];
    for (int b = 0; b < blocks; b++) {
      int from = (int) ((long) b * values.length / blocks);
      int to = (int) ((long) (b + 1) * values.length / blocks);
      for (int i = from; i < to; i++) {
        means[b] += values[i] / (to - from);
      }
    }
    return means;
  }

  private static LeastSquares cheaper(LeastSquares one, LeastSquares other) {
    return cost(one) < cost(other) ? one : other;
  }

  private static double cost(LeastSquares fit) {
    return fit.chiSquare() + 2 * fit.coefficients().length;
  }
}
