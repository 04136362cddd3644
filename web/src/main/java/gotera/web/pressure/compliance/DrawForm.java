package gotera.web.pressure.compliance;

import gotera.pressure.compliance.Draw;
import gotera.pressure.setup.Usual;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A volume let out or pushed in, as typed.
 *
 * @param drawKind measuring, or closing for the small one that closes a sign-off
 * @param way out or in
 * @param volume the volume
 * @param before gauge before it
 * @param after gauge after it
 */
public record DrawForm(String drawKind, String way, String volume, String before, String after) {
  static final List<String> KINDS = List.of("measuring", "closing");
  static final List<String> WAYS = List.of("out", "in");

  /** Everything absent is empty. */
  public DrawForm {
    drawKind = Entry.choice(drawKind, KINDS);
    way = Entry.choice(way, WAYS);
    volume = Entry.text(volume, 40);
    before = Entry.text(before, 40);
    after = Entry.text(after, 40);
  }

  /** The next draw of a test: where the gauge stood last, what is usual. */
  public static DrawForm next(PressureTestView test, Figures figures) {
    List<Draw> draws = test.hold().compliance().draws();
    boolean closing = !draws.isEmpty() && test.hold().course().closingDraw().isEmpty();
    OptionalDouble last =
        test.hold().course().closingDraw().isPresent()
            ? OptionalDouble.of(test.hold().course().closingDraw().get().after().kilopascals())
            : draws.isEmpty()
                ? lastReading(test)
                : OptionalDouble.of(draws.get(draws.size() - 1).after().kilopascals());
    return new DrawForm(
        closing ? "closing" : "measuring",
        "out",
        Figures.plain(closing ? Usual.CLOSING_DRAW : Usual.DRAW) + " mL",
        last.isPresent() ? figures.pressureField(last.getAsDouble()) : "",
        "");
  }

  public boolean closing() {
    return drawKind.equals("closing");
  }

  private static OptionalDouble lastReading(PressureTestView test) {
    int n = test.trace().size();
    return n == 0 ? OptionalDouble.empty() : OptionalDouble.of(test.trace().gauge(n - 1));
  }

  public Optional<Draw> read(FieldProblems problems, PressureTestView test, Figures figures) {
    OptionalDouble ml = problems.millilitres("volume", volume, 1, Range.DRAW);
    OptionalDouble from = problems.kilopascals("before", before, figures.unit(), Range.PRESSED);
    OptionalDouble to = problems.kilopascals("after", after, figures.unit(), Range.PRESSED);
    if (ml.isEmpty() || from.isEmpty() || to.isEmpty()) {
      return Optional.empty();
    }
    boolean in = way.equals("in") && !closing();
    double fall = from.getAsDouble() - to.getAsDouble();
    if (in ? fall >= 0 : fall <= 0) {
      problems.add("after", in ? "problem.draw-after-in" : "problem.draw-after", after, before);
    }
    if (!closing() && test.hold().compliance().strokes().isPresent()) {
      problems.add("volume", "problem.draws-or-strokes");
    }
    return problems.none()
        ? Optional.of(
            Draw.of(
                in ? -ml.getAsDouble() : ml.getAsDouble(), from.getAsDouble(), to.getAsDouble()))
        : Optional.empty();
  }
}
