package gotera.web.pressure.compliance;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.KeptCompliance;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import gotera.web.words.Words;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Says what air and hoses give in a test. */
@Component
public class ComplianceWords {
  private final Words words;

  ComplianceWords(Words words) {
    this.words = words;
  }

  /**
   * What air and hoses give.
   *
   * @param said in one line
   * @param draws the draws so far
   * @param closing the closing draw
   * @param counts the strokes counted so far
   */
  public record Shown(
      String said, List<String> draws, Optional<String> closing, List<String> counts) {}

  /** What air and hoses give in a test, and how it is known. */
  public Shown of(PressureTestView test, Figures figures) {
    HoldSetup.Compliance c = test.hold().compliance();
    AirAndHoses a = test.conditions().airAndHoses();
    String said =
        words.say(
            "compliance.said",
            figures.volume(a.trappedAir().millilitres()),
            Figures.twoDigits(a.hose()),
            Figures.halfWidthPercent(a.relativeUncertainty()),
            words.say("compliance." + test.givenBy()));
    return new Shown(
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
  public Optional<String> kept(List<PressureTestView> earlier, Figures figures) {
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
}
