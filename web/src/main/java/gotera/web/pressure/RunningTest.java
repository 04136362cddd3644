package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import java.util.OptionalDouble;

/**
 * A test while it is added to: what a typed reading is held against. No analysis is needed for it.
 *
 * @param where where it stands
 * @param now time on its clock now (s)
 * @param origin zero of the time that is typed, on the test's clock (s)
 * @param lastGauge the last reading (kPa), if there is one
 * @param hold its description
 * @param writtenLater whether its readings are written down afterwards
 */
public record RunningTest(
    Where where,
    double now,
    double origin,
    OptionalDouble lastGauge,
    HoldSetup hold,
    boolean writtenLater) {
  /** Without the last reading: what is corrected is not held against another. */
  public RunningTest alone() {
    return new RunningTest(where, now, origin, OptionalDouble.empty(), hold, writtenLater);
  }

  /** The pressure it must not exceed. */
  public TestLimit limit() {
    return CompletedHold.limit(hold.limits());
  }

  /** Finest step that is read (kPa). */
  public double gaugeStep() {
    return CompletedHold.gaugeStep(hold);
  }

  /** What fills the system. */
  public Medium medium() {
    return hold.medium();
  }
}
