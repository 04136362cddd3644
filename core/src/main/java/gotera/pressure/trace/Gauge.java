package gotera.pressure.trace;

import java.util.OptionalDouble;

/**
 * The gauge of the tester.
 *
 * @param resolution smallest step that is read (kPa)
 * @param repeatability standard deviation of repeated readings of one pressure (kPa)
 * @param range highest pressure it shows (kPa), if known
 * @param zeroDrift standard uncertainty of a wander of its zero during a hold (kPa)
 * @param calibrated whether its calibration is in date
 */
public record Gauge(
    double resolution,
    double repeatability,
    OptionalDouble range,
    double zeroDrift,
    boolean calibrated) {
  /** Refuses a gauge without resolution. */
  public Gauge {
    if (!(resolution > 0) || !(repeatability >= 0) || !(zeroDrift >= 0)) {
      throw new IllegalArgumentException(
          "gauge of resolution " + resolution + ", repeatability " + repeatability);
    }
  }

  /**
   * Standard uncertainty of one reading (kPa): r/√12 and repeatability in quadrature (GUM 4.3.7).
   */
  public double noise() {
    return Math.sqrt(resolution * resolution / 12 + repeatability * repeatability);
  }

  /**
   * Whether the steps of this gauge fail to average away over so many readings: few readings, or
   * noise too small to shake them (our judgement: 30 readings, 2.5 times the noise).
   */
  public boolean stepsStay(int readings) {
    return readings < 30 || resolution > 2.5 * repeatability;
  }
}
