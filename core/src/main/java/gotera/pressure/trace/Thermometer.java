package gotera.pressure.trace;

/**
 * The thermometer held to the system.
 *
 * @param resolution smallest step that is read (K)
 * @param repeatability standard deviation of repeated readings (K)
 */
public record Thermometer(double resolution, double repeatability) {
  /** Refuses a thermometer without resolution. */
  public Thermometer {
    if (!(resolution > 0) || !(repeatability >= 0)) {
      throw new IllegalArgumentException("thermometer of resolution " + resolution);
    }
  }

  /** Standard uncertainty of one reading (K). */
  public double noise() {
    return Math.sqrt(resolution * resolution / 12 + repeatability * repeatability);
  }

  /** Whether its steps fail to average away over so many readings, as {@link Gauge#stepsStay}. */
  public boolean stepsStay(int readings) {
    return readings < 30 || resolution > 2.5 * repeatability;
  }
}
