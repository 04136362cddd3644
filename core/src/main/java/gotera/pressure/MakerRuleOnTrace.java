package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/** The maker's rule on a trace: its clock starts when the valve shuts. */
final class MakerRuleOnTrace {
  private MakerRuleOnTrace() {}

  /**
   * Whether the rule is met, and what it would let through here.
   *
   * @param whole the readings since the valve was shut
   */
  static PressureTestResult.MakerRuleResult of(
      MakerRule rule, Trace whole, HoldConditions conditions) {
    AbsolutePressure atmosphere = conditions.atmosphere();
    AirAndHoses here = conditions.airAndHoses();
    if (whole.size() > 0) {
      double start = new GaugePressure(whole.gauge(0)).above(atmosphere).kilopascals();
      double at = rule.pressure().above(atmosphere).kilopascals();
      here =
          new AirAndHoses(
              new Volume(here.trappedAir().millilitres() * start / at),
              here.hose(),
              here.relativeUncertainty(),
              here.source());
    }
    return new PressureTestResult.MakerRuleResult(
        rule,
        met(rule, whole, conditions),
        rule.letsThrough(here, atmosphere).millilitresPerMinute());
  }

  private static MakerRule.Met met(MakerRule rule, Trace whole, HoldConditions conditions) {
    double step = conditions.gauge().resolution();
    boolean allowed = rule.pressure().compareTo(conditions.limit().pressure()) <= 0;
    if (!allowed || whole.size() < 2 || whole.gauge(0) < rule.pressure().kilopascals() - step) {
      return MakerRule.Met.NOT_TESTED;
    }
    double start = whole.seconds(0);
    for (int i = 1; i < whole.size(); i++) {
      boolean inTime = whole.seconds(i) - start <= rule.minutes() * 60;
      if (inTime && whole.gauge(0) - whole.gauge(i) > rule.drop()) {
        return MakerRule.Met.NO;
      }
      if (whole.seconds(i) - start >= rule.minutes() * 60) {
        return whole.gauge(0) - whole.gauge(i) <= rule.drop()
            ? MakerRule.Met.YES
            : MakerRule.Met.NO;
      }
    }
    return MakerRule.Met.NOT_TESTED;
  }
}
