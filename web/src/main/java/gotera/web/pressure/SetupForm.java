package gotera.web.pressure;

import gotera.cap.TestLimit;
import gotera.formats.HoldDescription;
import gotera.formats.HoldDescription.Compliance;
import gotera.formats.HoldDescription.DrawMember;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.formats.HoldDescription.RuleMember;
import gotera.formats.HoldDescription.ThermometerMember;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Geometry;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Typed;
import gotera.quantity.Volume;
import gotera.web.cap.CapFacts;
import gotera.web.job.JobView;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The set-up of a pressure test as typed. What is left as it stands is a default and named as such.
 *
 * @param stamp stamp of the cap, where the job has none yet
 * @param gaugeStep smallest step that is read from the gauge
 * @param readingMode needle or digital
 * @param thermometerStep smallest step of the thermometer; empty for none
 * @param liquid liquid in the system
 * @param strength strength in percent
 * @param airGap air gap below the brim (mm)
 * @param gapArea free area at the gap (cm²)
 * @param testerVolume volume of the tester's hose and adapter
 * @param soak overnight, hours or unknown
 * @param soakHours hours stood
 * @param purpose what the test is for
 * @param rulePressure pressure of the maker's rule
 * @param ruleMinutes its time
 * @param ruleDrop its drop
 * @param altitude height of the workshop (m)
 */
record SetupForm(
    String stamp,
    String gaugeStep,
    String readingMode,
    String thermometerStep,
    String liquid,
    String strength,
    String airGap,
    String gapArea,
    String testerVolume,
    String soak,
    String soakHours,
    String purpose,
    String rulePressure,
    String ruleMinutes,
    String ruleDrop,
    String altitude) {
  static final List<String> SOAKS = List.of("unknown", "hours", "overnight");
  static final List<String> PURPOSES = List.of("search", "repair", "sign-off");

  /** Repeatability of a reading as a share of its step (our judgement, untested). */
  private static final double REPEATABILITY = 0.5;

  // what stands in a new form (our judgement, untested): the user sees and changes it
  private static final double USUAL_LIQUID = 8;
  private static final double USUAL_GAP = 20;
  private static final double USUAL_AREA = 12;
  private static final double USUAL_TESTER = 60;

  /** Everything absent is empty. */
  SetupForm {
    stamp = Entry.text(stamp, 40);
    gaugeStep = Entry.text(gaugeStep, 40);
    readingMode = Entry.choice(readingMode, List.of("needle", "digital"));
    thermometerStep = Entry.text(thermometerStep, 40);
    liquid = Entry.text(liquid, 40);
    strength = Entry.text(strength, 40);
    airGap = Entry.text(airGap, 40);
    gapArea = Entry.text(gapArea, 40);
    testerVolume = Entry.text(testerVolume, 40);
    soak = Entry.choice(soak, SOAKS);
    soakHours = Entry.text(soakHours, 40);
    purpose = Entry.choice(purpose, PURPOSES);
    rulePressure = Entry.text(rulePressure, 40);
    ruleMinutes = Entry.text(ruleMinutes, 40);
    ruleDrop = Entry.text(ruleDrop, 40);
    altitude = Entry.text(altitude, 40);
  }

  /** A new form: what the job knows, what the test before used, else usual values. */
  static SetupForm blank(
      JobView job, Phase phase, Optional<PressureTestView> before, Figures figures) {
    if (before.isPresent()) {
      return of(before.get(), phase == Phase.RE_TEST ? "sign-off" : "search", figures);
    }
    double litres = job.liquidMl().orElse(USUAL_LIQUID * 1000) / 1000;
    return new SetupForm(
        "",
        "",
        "needle",
        "",
        Figures.plain(litres) + " L",
        Figures.plain(job.strength().orElse(0.5) * 100),
        Figures.plain(USUAL_GAP),
        Figures.plain(USUAL_AREA),
        Figures.plain(USUAL_TESTER) + " mL",
        "unknown",
        "",
        phase == Phase.RE_TEST ? "sign-off" : "search",
        "",
        "",
        "",
        "");
  }

  private static SetupForm of(PressureTestView test, String purpose, Figures figures) {
    HoldDescription h = test.hold();
    GaugeMember gauge = h.gauge().orElseThrow();
    return new SetupForm(
        "",
        figures.pressure(gauge.resolutionKpa()),
        test.readingMode(),
        h.thermometer().map(t -> Figures.plain(t.resolutionC())).orElse(""),
        Figures.plain(h.liquidMl() / 1000) + " L",
        Figures.plain(h.strength().orElse(0.5) * 100),
        Figures.plain(USUAL_GAP),
        Figures.plain(USUAL_AREA),
        Figures.plain(USUAL_TESTER) + " mL",
        "unknown",
        "",
        purpose,
        h.makerRule().map(r -> figures.pressure(r.pressureKpa())).orElse(""),
        h.makerRule().map(r -> Figures.plain(r.minutes())).orElse(""),
        h.makerRule().map(r -> figures.pressure(r.dropKpa())).orElse(""),
        "");
  }

  /**
   * The description these fields make.
   *
   * @param cap the cap, whose limit the test keeps
   * @param draws draws made so far, kept when the set-up changes
   */
  Optional<HoldDescription> read(
      FieldProblems problems, CapFacts cap, Draws draws, PressureUnit shown) {
    OptionalDouble step = pressureStep(problems, shown);
    OptionalDouble liquidMl =
        millilitres(problems, "liquid", liquid, 1000, 500, 200_000, "problem.liquid");
    OptionalDouble percent = number(problems, "strength", strength, "%", 0, 60);
    OptionalDouble gap = number(problems, "airGap", airGap, "mm", 0, 500);
    OptionalDouble area = number(problems, "gapArea", gapArea, "cm²", 0.1, 2000);
    OptionalDouble tester =
        millilitres(problems, "testerVolume", testerVolume, 1, 0, 5000, "problem.range");
    Optional<RuleMember> rule = rule(problems, shown);
    Optional<ThermometerMember> thermometer = thermometer(problems);
    OptionalDouble hours = soakHours(problems);
    OptionalDouble height =
        altitude.isEmpty()
            ? OptionalDouble.empty()
            : number(problems, "altitude", altitude, "m", -500, 5000);
    if (!problems.none()) {
      return Optional.empty();
    }
    AirAndHoses sizes =
        Geometry.of(
            gap.getAsDouble(),
            area.getAsDouble(),
            new Volume(tester.getAsDouble()),
            Geometry.USUAL_HOSE);
    TestLimit limit = cap.limit();
    return Optional.of(
        new HoldDescription(
            cap.rated().kilopascals(),
            OptionalDouble.of(limit.pressure().kilopascals()),
            limit.source() != TestLimit.Source.CAP,
            height.isPresent()
                ? OptionalDouble.of(AbsolutePressure.atAltitude(height.getAsDouble()).kilopascals())
                : OptionalDouble.empty(),
            OptionalDouble.empty(),
            liquidMl.getAsDouble(),
            OptionalDouble.of(percent.getAsDouble() / 100),
            Compliance.figure(
                    OptionalDouble.of(sizes.trappedAir().millilitres()),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    false)
                .withDraws(draws.measuring().stream().toList()),
            Optional.of(
                new GaugeMember(
                    step.getAsDouble(),
                    REPEATABILITY * step.getAsDouble(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    true)),
            thermometer,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            hours,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            draws.closing(),
            Optional.of(purpose),
            OptionalDouble.empty(),
            rule,
            Optional.empty()));
  }

  /** Draws made so far. */
  record Draws(Optional<DrawMember> measuring, Optional<DrawMember> closing) {
    static final Draws NONE = new Draws(Optional.empty(), Optional.empty());
  }

  private OptionalDouble pressureStep(FieldProblems problems, PressureUnit shown) {
    Optional<GaugePressure> step =
        problems.take("gaugeStep", gaugeStep, Typed.pressure(gaugeStep, shown));
    if (step.isPresent() && (step.get().kilopascals() < 0.001 || step.get().kilopascals() > 20)) {
      problems.add("gaugeStep", "problem.gauge-step", gaugeStep);
    }
    return step.isPresent() ? OptionalDouble.of(step.get().kilopascals()) : OptionalDouble.empty();
  }

  private Optional<ThermometerMember> thermometer(FieldProblems problems) {
    if (thermometerStep.isEmpty()) {
      return Optional.empty();
    }
    OptionalDouble step = number(problems, "thermometerStep", thermometerStep, "K", 0.001, 5);
    return step.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new ThermometerMember(step.getAsDouble(), REPEATABILITY * step.getAsDouble()));
  }

  private OptionalDouble soakHours(FieldProblems problems) {
    return switch (soak) {
      case "overnight" -> OptionalDouble.of(Double.POSITIVE_INFINITY);
      case "hours" -> number(problems, "soakHours", soakHours, "h", 0, 1000);
      default -> OptionalDouble.empty();
    };
  }

  private Optional<RuleMember> rule(FieldProblems problems, PressureUnit shown) {
    if (rulePressure.isEmpty() && ruleMinutes.isEmpty() && ruleDrop.isEmpty()) {
      return Optional.empty();
    }
    Optional<GaugePressure> pressure =
        problems.take("rulePressure", rulePressure, Typed.pressure(rulePressure, shown));
    OptionalDouble minutes = number(problems, "ruleMinutes", ruleMinutes, "min", 0.1, 600);
    Optional<GaugePressure> drop =
        problems.take("ruleDrop", ruleDrop, Typed.pressure(ruleDrop, shown));
    if (pressure.isEmpty() || minutes.isEmpty() || drop.isEmpty()) {
      return Optional.empty();
    }
    if (!(drop.get().kilopascals() > 0) || drop.get().compareTo(pressure.get()) >= 0) {
      problems.add("ruleDrop", "problem.rule-drop", ruleDrop);
      return Optional.empty();
    }
    return Optional.of(
        new RuleMember(
            pressure.get().kilopascals(), minutes.getAsDouble(), drop.get().kilopascals()));
  }

  private static OptionalDouble number(
      FieldProblems problems, String field, String typed, String unit, double low, double high) {
    Optional<Double> value = problems.take(field, typed, Typed.number(typed, unit));
    if (value.isPresent() && (value.get() < low || value.get() > high)) {
      problems.add(
          field, "problem.range", typed, Figures.plain(low), Figures.plain(high) + " " + unit);
      return OptionalDouble.empty();
    }
    return value.isPresent() ? OptionalDouble.of(value.get()) : OptionalDouble.empty();
  }

  private static OptionalDouble millilitres(
      FieldProblems problems,
      String field,
      String typed,
      double assumed,
      double low,
      double high,
      String key) {
    Optional<Volume> volume = problems.take(field, typed, Typed.volume(typed, assumed));
    if (volume.isPresent()
        && (volume.get().millilitres() < low || volume.get().millilitres() > high)) {
      problems.add(field, key, typed, Figures.plain(low), Figures.plain(high) + " mL");
      return OptionalDouble.empty();
    }
    return volume.isPresent()
        ? OptionalDouble.of(volume.get().millilitres())
        : OptionalDouble.empty();
  }
}
