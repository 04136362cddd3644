package gotera.web.pressure.setup;

import gotera.pressure.law.Medium;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Soak;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.job.JobView;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureTestView;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The set-up of a pressure test as typed. What is left as it stands is a default and named as such.
 *
 * @param stamp stamp of the cap, where the job has none yet
 * @param tester identifier of the tester, if one of the workshop's was chosen
 * @param gaugeStep smallest step that is read from another gauge
 * @param readingMode needle or digital
 * @param thermometer identifier of the thermometer, if one of the workshop's was chosen
 * @param thermometerStep smallest step of another thermometer; empty for none
 * @param medium what is pressed through a leak
 * @param compliance how it becomes known what air and hoses give
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
 * @param meant meaning chosen where the stamp was asked back (kPa)
 * @param loop the loop that is tested, where there are several
 */
public record SetupForm(
    String stamp,
    String tester,
    String gaugeStep,
    String readingMode,
    String thermometer,
    String thermometerStep,
    String medium,
    String compliance,
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
    String altitude,
    String meant,
    String loop) {
  public static final List<String> SOAKS = List.of("unknown", "hours", "overnight");
  public static final List<String> PURPOSES = List.of("search", "repair", "sign-off");
  static final List<String> MEDIA = Stream.of(Medium.values()).map(Medium::word).toList();
  static final List<String> MODES = List.of("needle", "digital");

  /**
   * To be measured in this test; as measured before; as measured before and not topped up since; as
   * the test has it that is described anew.
   */
  static final List<String> COMPLIANCES = List.of("measure", "kept", "kept-lower", "as-is");

  /** The loops of an electric drive. */
  static final List<String> LOOPS = List.of("drive", "battery");

  /** Everything absent is empty. */
  public SetupForm {
    stamp = Entry.text(stamp, 40);
    tester = Entry.text(tester, 36);
    gaugeStep = Entry.text(gaugeStep, 40);
    readingMode = Entry.choice(readingMode, MODES);
    thermometer = Entry.text(thermometer, 36);
    thermometerStep = Entry.text(thermometerStep, 40);
    medium = Entry.choice(medium, MEDIA);
    compliance = Entry.choice(compliance, COMPLIANCES);
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
    meant = Entry.text(meant, 30);
    loop = loop != null && LOOPS.contains(loop) ? loop : "";
  }

  /** A new form: what the job knows, what the test before used, else usual values. */
  static SetupForm blank(
      JobView job,
      Phase phase,
      Optional<PressureTestView> before,
      double workshopMetres,
      Figures figures) {
    Optional<HoldSetup> hold = before.map(PressureTestView::hold);
    Optional<HoldSetup> wet = hold.filter(h -> h.medium() == Medium.LIQUID);
    double liquid = job.liquidMl().orElse(Usual.LIQUID);
    double strength = job.strength().orElse(Usual.STRENGTH);
    return form(
        hold,
        before.map(PressureTestView::readingMode).orElse("needle"),
        Medium.LIQUID,
        "measure",
        wet.map(h -> h.filling().liquidMl()).orElse(liquid),
        hold.map(h -> h.filling().strength().orElse(strength)).orElse(strength),
        Optional.empty(),
        Usual.purpose(phase == Phase.RE_TEST),
        workshopMetres,
        before.map(PressureTestView::loop).orElse(""),
        figures);
  }

  /** The form of a test that runs, to describe it anew: nothing it says is rounded. */
  static SetupForm of(PressureTestView test, Figures figures) {
    HoldSetup hold = test.hold();
    return form(
        Optional.of(hold),
        test.readingMode(),
        hold.medium(),
        "as-is",
        hold.medium() == Medium.LIQUID ? hold.filling().liquidMl() : Usual.LIQUID,
        hold.filling().strength().orElse(Usual.STRENGTH),
        hold.surroundings().soak(),
        hold.limits().purpose().orElse(Purpose.SIGN_OFF),
        hold.surroundings().atmosphereKpa().stream().map(AbsolutePressure::altitudeOf).sum(),
        test.loop(),
        figures);
  }

  private static SetupForm form(
      Optional<HoldSetup> hold,
      String readingMode,
      Medium medium,
      String compliance,
      double liquidMl,
      double strength,
      Optional<Soak> soak,
      Purpose purpose,
      double metres,
      String loop,
      Figures figures) {
    Optional<MakerRule> rule = hold.flatMap(h -> h.limits().makerRule());
    return new SetupForm(
        "",
        "",
        hold.flatMap(h -> h.instruments().gauge())
            .map(KnownGauge::resolution)
            .map(figures::pressureField)
            .orElse(""),
        readingMode,
        "",
        hold.flatMap(h -> h.instruments().thermometer())
            .map(t -> Figures.full(t.resolution()))
            .orElse(""),
        medium.word(),
        compliance,
        figures.volumeField(liquidMl),
        Figures.full(100 * strength),
        Figures.plain(Usual.GAP),
        Figures.plain(Usual.GAP_AREA),
        Figures.plain(Usual.TESTER_AIR) + " mL",
        soak.map(s -> s instanceof Soak.Hours ? "hours" : "overnight").orElse("unknown"),
        soak.map(s -> s instanceof Soak.Hours h ? Figures.full(h.hours()) : "").orElse(""),
        purpose.word(),
        rule.map(r -> figures.pressureField(r.pressure().kilopascals())).orElse(""),
        rule.map(r -> Figures.full(r.minutes())).orElse(""),
        rule.map(r -> figures.pressureField(r.drop())).orElse(""),
        Math.abs(metres) < 1 ? "" : Figures.plain(Math.rint(metres)),
        "",
        loop);
  }
}
