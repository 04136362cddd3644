package gotera.web.pressure.setup;

import gotera.cap.TestLimit;
import gotera.pressure.HoldConditions.EarlierHold;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.EarlierHolds;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.Compliance;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.setup.PastHold;
import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.cap.CapFacts;
import gotera.web.equipment.EquipmentService;
import gotera.web.equipment.EquipmentView;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import gotera.word.Worded;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads a set-up: with the workshop's equipment and what the job knows already. */
public final class SetupReading {
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
  record Known(CapFacts cap, Optional<KeptCompliance> kept, List<EarlierHold> earlier) {
    /** What a new test may take from those before it. */
    static Known of(CapFacts cap, List<PressureTestView> before, Instant now) {
      List<PastHold> past = before.stream().map(PressureTestView::past).toList();
      return new Known(cap, KeptCompliance.newest(past), EarlierHolds.settled(past, now));
    }
  }

  /**
   * The description of a test that is set up anew while it runs: what was measured in it stays.
   *
   * @param now the description it has
   */
  static Optional<HoldSetup> anew(
      SetupForm form,
      FieldProblems problems,
      Known known,
      Tools tools,
      Figures figures,
      HoldSetup now) {
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
              return h.with(compliance)
                  .with(now.course())
                  .with(h.instruments().read(keptGauge(form, tools, h, now)));
            });
  }

  /** A gauge of which the form shows only the step keeps what else is known of it. */
  private static Optional<KnownGauge> keptGauge(
      SetupForm form, Tools tools, HoldSetup then, HoldSetup now) {
    Optional<KnownGauge> before = now.instruments().gauge();
    Optional<KnownGauge> after = then.instruments().gauge();
    boolean same =
        tools.tester().isEmpty()
            && before.isPresent()
            && Math.abs(before.get().resolution() - after.orElseThrow().resolution()) < 1e-9;
    return same ? before : after;
  }

  /** The description that a set-up makes. */
  static Optional<HoldSetup> read(
      SetupForm form, FieldProblems problems, Known known, Tools tools, Figures figures) {
    PressureUnit shown = figures.unit();
    Optional<KnownGauge> gauge =
        tools
            .tester()
            .map(t -> known(t.gauge(tools.today())))
            .or(() -> gauge(form.gaugeStep(), problems, shown));
    Optional<Thermometer> thermometer = thermometer(form, tools, problems);
    Medium medium = Worded.of(Medium.class, form.medium()).orElseThrow();
    OptionalDouble capacity =
        problems.millilitres(
            "liquid", form.liquid(), figures.units().volume().millilitres(), Range.CAPACITY);
    OptionalDouble percent = problems.number("strength", form.strength(), Range.STRENGTH_PERCENT);
    OptionalDouble sizes = airFromSizes(form, problems, tools.tester());
    Optional<MakerRule> rule =
        rule(form.rulePressure(), form.ruleMinutes(), form.ruleDrop(), problems, shown);
    HoldSetup.Surroundings surroundings = surroundings(form, problems);
    if (!problems.none() || gauge.isEmpty()) {
      return Optional.empty();
    }
    double room = capacity.getAsDouble();
    TestLimit limit = known.cap().limit();
    return Optional.of(
        new HoldSetup(
            HoldSetup.Limits.of(known.cap().rated().kilopascals())
                .under(
                    known.cap().rated().kilopascals(),
                    limit.pressure().kilopascals(),
                    limit.source() != TestLimit.Source.CAP)
                .against(Worded.of(Purpose.class, form.purpose()).orElseThrow(), rule),
            surroundings,
            new HoldSetup.Filling(
                medium == Medium.LIQUID ? room : 0,
                OptionalDouble.of(percent.getAsDouble() / 100),
                medium),
            compliance(form, known, medium, room, sizes),
            new HoldSetup.Instruments(
                gauge,
                thermometer,
                figure(tools.ownLeak().map(l -> Math.max(0, l.rate()))),
                figure(tools.ownLeak().map(EquipmentView.OwnLeak::u))),
            HoldSetup.Course.UNKNOWN.after(medium == Medium.LIQUID ? known.earlier() : List.of())));
  }

  private static HoldSetup.Surroundings surroundings(SetupForm form, FieldProblems problems) {
    Optional<Soak> soak =
        switch (form.soak()) {
          case "overnight" -> Optional.of(new Soak.Overnight());
          case "hours" -> hours(problems.number("soakHours", form.soakHours(), Range.STOOD));
          default -> Optional.empty();
        };
    OptionalDouble height = problems.numberIfTyped("altitude", form.altitude(), Range.ALTITUDE);
    HoldSetup.Surroundings stood = HoldSetup.Surroundings.UNKNOWN.stood(soak);
    return height.isEmpty()
        ? stood
        : stood.under(AbsolutePressure.atAltitude(height.getAsDouble()).kilopascals());
  }

  private static Optional<Soak> hours(OptionalDouble hours) {
    return hours.isEmpty() ? Optional.empty() : Optional.of(new Soak.Hours(hours.getAsDouble()));
  }

  private static Compliance compliance(
      SetupForm form, Known known, Medium medium, double capacity, OptionalDouble sizes) {
    if (medium != Medium.LIQUID) {
      return Compliance.figure(
          OptionalDouble.of(capacity),
          OptionalDouble.empty(),
          OptionalDouble.of(Usual.CAPACITY_U),
          true);
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
  public static Optional<KnownGauge> gauge(
      String typed, FieldProblems problems, PressureUnit shown) {
    OptionalDouble step = problems.kilopascals("gaugeStep", typed, shown, Range.GAUGE_STEP);
    return step.isPresent() && problems.none()
        ? Optional.of(KnownGauge.ofStep(step.getAsDouble()))
        : Optional.empty();
  }

  private static KnownGauge known(Gauge g) {
    return new KnownGauge(
        g.resolution(),
        g.repeatability(),
        g.range(),
        OptionalDouble.of(g.zeroDrift()),
        g.calibrated());
  }

  private static Optional<Thermometer> thermometer(
      SetupForm form, Tools tools, FieldProblems problems) {
    if (tools.thermometer().isPresent()) {
      EquipmentView known = tools.thermometer().get();
      double step = known.resolution().orElseThrow();
      return Optional.of(
          new Thermometer(step, known.repeatability().orElse(Usual.REPEATABILITY * step)));
    }
    OptionalDouble step =
        problems.numberIfTyped("thermometerStep", form.thermometerStep(), Range.THERMOMETER_STEP);
    return step.isPresent() ? Optional.of(Usual.thermometer(step.getAsDouble())) : Optional.empty();
  }

  /** A maker's rule of which all or nothing stands there. */
  public static Optional<MakerRule> rule(
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
        new MakerRule(
            new GaugePressure(pressure.getAsDouble()), minutes.getAsDouble(), drop.getAsDouble()));
  }

  private static OptionalDouble figure(Optional<Double> value) {
    return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }
}
