package gotera.web.pressure.hold;

import gotera.pressure.HoldConditions.Window;
import gotera.quantity.Typed;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import java.time.Duration;
import java.util.Optional;

/**
 * The part of the hold to use, as dragged or typed.
 *
 * @param windowFrom start since the valve was shut
 * @param windowTo end since the valve was shut
 */
record WindowForm(String windowFrom, String windowTo) {
  /** Everything absent is empty. */
  WindowForm {
    windowFrom = Entry.text(windowFrom, 20);
    windowTo = Entry.text(windowTo, 20);
  }

  /** The window in use. */
  static WindowForm of(PressureTestView test) {
    return test.result()
        .window()
        .map(
            w ->
                new WindowForm(
                    Figures.minutesAndSeconds(w.from() - test.origin()),
                    Figures.minutesAndSeconds(w.to() - test.origin())))
        .orElse(new WindowForm("", ""));
  }

  /** Start and end on the trace's clock (s); both left empty: found again. */
  Optional<Window> read(FieldProblems problems, PressureTestView test) {
    if (windowFrom.isEmpty() && windowTo.isEmpty()) {
      return Optional.empty();
    }
    Optional<Double> from =
        problems.take("windowFrom", windowFrom, Typed.duration(windowFrom)).map(WindowForm::s);
    Optional<Double> to =
        problems.take("windowTo", windowTo, Typed.duration(windowTo)).map(WindowForm::s);
    if (from.isEmpty() || to.isEmpty()) {
      return Optional.empty();
    }
    if (!Range.TRACE_LENGTH.holds(from.get()) || !Range.TRACE_LENGTH.holds(to.get())) {
      problems.add("windowTo", "problem.too-far");
      return Optional.empty();
    }
    if (to.get() <= from.get()) {
      problems.add("windowTo", "problem.window-end", windowTo, windowFrom);
      return Optional.empty();
    }
    double origin = test.origin();
    // shown to the second, so half a second belongs to it
    Window window = new Window(from.get() + origin - 0.5, to.get() + origin + 0.5);
    if (test.trace().between(window.from(), window.to()).size() < 2) {
      problems.add("windowTo", "problem.window-readings");
      return Optional.empty();
    }
    return Optional.of(window);
  }

  private static double s(Duration duration) {
    return duration.toMillis() / 1000.0;
  }
}
