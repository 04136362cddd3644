package gotera.web.pressure;

import gotera.formats.HoldDescription.DrawMember;
import gotera.range.Range;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
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
record DrawForm(String drawKind, String way, String volume, String before, String after) {
  static final List<String> KINDS = List.of("measuring", "closing");
  static final List<String> WAYS = List.of("out", "in");

  /** What measures well, and what closes a sign-off (mL) (our judgement, untested). */
  private static final String USUAL = "20 mL";

  private static final String USUAL_CLOSING = "2 mL";

  /** Everything absent is empty. */
  DrawForm {
    drawKind = Entry.choice(drawKind, KINDS);
    way = Entry.choice(way, WAYS);
    volume = Entry.text(volume, 40);
    before = Entry.text(before, 40);
    after = Entry.text(after, 40);
  }

  /** The next draw of a test: where the gauge stood last, what is usual. */
  static DrawForm next(PressureTestView test, Figures figures) {
    List<DrawMember> draws = test.hold().compliance().draws();
    boolean closing = !draws.isEmpty() && test.hold().closingDraw().isEmpty();
    OptionalDouble last =
        test.hold().closingDraw().isPresent()
            ? OptionalDouble.of(test.hold().closingDraw().get().afterKpa())
            : draws.isEmpty()
                ? lastReading(test)
                : OptionalDouble.of(draws.get(draws.size() - 1).afterKpa());
    return new DrawForm(
        closing ? "closing" : "measuring",
        "out",
        closing ? USUAL_CLOSING : USUAL,
        last.isPresent() ? figures.pressureField(last.getAsDouble()) : "",
        "");
  }

  boolean closing() {
    return drawKind.equals("closing");
  }

  private static OptionalDouble lastReading(PressureTestView test) {
    int n = test.trace().size();
    return n == 0 ? OptionalDouble.empty() : OptionalDouble.of(test.trace().gauge(n - 1));
  }

  Optional<DrawMember> read(FieldProblems problems, PressureTestView test, Figures figures) {
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
            new DrawMember(
                in ? -ml.getAsDouble() : ml.getAsDouble(), from.getAsDouble(), to.getAsDouble()))
        : Optional.empty();
  }
}
