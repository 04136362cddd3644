package gotera.warming;

import gotera.fitting.LeastSquares;
import java.util.List;
import java.util.Optional;

/**
 * How an idling engine warms, from readings of one place: a line, by least squares, for idling
 * heats nearly linearly until the thermostat opens; a curve that flattens, T_∞ − (T_∞ −
 * T_0)·e^(−t/τ), where four readings or more are told better by it than luck allows.
 *
 * <p>τ is searched over a grid from a minute to six hours; given τ the curve is linear. Forecasts
 * carry the uncertainty of the fit; of τ, that of the grid's neighbours that fit as well.
 *
 * @param intercept temperature at minute nought of the line, or T_∞ of the curve (°C)
 * @param slope of the line (K/min), or (T_0 − T_∞) of the curve (K)
 * @param tau time constant of the curve (min); nothing for a line
 * @param covariance of intercept and slope
 * @param last minute of the newest reading
 */
public record WarmUp(
    double intercept, double slope, Optional<Double> tau, double[][] covariance, double last) {
  /** Standard uncertainty of a reading at a hose or housing (K) (our judgement, untested). */
  public static final double READING_U = 1;

  /** Rate of an idling engine until two readings give one (K/min) (our judgement, untested). */
  public static final double USUAL_RATE = 4;

  /** Its standard uncertainty (K/min) (our judgement, untested). */
  public static final double USUAL_RATE_U = 2;

  /** A curve is taken where it lowers χ² by more than this, 1 in 1000 by luck (1). */
  private static final double BETTER = 10.8;

  /**
   * Relative standard uncertainty of the time ahead, for nothing warms quite as straight as it is
   * taken to (1) (our judgement; 0.12 holds for engines simulated apart).
   */
  static final double STRAIGHT_U = 0.12;

  private static final double SHORTEST = 1; // min
  private static final double LONGEST = 360; // min
  private static final int NODES = 121;

  /** No forecast beyond this: a thermostat that does not open is told otherwise (min). */
  private static final double FARTHEST = 240;

  /**
   * A reading.
   *
   * @param minute when, on any clock (min)
   * @param celsius how warm (°C)
   */
  public record Reading(double minute, double celsius) {}

  /**
   * A moment that is foreseen.
   *
   * @param minutes from the newest reading on (min)
   * @param u standard uncertainty (min)
   */
  public record Forecast(double minutes, double u) {}

  /** From readings in order of time; nothing without one. */
  public static Optional<WarmUp> of(List<Reading> readings) {
    if (readings.isEmpty()) {
      return Optional.empty();
    }
    double first = readings.get(0).minute();
    double last = readings.get(readings.size() - 1).minute();
    if (readings.size() < 2 || !(last > first)) {
      return Optional.of(usual(readings.get(readings.size() - 1)));
    }
    LeastSquares line = fit(readings, m -> m);
    WarmUp straight =
        new WarmUp(
            line.coefficients()[0],
            line.coefficients()[1],
            Optional.empty(),
            line.covariance(),
            last);
    if (readings.size() < 4) {
      return Optional.of(straight);
    }
    return Optional.of(flattening(readings, line.chiSquare() - BETTER).orElse(straight));
  }

  /** The curve that fits best, where one lowers χ² below a bound. */
  private static Optional<WarmUp> flattening(List<Reading> readings, double bound) {
    double first = readings.get(0).minute();
    double last = readings.get(readings.size() - 1).minute();
    double best = bound;
    Optional<WarmUp> chosen = Optional.empty();
    for (int i = 0; i < NODES; i++) {
      double tau = SHORTEST * Math.pow(LONGEST / SHORTEST, i / (double) (NODES - 1));
      LeastSquares curve = fit(readings, m -> Math.exp(-(m - first) / tau));
      if (curve.chiSquare() < best && curve.coefficients()[1] < 0) {
        best = curve.chiSquare();
        chosen = Optional.of(flattening(curve, tau, first, last));
      }
    }
    return chosen;
  }

  /** A curve, kept on the readings' own clock. */
  private static WarmUp flattening(LeastSquares curve, double tau, double first, double last) {
    double scale = Math.exp(first / tau);
    double[][] c = curve.covariance();
    return new WarmUp(
        curve.coefficients()[0],
        curve.coefficients()[1] * scale,
        Optional.of(tau),
        new double[][] {{c[0][0], c[0][1] * scale}, {c[1][0] * scale, c[1][1] * scale * scale}},
        last);
  }

  private static WarmUp usual(Reading only) {
    double m = only.minute();
    double slopeVariance = USUAL_RATE_U * USUAL_RATE_U;
    return new WarmUp(
        only.celsius() - USUAL_RATE * m,
        USUAL_RATE,
        Optional.empty(),
        new double[][] {
          {READING_U * READING_U + slopeVariance * m * m, -slopeVariance * m},
          {-slopeVariance * m, slopeVariance}
        },
        m);
  }

  private static LeastSquares fit(
      List<Reading> readings, java.util.function.DoubleUnaryOperator of) {
    double[][] rows = new double[readings.size()][];
    double[] y = new double[readings.size()];
    double[] sd = new double[readings.size()];
    for (int i = 0; i < rows.length; i++) {
      rows[i] = new double[] {1, of.applyAsDouble(readings.get(i).minute())};
      y[i] = readings.get(i).celsius();
      sd[i] = READING_U;
    }
    return LeastSquares.of(rows, y, sd);
  }

  /** Temperature at a minute of the readings' clock (°C). */
  public double celsius(double minute) {
    return intercept + slope * basis(minute);
  }

  /** Standard uncertainty of that (K). */
  public double celsiusU(double minute) {
    double b = basis(minute);
    double variance = covariance[0][0] + 2 * b * covariance[0][1] + b * b * covariance[1][1];
    return Math.sqrt(Math.max(0, variance));
  }

  private double basis(double minute) {
    return tau.isPresent() ? Math.exp(-minute / tau.get()) : minute;
  }

  /** How fast it warms at a minute (K/min). */
  public double rate(double minute) {
    return tau.isPresent() ? -slope / tau.get() * basis(minute) : slope;
  }

  /** Standard uncertainty of {@link #rate} (K/min). */
  public double rateU(double minute) {
    double sd = Math.sqrt(covariance[1][1]);
    return tau.isPresent() ? sd / tau.get() * basis(minute) : sd;
  }

  /** When it reaches a temperature; nothing where it does not within hours as it goes now. */
  public Optional<Forecast> until(double celsius) {
    if (celsius(last) >= celsius) {
      return Optional.of(new Forecast(0, 0));
    }
    double minute;
    if (tau.isEmpty()) {
      minute = slope > 0 ? (celsius - intercept) / slope : Double.POSITIVE_INFINITY;
    } else {
      double share = (celsius - intercept) / slope;
      minute = share > 0 ? -tau.get() * Math.log(share) : Double.POSITIVE_INFINITY;
    }
    if (!(minute - last <= FARTHEST)) {
      return Optional.empty();
    }
    double ahead = minute - last;
    return Optional.of(
        new Forecast(ahead, Math.hypot(celsiusU(minute) / rate(minute), STRAIGHT_U * ahead)));
  }
}
