package gotera.web.pressure.plan;

import gotera.pressure.compliance.Geometry;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.PressureUnit;
import gotera.web.cap.CapFacts;
import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.job.JobView;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.setup.SetupForm;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a hold is planned with, as typed or slid.
 *
 * @param pressure pressure of the hold
 * @param gaugeStep smallest step read
 * @param interval time between readings (s)
 * @param air trapped air (mL)
 * @param hose what the hoses give (mL/kPa)
 * @param known measured or sizes: how well that is known
 * @param warmth how the temperature is known: probe, pre-hold, overnight, hours or unknown
 * @param thermometerStep smallest step of the thermometer
 * @param soakHours hours stood
 * @param drift what it drifts by (K/min)
 * @param liquid liquid in the system
 * @param strength strength in percent
 * @param purpose what the test is for
 * @param rulePressure pressure of the maker's rule
 * @param ruleMinutes its time
 * @param ruleDrop its drop
 */
record PlanForm(
    String pressure,
    String gaugeStep,
    String interval,
    String air,
    String hose,
    String known,
    String warmth,
    String thermometerStep,
    String soakHours,
    String drift,
    String liquid,
    String strength,
    String purpose,
    String rulePressure,
    String ruleMinutes,
    String ruleDrop) {
  static final List<String> KNOWN = List.of("measured", "sizes");
  static final List<String> WARMTHS = List.of("unknown", "hours", "overnight", "probe", "pre-hold");

  /** Everything absent is empty. */
  PlanForm {
    pressure = Entry.text(pressure, 40);
    gaugeStep = Entry.text(gaugeStep, 40);
    interval = Entry.text(interval, 20);
    air = Entry.text(air, 20);
    hose = Entry.text(hose, 20);
    known = Entry.choice(known, KNOWN);
    warmth = Entry.choice(warmth, WARMTHS);
    thermometerStep = Entry.text(thermometerStep, 20);
    soakHours = Entry.text(soakHours, 20);
    drift = Entry.text(drift, 20);
    liquid = Entry.text(liquid, 40);
    strength = Entry.text(strength, 20);
    purpose = Entry.choice(purpose, SetupForm.PURPOSES);
    rulePressure = Entry.text(rulePressure, 40);
    ruleMinutes = Entry.text(ruleMinutes, 20);
    ruleDrop = Entry.text(ruleDrop, 40);
  }

  /** Whether nothing was typed: the page was just opened. */
  boolean blank() {
    return gaugeStep.isEmpty() && air.isEmpty() && pressure.isEmpty();
  }

  /** What the job and its tests know, else usual values. */
  static PlanForm of(
      JobView job,
      Phase phase,
      Optional<CapFacts> cap,
      List<PressureTestView> tests,
      Figures figures) {
    return of(job.liquidMl(), job.strength(), phase, cap, tests, figures);
  }

  /** Usual values; the pressure must be said. */
  static PlanForm usual(Figures figures) {
    OptionalDouble unknown = OptionalDouble.empty();
    return of(unknown, unknown, Phase.SEARCH, Optional.empty(), List.of(), figures);
  }

  private static PlanForm of(
      OptionalDouble liquid,
      OptionalDouble strength,
      Phase phase,
      Optional<CapFacts> cap,
      List<PressureTestView> tests,
      Figures figures) {
    Optional<HoldSetup> hold =
        tests.isEmpty() ? Optional.empty() : Optional.of(tests.get(tests.size() - 1).hold());
    Optional<KeptCompliance> kept =
        KeptCompliance.newest(tests.stream().map(PressureTestView::past).toList());
    Optional<Thermometer> probe = hold.flatMap(h -> h.instruments().thermometer());
    Optional<MakerRule> rule = hold.flatMap(h -> h.limits().makerRule());
    return new PlanForm(
        cap.map(c -> figures.pressureField(c.limit().pressure().kilopascals())).orElse(""),
        hold.flatMap(h -> h.instruments().gauge())
            .map(KnownGauge::resolution)
            .map(figures::pressureField)
            .orElse(
                figures.pressureField(
                    figures.unit() == PressureUnit.PSI
                        ? Usual.PLANNED_STEP_PSI * PressureUnit.PSI.kilopascals()
                        : Usual.PLANNED_STEP)),
        Figures.plain(Usual.INTERVAL),
        Figures.plain(
            Math.round(
                kept.map(k -> k.airAndHoses().trappedAir().millilitres())
                    .orElse(Usual.PLANNED_AIR))),
        Figures.plain(kept.map(k -> k.airAndHoses().hose()).orElse(Geometry.USUAL_HOSE)),
        kept.isPresent() ? "measured" : "sizes",
        probe.isPresent() ? "probe" : "overnight",
        Figures.full(probe.map(Thermometer::resolution).orElse(Usual.THERMOMETER_STEP)),
        "",
        "0",
        figures.volumeField(liquid.orElse(Usual.LIQUID)),
        Figures.percent(strength.orElse(Usual.STRENGTH)),
        phase == Phase.RE_TEST ? "sign-off" : "repair",
        rule.map(r -> figures.pressureField(r.pressure().kilopascals())).orElse(""),
        rule.map(r -> Figures.full(r.minutes())).orElse(""),
        rule.map(r -> figures.pressureField(r.drop())).orElse(""));
  }
}
