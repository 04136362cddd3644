package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.formats.HoldDescription;
import gotera.formats.HoldDescription.Compliance;
import gotera.formats.HoldDescription.EarlierMember;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.formats.HoldDescription.RuleMember;
import gotera.formats.HoldDescription.ThermometerMember;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.cap.CapFacts;
import gotera.web.equipment.EquipmentService;
import gotera.web.equipment.EquipmentView;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads a set-up: with the workshop's equipment and what the job knows already. */
final class SetupReading {
  /** Repeatability of a reading as a share of its step (our judgement, untested). */
  private static final double REPEATABILITY = 0.5;

  /** A dry system holds air as the maker says it holds coolant (our judgement, untested). */
  private static final double CAPACITY_U = 0.10;

  private SetupReading() {}

  /**
   * The workshop's equipment that was chosen.
   *
   * @param tester the tester or gauge
   * @param thermometer the thermometer
   * @param ownLeak the tester's own leak, as checked today
   * @param today the day of the test
   */
  record Tools(
      Optional<EquipmentView> tester,
      Optional<EquipmentView> thermometer,
      Optional<EquipmentView.OwnLeak> ownLeak,
      LocalDate today) {

    static Tools chosen(SetupForm form, EquipmentService equipment) {
      Optional<EquipmentView> tester = equipment.find(form.tester());
      return new Tools(
          tester,
          equipment.find(form.thermometer()),
          tester.flatMap(equipment::ownLeakToday),
          equipment.today());
    }

    /** How the gauge is read. */
    String readingMode(SetupForm form) {
      return tester.map(EquipmentView::readingMode).orElse(form.readingMode());
    }
  }

  /**
   * What the job knows already.
   *
   * @param cap the cap, whose limit the test keeps
   * @param kept what air and hoses gave when they were last measured
   * @param earlier holds of the last hour on the same system
   */
  record Known(CapFacts cap, Optional<KeptCompliance> kept, List<EarlierMember> earlier) {}

  /**
   * The description of a test that is set up anew while it runs: what was measured in it stays.
   *
   * @param now the description it has
   */
  static Optional<HoldDescription> anew(
      SetupForm form,
      FieldProblems problems,
      Known known,
      Tools tools,
      Figures figures,
      HoldDescription now) {
    return read(form, problems, known, tools, figures)
        .map(
            h -> {
              boolean keeps = form.compliance().equals("as-is") && h.medium() == now.medium();
              Compliance compliance =
                  keeps
                      ? now.compliance()
                      : h.compliance()
                          .withDraws(now.compliance().draws())
                          .withStrokes(now.compliance().strokes());
              return h.edit()
                  .compliance(compliance)
                  .closingDraw(now.closingDraw())
                  .windowS(now.windowS())
                  .releasedBeforeMin(now.releasedBeforeMin())
                  .earlier(now.earlier())
                  .gauge(keptGauge(form, tools, h, now))
                  .done();
            });
  }

  /** A gauge of which the form shows only the step keeps what else is known of it. */
  private static Optional<GaugeMember> keptGauge(
      SetupForm form, Tools tools, HoldDescription then, HoldDescription now) {
    boolean same =
        tools.tester().isEmpty()
            && now.gauge().isPresent()
            && Math.abs(
                    now.gauge().get().resolutionKpa() - then.gauge().orElseThrow().resolutionKpa())
                < 1e-9;
    return same ? now.gauge() : then.gauge();
  }

  /** The description that a set-up makes. */
  static Optional<HoldDescription> read(
      SetupForm form, FieldProblems problems, Known known, Tools tools, Figures figures) {
    PressureUnit shown = figures.unit();
    Optional<EquipmentView> tester = tools.tester();
    Optional<GaugeMember> gauge =
        tester
            .map(t -> member(t.gauge(tools.today())))
            .or(() -> gauge(form.gaugeStep(), problems, shown));
    Optional<ThermometerMember> thermometer = thermometer(form, tools, problems);
    Medium medium = Medium.of(form.medium()).orElseThrow();
    OptionalDouble capacity =
        problems.millilitres(
            "liquid", form.liquid(), figures.units().volume().millilitres(), Range.CAPACITY);
    OptionalDouble percent = problems.number("strength", form.strength(), Range.STRENGTH_PERCENT);
    OptionalDouble sizes = airFromSizes(form, problems, tester);
    Optional<RuleMember> rule =
        rule(form.rulePressure(), form.ruleMinutes(), form.ruleDrop(), problems, shown);
    OptionalDouble hours =
        switch (form.soak()) {
          case "overnight" -> OptionalDouble.of(Double.POSITIVE_INFINITY);
          case "hours" -> problems.number("soakHours", form.soakHours(), Range.STOOD);
          default -> OptionalDouble.empty();
        };
    OptionalDouble height = problems.numberIfTyped("altitude", form.altitude(), Range.ALTITUDE);
    if (!problems.none() || gauge.isEmpty()) {
      return Optional.empty();
    }
    Compliance compliance = compliance(form, known, medium, capacity.getAsDouble(), sizes);
    TestLimit limit = known.cap().limit();
    return Optional.of(
        HoldDescription.of(
                known.cap().rated().kilopascals(),
                medium == Medium.LIQUID ? capacity.getAsDouble() : 0,
                compliance)
            .limitKpa(OptionalDouble.of(limit.pressure().kilopascals()))
            .limitFromMaker(limit.source() != TestLimit.Source.CAP)
            .atmosphereKpa(
                height.isPresent()
                    ? OptionalDouble.of(
                        AbsolutePressure.atAltitude(height.getAsDouble()).kilopascals())
                    : OptionalDouble.empty())
            .strength(OptionalDouble.of(percent.getAsDouble() / 100))
            .gauge(gauge)
            .thermometer(thermometer)
            .ownLeak(figure(tools.ownLeak().map(l -> Math.max(0, l.rate()))))
            .ownLeakU(figure(tools.ownLeak().map(EquipmentView.OwnLeak::u)))
            .soakHours(hours)
            .earlier(medium == Medium.LIQUID ? known.earlier() : List.of())
            .purpose(Optional.of(form.purpose()))
            .makerRule(rule)
            .medium(medium)
            .done());
  }

  private static Compliance compliance(
      SetupForm form, Known known, Medium medium, double capacity, OptionalDouble sizes) {
    if (medium != Medium.LIQUID) {
      return Compliance.figure(
          OptionalDouble.of(capacity), OptionalDouble.empty(), OptionalDouble.of(CAPACITY_U), true);
    }
    Optional<KeptCompliance> kept =
        form.compliance().startsWith("kept") ? known.kept() : Optional.empty();
    return kept.map(k -> k.compliance(form.compliance().equals("kept-lower")))
        .orElseGet(
            () -> Compliance.figure(sizes, OptionalDouble.empty(), OptionalDouble.empty(), false));
  }

  private static OptionalDouble airFromSizes(
      SetupForm form, FieldProblems problems, Optional<EquipmentView> tester) {
    OptionalDouble gap = problems.number("airGap", form.airGap(), Range.GAP);
    OptionalDouble area = problems.number("gapArea", form.gapArea(), Range.AREA);
    OptionalDouble air =
        tester
            .map(EquipmentView::airMl)
            .filter(OptionalDouble::isPresent)
            .orElseGet(
                () ->
                    problems.millilitres("testerVolume", form.testerVolume(), 1, Range.TESTER_AIR));
    return gap.isEmpty() || area.isEmpty() || air.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            Geometry.of(
                    gap.getAsDouble(),
                    area.getAsDouble(),
                    new Volume(air.getAsDouble()),
                    Geometry.USUAL_HOSE)
                .trappedAir()
                .millilitres());
  }

  /** A gauge of which only the step is known. */
  static Optional<GaugeMember> gauge(String typed, FieldProblems problems, PressureUnit shown) {
    OptionalDouble step = problems.kilopascals("gaugeStep", typed, shown, Range.GAUGE_STEP);
    return step.isPresent() && problems.none()
        ? Optional.of(
            new GaugeMember(
                step.getAsDouble(),
                REPEATABILITY * step.getAsDouble(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                true))
        : Optional.empty();
  }

  private static GaugeMember member(Gauge g) {
    return new GaugeMember(
        g.resolution(),
        g.repeatability(),
        g.range(),
        OptionalDouble.of(g.zeroDrift()),
        g.calibrated());
  }

  private static Optional<ThermometerMember> thermometer(
      SetupForm form, Tools tools, FieldProblems problems) {
    if (tools.thermometer().isPresent()) {
      EquipmentView known = tools.thermometer().get();
      double step = known.resolution().orElseThrow();
      return Optional.of(
          new ThermometerMember(step, known.repeatability().orElse(REPEATABILITY * step)));
    }
    OptionalDouble step =
        problems.numberIfTyped("thermometerStep", form.thermometerStep(), Range.THERMOMETER_STEP);
    return step.isPresent()
        ? Optional.of(new ThermometerMember(step.getAsDouble(), REPEATABILITY * step.getAsDouble()))
        : Optional.empty();
  }

  /** A maker's rule of which all or nothing stands there. */
  static Optional<RuleMember> rule(
      String pressureTyped,
      String minutesTyped,
      String dropTyped,
      FieldProblems problems,
      PressureUnit shown) {
    if (pressureTyped.isEmpty() && minutesTyped.isEmpty() && dropTyped.isEmpty()) {
      return Optional.empty();
    }
    OptionalDouble pressure =
        problems.kilopascals("rulePressure", pressureTyped, shown, Range.RULE_PRESSURE);
    OptionalDouble minutes = problems.number("ruleMinutes", minutesTyped, Range.RULE_MINUTES);
    OptionalDouble drop = problems.kilopascals("ruleDrop", dropTyped, shown, Range.RULE_DROP);
    if (pressure.isEmpty() || minutes.isEmpty() || drop.isEmpty()) {
      return Optional.empty();
    }
    if (!(drop.getAsDouble() > 0) || drop.getAsDouble() >= pressure.getAsDouble()) {
      problems.add("ruleDrop", "problem.rule-drop", dropTyped);
      return Optional.empty();
    }
    return Optional.of(
        new RuleMember(pressure.getAsDouble(), minutes.getAsDouble(), drop.getAsDouble()));
  }

  private static OptionalDouble figure(Optional<Double> value) {
    return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }
}
