package gotera.web.pressure.hold;

import gotera.drawing.CurveDrawing;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Trace;
import gotera.web.figures.Figures;
import gotera.web.pressure.HoldCurve;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.pressure.compliance.ComplianceWords;
import gotera.web.pressure.trace.Contents;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Makes the bench of a pressure test from what it is. */
@Component
public class PressurePages {
  private final VerdictWords verdicts;
  private final HoldCurve curves;
  private final ComplianceWords compliance;
  private final Rows rows;
  private final Origins origins;
  private final Beside beside;
  private final Undecided undecided;
  private final Words words;

  public PressurePages(
      VerdictWords verdicts,
      HoldCurve curves,
      ComplianceWords compliance,
      Rows rows,
      Origins origins,
      Beside beside,
      Undecided undecided,
      Words words) {
    this.undecided = undecided;
    this.verdicts = verdicts;
    this.curves = curves;
    this.compliance = compliance;
    this.rows = rows;
    this.origins = origins;
    this.beside = beside;
    this.words = words;
  }

  PressurePage page(
      PressureTestView test, Contents contents, OptionalDouble from, double now, Figures figures) {
    boolean finished = test.finishedAt().isPresent();
    boolean holding = test.holding();
    Trace trace = test.trace();
    boolean any = trace.size() > 0;
    double last = any ? trace.gauge(trace.size() - 1) : 0;
    double clockNow =
        finished && any ? trace.seconds(trace.size() - 1) - test.origin() : now - test.origin();
    return new PressurePage(
        "/tests/" + test.id(),
        words.say("pressure." + test.phase().word() + ".title", test.number()),
        subtitle(test, figures),
        finished ? "finished" : holding ? "holding" : "pumping",
        holding && !finished
            ? test.startedAt().toEpochMilli() + Math.round(test.origin() * 1000)
            : 0,
        Figures.minutesAndSeconds(clockNow),
        any ? figures.pressureFigure(last) : "\u2013",
        figures.unit().symbol(),
        verdicts.said(test, figures),
        holding && !finished,
        any
            ? curves.curve(
                List.of(curves.run(test)),
                test,
                figures,
                finished ? CurveDrawing.Size.WIDE : CurveDrawing.Size.LOW)
            : "",
        any ? curves.curve(List.of(curves.run(test)), test, figures, CurveDrawing.Size.NARROW) : "",
        leftOut(test),
        Rows.pad(test, figures),
        overLimit(test, figures),
        test.hold().course().window().isPresent(),
        compliance.of(test, figures),
        Rows.table(test, contents, from, figures),
        rows.events(test, contents),
        contents.readings().size(),
        test.result().rate().map(r -> origins.of(r, test, figures)).orElse(List.of()),
        test.result().rate().map(origins::budget).orElse(List.of()),
        makerRule(test, figures),
        limit(test, figures),
        undecided.deciders(test, figures),
        undecided.remedies(test, figures),
        undecided.otherwise(test, figures).orElse(""),
        beside.of(test, figures),
        test.assumed().stream().map(m -> words.say("assumed." + m.member())).toList(),
        test.phase() == Phase.RE_TEST);
  }

  /** A test on paper. */
  public TestSheet sheet(PressureTestView test, Figures figures) {
    VerdictWords.Said said = verdicts.said(test, figures);
    List<String> detail = new ArrayList<>(List.of(said.detail()));
    detail.addAll(said.reasons());
    List<String> conditions = new ArrayList<>(List.of(subtitle(test, figures)));
    conditions.add(limit(test, figures));
    conditions.add(words.say(calibration(test)));
    makerRule(test, figures).ifPresent(conditions::add);
    test.assumed()
        .forEach(
            m -> conditions.add(words.say("sheet.assumed", words.say("assumed." + m.member()))));
    return new TestSheet(
        words.say("pressure." + test.phase().word() + ".title", test.number())
            + ", "
            + Figures.moment(test.startedAt()),
        said.headline(),
        detail,
        test.trace().size() > 0
            ? curves.curve(List.of(curves.run(test)), test, figures, CurveDrawing.Size.FILE)
            : "",
        test.result().rate().map(r -> origins.of(r, test, figures)).orElse(List.of()).stream()
            .map(o -> new TestSheet.Figure(o.name(), o.value(), o.from()))
            .toList(),
        conditions.stream().filter(c -> !c.isEmpty()).toList(),
        test.result().rate().map(origins::budget).orElse(List.of()).stream()
            .map(s -> words.say("sheet.share", s.name(), s.value(), s.percent()))
            .toList());
  }

  /** Only of a gauge from the list is it known: its range came with it. */
  private static String calibration(PressureTestView test) {
    boolean listed =
        test.hold().instruments().gauge().filter(g -> g.range().isPresent()).isPresent();
    return !test.conditions().gauge().calibrated()
        ? "sheet.not-calibrated"
        : listed ? "sheet.calibrated" : "sheet.calibration-unknown";
  }

  /** The limit of the test; an evacuated system has none above. */
  private String limit(PressureTestView test, Figures figures) {
    return test.conditions().medium() == Medium.VACUUM
        ? ""
        : words.say(
            "pressure.limit",
            figures.pressureTwice(test.conditions().limit().pressure().kilopascals()),
            words.say("limit." + test.conditions().limit().source().word()));
  }

  /** A loud word where the gauge is above the limit as it is now. */
  private Optional<String> overLimit(PressureTestView test, Figures figures) {
    double limit = test.conditions().limit().pressure().kilopascals();
    int n = test.trace().size();
    boolean over =
        test.finishedAt().isEmpty()
            && n > 0
            && test.trace().gauge(n - 1) > limit + test.conditions().gauge().resolution();
    return over
        ? Optional.of(
            words.say(
                "pressure.over-limit",
                figures.pressure(test.trace().gauge(n - 1)),
                figures.pressure(limit)))
        : Optional.empty();
  }

  /** What of the curve and of what was typed beside it does not count. */
  private List<String> leftOut(PressureTestView test) {
    List<String> leftOut = new ArrayList<>();
    test.result()
        .disturbances()
        .forEach(
            d ->
                leftOut.add(
                    words.say(
                        "pressure.disturbance",
                        Figures.minutesAndSeconds(d.from() - test.origin()),
                        Figures.minutesAndSeconds(d.to() - test.origin()))));
    boolean temperatures =
        IntStream.range(0, test.trace().size()).anyMatch(i -> test.trace().hasTemperature(i));
    if (temperatures && test.hold().instruments().thermometer().isEmpty()) {
      leftOut.add(words.say("pressure.no-thermometer"));
    }
    return leftOut;
  }

  private String subtitle(PressureTestView test, Figures figures) {
    String compliance =
        test.result()
            .rate()
            .map(
                r ->
                    " \u00b7 "
                        + words.say(
                            "pressure.compliance",
                            Figures.twoDigits(r.compliance()),
                            words.say("compliance." + test.givenBy())))
            .orElse("");
    String loop = test.loop().isEmpty() ? "" : words.say("loop." + test.loop()) + " \u00b7 ";
    return loop
        + words.say("pressure.gauge-steps", figures.step(test.conditions().gauge().resolution()))
        + compliance
        + " \u00b7 "
        + words.say("purpose." + test.conditions().acceptance().purpose().word());
  }

  private Optional<String> makerRule(PressureTestView test, Figures figures) {
    return test.result()
        .makerRule()
        .map(
            m ->
                words.say(
                    "maker-rule." + m.met().word(),
                    figures.pressure(m.rule().pressure().kilopascals()),
                    Figures.plain(m.rule().minutes()),
                    figures.pressure(m.rule().drop()),
                    Figures.twoDigits(m.letsThrough())));
  }
}
