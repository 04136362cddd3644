package gotera.web.pressure;

import gotera.drawing.Curve;
import gotera.drawing.CurveDrawing;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.TraceEvent;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** Draws the curve of a hold, or of two over each other. */
@Component
public class HoldCurve {
  private final Words words;

  HoldCurve(Words words) {
    this.words = words;
  }

  /** A hold as a run of a drawing. */
  public Curve.Run run(PressureTestView test) {
    return new Curve.Run(
        test.trace(),
        test.origin(),
        test.pumping() ? Optional.empty() : test.result().window(),
        test.pumping() ? List.of() : test.result().curve(),
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
}
