package gotera.web.pressure;

import gotera.coolant.CoolantMixture;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.pressure.TestPlan;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A plan understood.
 *
 * @param plan the plan
 * @param make the same plan for another amount of trapped air (mL)
 * @param air trapped air (mL)
 * @param purpose what the test is for
 * @param rule the maker's rule, and what it would let through here (mL/min)
 */
record PlanReading(
    TestPlan plan,
    java.util.function.DoubleFunction<TestPlan> make,
    double air,
    Purpose purpose,
    Optional<Rule> rule) {
  /** How well a compliance is known that a draw of 20 mL measured (our judgement, untested). */
  private static final double MEASURED = 0.06;

  /** Coolant of a plan (°C): cold. */
  private static final double COLD = 20;

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
    AbsolutePressure atmosphere = AbsolutePressure.atAltitude(metres);
    OptionalDouble pressure =
        problems.kilopascals("pressure", form.pressure(), shown, Range.PLANNED_PRESSURE);
    Optional<GaugeMember> gauge = SetupReading.gauge(form.gaugeStep(), problems, shown);
    OptionalDouble interval = problems.number("interval", form.interval(), Range.INTERVAL);
    OptionalDouble air = problems.number("air", form.air(), Range.PLANNED_AIR);
    OptionalDouble hose = problems.number("hose", form.hose(), Range.HOSE);
    OptionalDouble liquid =
        problems.millilitres(
            "liquid", form.liquid(), figures.units().volume().millilitres(), Range.CAPACITY);
    OptionalDouble percent = problems.number("strength", form.strength(), Range.STRENGTH_PERCENT);
    OptionalDouble drift = problems.number("drift", form.drift(), Range.DRIFT);
    Optional<Warmth> warmth = warmth(form, problems, drift.orElse(0));
    Optional<MakerRule> rule = rule(form, problems, shown);
    if (!problems.none() || gauge.isEmpty() || warmth.isEmpty()) {
      return Optional.empty();
    }
    double r = form.known().equals("measured") ? MEASURED : Geometry.RELATIVE_UNCERTAINTY;
    GaugeMember g = gauge.get();
    java.util.function.DoubleFunction<TestPlan> make =
        volume ->
            TestPlan.forSystem(
                new Gauge(g.resolutionKpa(), g.repeatabilityKpa(), g.rangeKpa(), 0.1, true),
                interval.getAsDouble() / 60,
                new AirAndHoses(
                    new Volume(volume),
                    hose.getAsDouble(),
                    r,
                    r < Geometry.RELATIVE_UNCERTAINTY
                        ? AirAndHoses.Source.MEASURED
                        : AirAndHoses.Source.GEOMETRY),
                new GaugePressure(pressure.getAsDouble()),
                atmosphere,
                new Volume(liquid.getAsDouble()),
                new CoolantMixture(percent.getAsDouble() / 100),
                COLD,
                warmth.get().drift(),
                warmth.get().u(),
                warmth.get().thermometer());
    TestPlan plan = make.apply(air.getAsDouble());
    Purpose purpose =
        java.util.Arrays.stream(Purpose.values())
            .filter(p -> p.word().equals(form.purpose()))
            .findFirst()
            .orElseThrow();
    return Optional.of(
        new PlanReading(
            plan,
            make,
            air.getAsDouble(),
            purpose,
            rule.map(m -> new Rule(m, letsThrough(m, plan, pressure.getAsDouble(), atmosphere)))));
  }

  /** As {@link gotera.pressure.verdict.MakerRule} has it, with the gas at its own pressure. */
  private static double letsThrough(
      MakerRule rule, TestPlan plan, double pressure, AbsolutePressure atmosphere) {
    AirAndHoses here = plan.system();
    double start = pressure + atmosphere.kilopascals();
    double at = rule.pressure().above(atmosphere).kilopascals();
    return rule.letsThrough(
            new AirAndHoses(
                new Volume(here.trappedAir().millilitres() * start / at),
                here.hose(),
                here.relativeUncertainty(),
                here.source()),
            atmosphere)
        .millilitresPerMinute();
  }

  /** What is known of the temperature. */
  private record Warmth(double drift, double u, Optional<Thermometer> thermometer) {}

  private static Optional<Warmth> warmth(PlanForm form, FieldProblems problems, double drift) {
    return switch (form.warmth()) {
      case "probe" -> {
        OptionalDouble step =
            problems.number("thermometerStep", form.thermometerStep(), Range.THERMOMETER_STEP);
        double probe = Math.hypot(TemperatureTrack.PROBE_SHARE * drift, TemperatureTrack.FLOOR);
        yield step.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Warmth(
                    drift,
                    probe,
                    Optional.of(new Thermometer(step.getAsDouble(), step.getAsDouble() / 2))));
      }
      case "pre-hold" ->
          // what the drift changes by on its own until the hold (our judgement, untested)
          Optional.of(new Warmth(drift, Math.hypot(0.002, 0.15 * drift), Optional.empty()));
      case "overnight" -> soak(new Soak.Overnight());
      case "hours" -> {
        OptionalDouble hours = problems.number("soakHours", form.soakHours(), Range.STOOD);
        yield hours.isEmpty() ? Optional.empty() : soak(new Soak.Hours(hours.getAsDouble()));
      }
      default -> soak(new Soak.Unknown());
    };
  }

  private static Optional<Warmth> soak(Soak soak) {
    return Optional.of(new Warmth(soak.drift(), soak.uncertainty(), Optional.empty()));
  }

  private static Optional<MakerRule> rule(
      PlanForm form, FieldProblems problems, PressureUnit shown) {
    if (form.rulePressure().isEmpty()
        && form.ruleMinutes().isEmpty()
        && form.ruleDrop().isEmpty()) {
      return Optional.empty();
    }
    return SetupReading.rule(
            form.rulePressure(), form.ruleMinutes(), form.ruleDrop(), problems, shown)
        .map(r -> new MakerRule(new GaugePressure(r.pressureKpa()), r.minutes(), r.dropKpa()));
  }
}
