package gotera.web.pressure;

import gotera.drawing.Curve;
import gotera.drawing.CurveDrawing;
import gotera.pressure.Decider;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.Remedy;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Reason;
import gotera.uncertainty.Contribution;
import gotera.uncertainty.DecisionLimits;
import gotera.web.pressure.PressurePage.Origin;
import gotera.web.pressure.PressurePage.Pad;
import gotera.web.pressure.PressurePage.Row;
import gotera.web.pressure.PressurePage.Share;
import gotera.web.shell.Figures;
import gotera.web.shell.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** Makes the bench of a pressure test from what it is. */
@Component
public class PressurePages {
  private static final int MOST_ROWS = 40;

  private final VerdictWords verdictWords;
  private final Beside beside;
  private final Words words;

  PressurePages(VerdictWords verdictWords, Beside beside, Words words) {
    this.verdictWords = verdictWords;
    this.beside = beside;
    this.words = words;
  }

  PressurePage page(
      PressureTestView test,
      TraceStore.Contents contents,
      OptionalDouble from,
      double now,
      Figures figures) {
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
        said(test, figures),
        holding && !finished,
        any
            ? curve(
                List.of(run(test)),
                test,
                figures,
                finished ? CurveDrawing.Size.WIDE : CurveDrawing.Size.LOW)
            : "",
        any ? curve(List.of(run(test)), test, figures, CurveDrawing.Size.NARROW) : "",
        disturbances(test),
        pad(test, figures),
        overLimit(test, figures),
        test.hold().course().window().isPresent(),
        complianceShown(test, figures),
        table(test, contents, from, figures),
        events(test, contents),
        contents.readings().size(),
        test.result().rate().map(r -> origins(r, test, figures)).orElse(List.of()),
        test.result().rate().map(this::budget).orElse(List.of()),
        makerRule(test, figures),
        limit(test, figures),
        deciders(test, figures),
        remedies(test, figures),
        beside.of(test, figures),
        test.assumed().stream().map(m -> words.say("assumed." + m.member())).toList(),
        test.phase() == Phase.RE_TEST);
  }

  /** The limit of the test; an evacuated system has none above. */
  private String limit(PressureTestView test, Figures figures) {
    return test.conditions().medium() == Medium.VACUUM
        ? ""
        : words.say(
            "pressure.limit",
            figures.pressureTwice(test.conditions().limit().pressure().kilopascals()),
            words.say("limit." + test.conditions().limit().source().name()));
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

  /** What would decide the test, the fewest answers first. */
  private List<PressurePage.DeciderShown> deciders(PressureTestView test, Figures figures) {
    if (test.trace().size() < 2) {
      return List.of();
    }
    return Decider.of(new PressureTest(test.trace(), test.conditions()), test.result()).stream()
        .map(d -> decider(d, test, figures))
        .toList();
  }

  private PressurePage.DeciderShown decider(
      Decider decider, PressureTestView test, Figures figures) {
    List<String> asked =
        decider.answers().stream().map(a -> words.say("decider." + a.word())).toList();
    VerdictWords.Said then =
        verdictWords.say(
            decider.result(),
            test.conditions().rated().kilopascals(),
            test.conditions().acceptance().limit(),
            figures);
    boolean tap =
        decider.answers().size() == 1
            && decider.answers().contains(Decider.Answer.OVERNIGHT)
            && test.finishedAt().isEmpty();
    return new PressurePage.DeciderShown(
        String.join(words.say("decider.and"), asked),
        words.say("decider.then", then.headline()),
        tap ? Decider.Answer.OVERNIGHT.word() : "");
  }

  /** A condition that was not met, in words. */
  public String reason(Reason reason, Figures figures) {
    return verdictWords.reason(reason, figures);
  }

  /** The verdict of a test in words. */
  public VerdictWords.Said said(PressureTestView test, Figures figures) {
    return verdictWords.say(
        test.result(),
        test.conditions().rated().kilopascals(),
        test.conditions().acceptance().limit(),
        figures);
  }

  /** A hold as a run of a drawing. */
  public Curve.Run run(PressureTestView test) {
    return new Curve.Run(
        test.trace(),
        test.origin(),
        test.result().window(),
        test.result().curve(),
        words.say("pressure." + test.phase().word() + ".run"));
  }

  /** Draws one hold, or two over each other; limits are those of the last. */
  public String curve(
      List<Curve.Run> runs, PressureTestView test, Figures figures, CurveDrawing.Size size) {
    Map<String, String> events = new HashMap<>();
    for (TraceEvent.Kind kind : TraceEvent.Kind.values()) {
      events.put(kind.word(), words.say("event." + kind.word()));
    }
    double rated = test.conditions().rated().kilopascals();
    return CurveDrawing.of(
        new Curve(
            runs,
            test.conditions().medium() == Medium.VACUUM
                ? OptionalDouble.empty()
                : OptionalDouble.of(rated),
            test.conditions().makerRule(),
            figures.unit(),
            new Curve.Words(
                words.say("curve.title"),
                words.say("curve.minutes"),
                words.say("curve.rated", figures.pressure(rated)),
                test.result()
                    .makerRule()
                    .map(m -> words.say("curve.maker-rule", Figures.twoDigits(m.letsThrough())))
                    .orElse(""),
                words.say("curve.temperature"),
                events)),
        size);
  }

  private List<String> disturbances(PressureTestView test) {
    return test.result().disturbances().stream()
        .map(
            d ->
                words.say(
                    "pressure.disturbance",
                    Figures.minutesAndSeconds(d.from() - test.origin()),
                    Figures.minutesAndSeconds(d.to() - test.origin())))
        .toList();
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
                            words.say("compliance." + r.airAndHoses().source().word())))
            .orElse("");
    String loop = test.loop().isEmpty() ? "" : words.say("loop." + test.loop()) + " \u00b7 ";
    return loop
        + words.say("pressure.gauge-steps", figures.step(test.conditions().gauge().resolution()))
        + compliance
        + " \u00b7 "
        + words.say("purpose." + test.conditions().acceptance().purpose().word());
  }

  private List<String> remedies(PressureTestView test, Figures figures) {
    return Remedy.of(new PressureTest(test.trace(), test.conditions()), test.result()).stream()
        .map(
            r ->
                words.say(
                    "remedy." + r.kind().name().toLowerCase(Locale.ROOT),
                    switch (r.kind()) {
                      case MINUTES -> Figures.plain(Math.ceil(r.figure()));
                      case AIR -> figures.volume(r.figure());
                      case GAUGE -> figures.step(r.figure());
                      case TEMPERATURE -> Figures.twoDigits(DecisionLimits.halfWidth(r.figure()));
                    }))
        .toList();
  }

  private PressurePage.ComplianceShown complianceShown(PressureTestView test, Figures figures) {
    HoldSetup.Compliance c = test.hold().compliance();
    AirAndHoses a = test.conditions().airAndHoses();
    String said =
        words.say(
            "compliance.said",
            figures.volume(a.trappedAir().millilitres()),
            Figures.twoDigits(a.hose()),
            Figures.halfWidthPercent(a.relativeUncertainty()),
            words.say("compliance." + a.source().word()));
    return new PressurePage.ComplianceShown(
        said,
        c.draws().stream().map(d -> draw(d, figures)).toList(),
        test.hold().course().closingDraw().map(d -> draw(d, figures)),
        c.strokes().map(HoldSetup.CountedStrokes::readings).orElse(List.of()).stream()
            .map(
                r ->
                    words.say(
                        "strokes.count", r.count(), figures.pressure(r.gauge().kilopascals())))
            .toList());
  }

  private String draw(Draw d, Figures figures) {
    return words.say(
        d.millilitresOut() > 0 ? "draw.out" : "draw.in",
        figures.volume(d.volume().millilitres()),
        figures.pressure(d.before().kilopascals()),
        figures.pressure(d.after().kilopascals()));
  }

  /** What air and hoses gave in an earlier test, for the set-up of a new one. */
  Optional<String> kept(List<PressureTestView> earlier, Figures figures) {
    return KeptCompliance.newest(earlier.stream().map(PressureTestView::past).toList())
        .flatMap(
            k ->
                earlier.stream()
                    .filter(t -> t.id().toString().equals(k.from().id()))
                    .findFirst()
                    .map(t -> kept(k, t, figures)));
  }

  private String kept(KeptCompliance kept, PressureTestView from, Figures figures) {
    return words.say(
        "compliance.kept",
        figures.volume(kept.airAndHoses().trappedAir().millilitres()),
        Figures.twoDigits(kept.airAndHoses().hose()),
        Figures.halfWidthPercent(kept.airAndHoses().relativeUncertainty()),
        words.say("pressure." + from.phase().word() + ".title", from.number()),
        figures.volume(kept.drawn()));
  }

  /** What was caught during a test, in words. */
  List<PressurePage.CaughtRow> caught(List<Caught> all, Figures figures) {
    return all.stream()
        .map(
            c ->
                new PressurePage.CaughtRow(
                    c.id().map(Object::toString).orElse(""), caught(c, figures)))
        .toList();
  }

  private String caught(Caught c, Figures figures) {
    return c.minutes().isEmpty()
        ? words.say("caught.stood", c.place(), figures.volume(c.millilitres()))
        : words.say(
            "caught.gathered",
            c.place(),
            figures.volume(c.millilitres()),
            Figures.plain(c.minutes().getAsDouble()),
            Figures.twoDigits(c.millilitres() / c.minutes().getAsDouble()));
  }

  private static Pad pad(PressureTestView test, Figures figures) {
    Trace trace = test.trace();
    if (trace.size() == 0) {
      return new Pad(false, "", "", "", test.readingMode().equals("needle"));
    }
    double last = trace.gauge(trace.size() - 1);
    double step = test.conditions().gauge().resolution();
    return new Pad(
        true,
        figures.pressure(last),
        figures.pressure(last - step),
        figures.pressure(last - 2 * step),
        test.readingMode().equals("needle"));
  }

  /** The readings from a time on, or the last ones. */
  private static List<Row> table(
      PressureTestView test, TraceStore.Contents contents, OptionalDouble from, Figures figures) {
    List<TraceStore.Kept> kept = contents.readings();
    int begin = Math.max(0, kept.size() - MOST_ROWS);
    if (from.isPresent()) {
      begin = 0;
      while (begin < kept.size()
          && kept.get(begin).seconds() - test.origin() < from.getAsDouble() - 0.5) {
        begin++;
      }
    }
    List<Row> rows = new ArrayList<>();
    for (TraceStore.Kept r : kept.subList(begin, Math.min(kept.size(), begin + MOST_ROWS))) {
      boolean warm = !Double.isNaN(r.celsius());
      rows.add(
          0,
          new Row(
              r.block() + "/" + r.index(),
              Figures.minutesAndSeconds(r.seconds() - test.origin()),
              figures.pressure(r.gauge()),
              warm ? figures.temperature(r.celsius(), 1) : "",
              Figures.full(r.seconds() - test.origin()) + " s",
              figures.pressureField(r.gauge()),
              warm ? figures.temperatureField(r.celsius()) : ""));
    }
    return rows;
  }

  private List<PressurePage.EventRow> events(PressureTestView test, TraceStore.Contents contents) {
    return contents.events().stream()
        .limit(MOST_ROWS)
        .map(
            e ->
                new PressurePage.EventRow(
                    e.id().toString(),
                    Figures.minutesAndSeconds(e.event().seconds() - test.origin()),
                    words.say("event." + e.event().kind().word())))
        .toList();
  }

  private List<Origin> origins(Rate rate, PressureTestView test, Figures figures) {
    double accepted = test.conditions().acceptance().limit();
    return List.of(
        origin(
            "rate",
            Figures.rate(rate.rate(), rate.u()) + " mL/min",
            figures.pressure(test.conditions().rated().kilopascals())),
        origin("upper", bound(rate.upper()), Figures.plain(accepted)),
        origin("threshold", bound(rate.leakThreshold()), bound(rate.limits().critical())),
        origin("detection", bound(rate.limits().detection()), Figures.plain(accepted)),
        origin(
            "compliance",
            Figures.twoDigits(rate.compliance())
                + " mL/kPa \u00b1 "
                + Figures.halfWidthPercent(rate.airAndHoses().relativeUncertainty())
                + " %",
            figures.volume(rate.airAndHoses().trappedAir().millilitres()),
            Figures.plain(rate.airAndHoses().hose()),
            words.say("compliance." + rate.airAndHoses().source().word())),
        origin(
            "thermal",
            Figures.fixed(rate.thermalSensitivity(), 2) + " mL/K",
            figures.volume(test.conditions().liquid().millilitres()),
            Figures.percent(test.conditions().coolant().strength())),
        origin(
            "drift",
            Figures.fixed(rate.drift(), 3)
                + " \u00b1 "
                + Figures.driftHalfWidth(rate.driftU())
                + " K/min",
            words.say(
                rate.preHold()
                    ? "drift.pre-hold"
                    : rate.driftMeasured() ? "drift.measured" : "drift.assumed")),
        origin("settled", figures.volume(rate.settled())));
  }

  private Origin origin(String name, String value, Object... inputs) {
    return new Origin(
        words.say("figure." + name), value, words.say("figure." + name + ".from", inputs));
  }

  private String bound(double value) {
    return Double.isFinite(value)
        ? Figures.bound(value) + " mL/min"
        : words.say("verdict.no-bound");
  }

  private List<Share> budget(Rate rate) {
    double total = Math.pow(rate.u(), 2);
    List<Share> shares = new ArrayList<>();
    for (Contribution c : rate.budget().contributions()) {
      if (c.u() > 0) {
        String word = c.source().name().toLowerCase(Locale.ROOT).replace('_', '-');
        shares.add(
            new Share(
                words.say("source." + word),
                "\u00b1 " + Figures.halfWidth(c.u()) + " mL/min",
                words.say("source." + word + ".advice"),
                (int) Math.round(100 * c.u() * c.u() / total)));
      }
    }
    return shares;
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
