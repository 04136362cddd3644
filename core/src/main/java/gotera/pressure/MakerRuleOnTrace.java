package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/** The maker's rule on a trace: its clock starts when the valve shuts. */
final class MakerRuleOnTrace {
  /**
   * A reading so long after the rule's time still tells what the gauge showed then: half a minute,
   * or a quarter of its time (our judgement, untested) (s).
   */
  private static final double NEAR = 30;

  private static final double NEAR_SHARE = 0.25;

  private MakerRuleOnTrace() {}

  /**
   * Whether the rule is met, and what it would let through here.
   *
   * @param whole the readings since the valve was shut
   * @param shut when the valve was shut (s)
   */
  static PressureTestResult.MakerRuleResult of(
      MakerRule rule, Trace whole, double shut, HoldConditions conditions) {
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
        met(rule, whole, shut, conditions),
        rule.letsThrough(here, atmosphere).millilitresPerMinute());
  }

  private static MakerRule.Met met(
      MakerRule rule, Trace whole, double shut, HoldConditions conditions) {
    double step = conditions.gauge().resolution();
    double limit = conditions.limit().pressure().kilopascals();
    // what a needle cannot tell apart is the same pressure
    double allowed = limit + Math.max(step, 0.01 * limit);
    boolean reached =
        whole.size() >= 2 && whole.gauge(0) >= rule.pressure().kilopascals() - Math.max(step, 0.5);
    if (rule.pressure().kilopascals() > allowed || !reached) {
      return MakerRule.Met.NOT_TESTED;
    }
    double start = Math.max(shut, whole.seconds(0));
    double due = start + rule.minutes() * 60;
    double near = due + Math.max(NEAR, NEAR_SHARE * rule.minutes() * 60);
    for (int i = 1; i < whole.size() && whole.seconds(i) <= near; i++) {
      boolean held = whole.gauge(0) - whole.gauge(i) <= rule.drop();
      if (whole.seconds(i) >= due) {
        return held ? MakerRule.Met.YES : MakerRule.Met.NO;
      }
      if (!held) {
        return MakerRule.Met.NO;
      }
    }
    return MakerRule.Met.NOT_TESTED;
  }
}
