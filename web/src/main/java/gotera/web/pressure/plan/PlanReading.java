package gotera.web.pressure.plan;

import gotera.coolant.CoolantMixture;
import gotera.pressure.TestPlan;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.PlannedHold;
import gotera.pressure.setup.Usual;
import gotera.pressure.setup.Warmth;
import gotera.pressure.trace.Soak;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.setup.SetupReading;
import gotera.word.Worded;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A plan understood.
 *
 * @param hold the hold that is planned
 * @param plan the plan with the trapped air that was said
 * @param air that air (mL)
 * @param purpose what the test is for
 * @param rule the maker's rule, and what it would let through here (mL/min)
 */
record PlanReading(
    PlannedHold hold, TestPlan plan, double air, Purpose purpose, Optional<Rule> rule) {
  /**
   * The maker's rule here.
   *
   * @param rule the rule
   * @param letsThrough the leak it would let through (mL/min)
   */
  record Rule(MakerRule rule, double letsThrough) {}

  static Optional<PlanReading> of(
      PlanForm form, FieldProblems problems, Figures figures, double metres) {
    PressureUnit shown = figures.unit();
    OptionalDouble pressure =
        problems.kilopascals("pressure", form.pressure(), shown, Range.PLANNED_PRESSURE);
    Optional<KnownGauge> gauge = SetupReading.gauge(form.gaugeStep(), problems, shown);
    OptionalDouble interval = problems.number("interval", form.interval(), Range.INTERVAL);
    OptionalDouble air = problems.number("air", form.air(), Range.PLANNED_AIR);
    OptionalDouble hose = problems.number("hose", form.hose(), Range.HOSE);
    OptionalDouble liquid =
        problems.millilitres(
            "liquid", form.liquid(), figures.units().volume().millilitres(), Range.CAPACITY);
    OptionalDouble percent = problems.number("strength", form.strength(), Range.STRENGTH_PERCENT);
    OptionalDouble drift = problems.number("drift", form.drift(), Range.DRIFT);
    Optional<Warmth> warmth = warmth(form, problems, drift.orElse(0));
    Optional<MakerRule> rule =
        SetupReading.rule(
            form.rulePressure(), form.ruleMinutes(), form.ruleDrop(), problems, shown);
    if (!problems.none() || gauge.isEmpty() || warmth.isEmpty()) {
      return Optional.empty();
    }
    PlannedHold hold =
        new PlannedHold(
            new GaugePressure(pressure.getAsDouble()),
            AbsolutePressure.atAltitude(metres),
            gauge.get(),
            interval.getAsDouble(),
            hose.getAsDouble(),
            form.known().equals("measured"),
            warmth.get(),
            new Volume(liquid.getAsDouble()),
            new CoolantMixture(percent.getAsDouble() / 100));
    TestPlan plan = hold.with(air.getAsDouble());
    return Optional.of(
        new PlanReading(
            hold,
            plan,
            air.getAsDouble(),
            Worded.of(Purpose.class, form.purpose()).orElseThrow(),
            rule.map(m -> new Rule(m, hold.letsThrough(m, plan)))));
  }

  private static Optional<Warmth> warmth(PlanForm form, FieldProblems problems, double drift) {
    return switch (form.warmth()) {
      case "probe" -> {
        OptionalDouble step =
            problems.number("thermometerStep", form.thermometerStep(), Range.THERMOMETER_STEP);
        yield step.isEmpty()
            ? Optional.empty()
            : Optional.of(Warmth.read(drift, Usual.thermometer(step.getAsDouble())));
      }
      case "pre-hold" -> Optional.of(Warmth.preHold(drift));
      case "overnight" -> Optional.of(Warmth.of(new Soak.Overnight()));
      case "hours" -> {
        OptionalDouble hours = problems.number("soakHours", form.soakHours(), Range.STOOD);
        yield hours.isEmpty()
            ? Optional.empty()
            : Optional.of(Warmth.of(new Soak.Hours(hours.getAsDouble())));
      }
      default -> Optional.of(Warmth.of(new Soak.Unknown()));
    };
  }
}
