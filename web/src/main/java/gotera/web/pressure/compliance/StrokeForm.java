package gotera.web.pressure.compliance;

import gotera.pressure.compliance.Strokes;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.CountedStrokes;
import gotera.quantity.GaugePressure;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Strokes of the pump as counted by tapping, with what the gauge shows then.
 *
 * @param stroke room air of one stroke
 * @param count strokes since the first
 * @param strokeGauge gauge after them, once the air has cooled
 */
public record StrokeForm(String stroke, String count, String strokeGauge) {
  /** Everything absent is empty. */
  public StrokeForm {
    stroke = Entry.text(stroke, 40);
    count = Entry.text(count, 10);
    strokeGauge = Entry.text(strokeGauge, 40);
  }

  /** The next count of a test: the pump's stroke, and as many as were counted. */
  public static StrokeForm next(PressureTestView test) {
    Optional<CountedStrokes> strokes = test.hold().compliance().strokes();
    return new StrokeForm(
        strokes.map(s -> Figures.full(s.strokeMl()) + " mL").orElse(""),
        strokes
            .map(s -> Integer.toString(s.readings().get(s.readings().size() - 1).count()))
            .orElse("0"),
        "");
  }

  /** A count understood. */
  public record Count(double strokeMl, Strokes.Reading reading) {
    /** The description with this count behind those before it. */
    public HoldSetup in(HoldSetup hold) {
      List<Strokes.Reading> before =
          hold.compliance().strokes().map(CountedStrokes::readings).orElse(List.of());
      CountedStrokes counted = new CountedStrokes(strokeMl, 0, before).and(reading);
      return hold.with(hold.compliance().withStrokes(Optional.of(counted)));
    }
  }

  public Optional<Count> read(FieldProblems problems, PressureTestView test, Figures figures) {
    OptionalDouble ml = problems.millilitres("stroke", stroke, 1, Range.STROKE);
    OptionalDouble n = problems.number("count", count, Range.STROKES);
    OptionalDouble gauge =
        problems.kilopascals("strokeGauge", strokeGauge, figures.unit(), Range.PRESSED);
    if (ml.isEmpty() || n.isEmpty() || gauge.isEmpty()) {
      return Optional.empty();
    }
    List<Strokes.Reading> before =
        test.hold().compliance().strokes().map(CountedStrokes::readings).orElse(List.of());
    int last = before.isEmpty() ? 0 : before.get(before.size() - 1).count();
    double lastGauge = before.isEmpty() ? 0 : before.get(before.size() - 1).gauge().kilopascals();
    if (n.getAsDouble() <= last || n.getAsDouble() != Math.rint(n.getAsDouble())) {
      problems.add("count", "problem.stroke-count", count, last);
    }
    if (gauge.getAsDouble() <= lastGauge) {
      problems.add("strokeGauge", "problem.stroke-gauge", figures.pressure(lastGauge));
    }
    if (!test.hold().compliance().draws().isEmpty()) {
      problems.add("strokeGauge", "problem.strokes-or-draws");
    }
    return problems.none()
        ? Optional.of(
            new Count(
                ml.getAsDouble(),
                new Strokes.Reading((int) n.getAsDouble(), new GaugePressure(gauge.getAsDouble()))))
        : Optional.empty();
  }
}
