package gotera.web.pressure.live;

import gotera.drawing.CurveDrawing;
import gotera.pressure.Signal;
import gotera.pressure.ToGo;
import gotera.web.figures.Figures;
import gotera.web.pressure.HoldCurve;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.pressure.Writers;
import gotera.web.pressure.WritesByItself.Writer;
import gotera.web.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Makes the page that is read from afar. */
@Component
class LivePages {
  private final PressureService tests;
  private final VerdictWords verdicts;
  private final HoldCurve curves;
  private final Claims claims;
  private final Writers writers;
  private final Words words;

  LivePages(
      PressureService tests,
      VerdictWords verdicts,
      HoldCurve curves,
      Claims claims,
      Writers writers,
      Words words) {
    this.tests = tests;
    this.verdicts = verdicts;
    this.curves = curves;
    this.claims = claims;
    this.writers = writers;
    this.words = words;
  }

  LivePage page(PressureTestView test, Figures figures) {
    boolean finished = test.finishedAt().isPresent();
    boolean holding = test.holding() && !finished;
    int n = test.trace().size();
    double now = finished && n > 0 ? test.trace().seconds(n - 1) : tests.now(test);
    Optional<Writer> writer = writers.at(test.id());
    boolean silent = writer.filter(Writer::attention).isPresent();
    // of a gauge that says nothing any more nothing is expected
    Optional<ToGo> toGo =
        holding && !silent
            ? ToGo.of(test.trace(), test.conditions(), test.result())
            : Optional.empty();
    return new LivePage(
        "/jobs/" + test.jobId() + "/" + test.phase().step().word() + "?test=" + test.id(),
        "/tests/" + test.id(),
        words.say("pressure." + test.phase().word() + ".title", test.number()),
        finished ? "finished" : holding ? "holding" : "pumping",
        holding ? test.startedAt().toEpochMilli() + Math.round(test.origin() * 1000) : 0,
        Figures.minutesAndSeconds(now - test.origin()),
        n > 0 ? figures.pressureFigure(test.trace().gauge(n - 1)) : "\u2013",
        figures.unit().symbol(),
        verdicts.said(test, figures),
        holding ? claim(test) : Optional.empty(),
        toGo.map(this::toGo).orElse(""),
        toGo.filter(t -> Double.isFinite(t.detection()))
            .map(t -> words.say("live.found", Figures.bound(t.detection())))
            .orElse(""),
        curve(test, figures, CurveDrawing.Size.LOW),
        curve(test, figures, CurveDrawing.Size.NARROW),
        finished
            ? ""
            : Signal.of(test.trace(), test.conditions(), now, holding && writer.isEmpty(), toGo)
                .stream()
                .map(Signal::word)
                .collect(Collectors.joining(" ")),
        writer,
        Arrays.stream(Signal.values())
            .map(s -> new LivePage.Tone(s.word(), words.say("signal." + s.word())))
            .toList());
  }

  private String curve(PressureTestView test, Figures figures, CurveDrawing.Size size) {
    return test.trace().size() > 0
        ? curves.curve(List.of(curves.run(test)), test, figures, size)
        : "";
  }

  private Optional<String> claim(PressureTestView test) {
    return claims.of(test).map(c -> words.say("live.claim." + c.kind().word(), c.minutes()));
  }

  private String toGo(ToGo toGo) {
    if (toGo.minutes().isEmpty()) {
      return words.say("live.never");
    }
    double minutes = Math.ceil(toGo.minutes().getAsDouble());
    return minutes > 0 ? words.say("live.to-go", (int) minutes) : words.say("live.enough");
  }
}
