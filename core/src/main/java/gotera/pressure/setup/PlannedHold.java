package gotera.pressure.setup;

import gotera.coolant.CoolantMixture;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.trace.Gauge;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/**
 * A hold that is planned, for any amount of trapped air.
 *
 * @param pressure pressure of the hold
 * @param atmosphere pressure of the surrounding air
 * @param gauge the gauge
 * @param interval time between readings (s), positive
 * @param hose what the hoses give (mL/kPa)
 * @param measured whether air and hoses are measured; else only their sizes are known
 * @param warmth what is known of the temperature
 * @param liquid liquid in the system
 * @param coolant what it is
 */
public record PlannedHold(
    GaugePressure pressure,
    AbsolutePressure atmosphere,
    KnownGauge gauge,
    double interval,
    double hose,
    boolean measured,
    Warmth warmth,
    Volume liquid,
    CoolantMixture coolant) {
  /** How well a compliance is known that a draw measured (1) (our judgement, untested). */
  private static final double MEASURED_U = 0.06;

  /** The plan with so much trapped air (mL). */
  public TestPlan with(double air) {
    return TestPlan.forSystem(
        new Gauge(
            gauge.resolution(),
            gauge.repeatability(),
            gauge.range(),
            gauge.zeroDrift().orElse(Usual.ZERO_DRIFT),
            gauge.calibrated()),
        interval / 60,
        new AirAndHoses(
            new Volume(air),
            hose,
            measured ? MEASURED_U : Geometry.RELATIVE_UNCERTAINTY,
            measured ? AirAndHoses.Source.MEASURED : AirAndHoses.Source.GEOMETRY),
        pressure,
        atmosphere,
        liquid,
        coolant,
        Usual.ROOM,
        warmth.drift(),
        warmth.u(),
        warmth.thermometer());
  }

  /** The steady leak that a maker's rule would let through here (mL/min). */
  public double letsThrough(MakerRule rule, TestPlan plan) {
    double start = pressure.above(atmosphere).kilopascals();
    double at = rule.pressure().above(atmosphere).kilopascals();
    AirAndHoses here = plan.system();
    return rule.letsThrough(
            new AirAndHoses(
                // the same gas at the rule's own pressure
                new Volume(here.trappedAir().millilitres() * start / at),
                here.hose(),
                here.relativeUncertainty(),
                here.source()),
            atmosphere)
        .millilitresPerMinute();
  }
}
