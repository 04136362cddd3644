package gotera.pressure.compliance;

import gotera.quantity.Volume;

/**
 * What air and hoses give, from sizes alone: the air gap below the brim and the tester's own
 * volume. Blind to trapped pockets, hence r = 30 % (our judgement, untested).
 */
public final class Geometry {
  /** Relative standard uncertainty of a compliance from sizes (1). */
  public static final double RELATIVE_UNCERTAINTY = 0.30;

  /**
   * Hoses of a car or small van, C_h (mL/kPa), where nothing better is known (our judgement,
   * untested).
   */
  public static final double USUAL_HOSE = 0.30;

  private Geometry() {}

  /**
   * The estimate.
   *
   * @param gap height of the air gap (mm), not negative
   * @param area free area at the gap (cm²), positive
   * @param tester volume of the tester's hose and adapter
   * @param hose estimate of C_h (mL/kPa)
   */
  public static AirAndHoses of(double gap, double area, Volume tester, double hose) {
    return new AirAndHoses(
        new Volume(gap / 10 * area + tester.millilitres()),
        hose,
        RELATIVE_UNCERTAINTY,
        AirAndHoses.Source.GEOMETRY);
  }
}
