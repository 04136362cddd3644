package gotera.web.pressure;

import gotera.formats.HoldDescription;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.pressure.law.Medium;
import gotera.web.job.JobView;
import gotera.web.shell.Entry;
import gotera.web.shell.Figures;
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
 */
record SetupForm(
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
    String altitude) {
  static final List<String> SOAKS = List.of("unknown", "hours", "overnight");
  static final List<String> PURPOSES = List.of("search", "repair", "sign-off");
  static final List<String> MEDIA = Stream.of(Medium.values()).map(Medium::word).toList();
  static final List<String> MODES = List.of("needle", "digital");

  /**
   * To be measured in this test; as measured before; as measured before and not topped up since.
   */
  static final List<String> COMPLIANCES = List.of("measure", "kept", "kept-lower");

  // what stands in a new form (our judgement, untested): the user sees and changes it
  static final double USUAL_LIQUID = 8;
  private static final double USUAL_GAP = 20;
  private static final double USUAL_AREA = 12;
  private static final double USUAL_TESTER = 60;

  /** Everything absent is empty. */
  SetupForm {
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
  }

  /** A new form: what the job knows, what the test before used, else usual values. */
  static SetupForm blank(
      JobView job, Phase phase, Optional<PressureTestView> before, Figures figures) {
    Optional<HoldDescription> hold = before.map(PressureTestView::hold);
    Optional<HoldDescription> wet = hold.filter(h -> h.medium() == Medium.LIQUID);
    double litres = job.liquidMl().orElse(USUAL_LIQUID * 1000) / 1000;
    double strength = job.strength().orElse(0.5);
    return new SetupForm(
        "",
        "",
        hold.flatMap(HoldDescription::gauge)
            .map(GaugeMember::resolutionKpa)
            .map(figures::pressure)
            .orElse(""),
        before.map(PressureTestView::readingMode).orElse("needle"),
        "",
        hold.flatMap(HoldDescription::thermometer)
            .map(t -> Figures.plain(t.resolutionC()))
            .orElse(""),
        Medium.LIQUID.word(),
        "measure",
        Figures.plain(wet.map(h -> h.liquidMl() / 1000).orElse(litres)) + " L",
        Figures.plain(100 * hold.map(h -> h.strength().orElse(strength)).orElse(strength)),
        Figures.plain(USUAL_GAP),
        Figures.plain(USUAL_AREA),
        Figures.plain(USUAL_TESTER) + " mL",
        "unknown",
        "",
        phase == Phase.RE_TEST ? "sign-off" : "search",
        hold.flatMap(HoldDescription::makerRule)
            .map(r -> figures.pressure(r.pressureKpa()))
            .orElse(""),
        hold.flatMap(HoldDescription::makerRule).map(r -> Figures.plain(r.minutes())).orElse(""),
        hold.flatMap(HoldDescription::makerRule).map(r -> figures.pressure(r.dropKpa())).orElse(""),
        "");
  }
}
