package gotera.web.tools;

import gotera.range.Range;
import gotera.web.cap.TesterForm;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What is typed; each may be empty.
 *
 * @param stamp a pressure, as on a cap
 * @param opening the cap tester: opened at
 * @param holds held
 * @param vacuum let air in at
 * @param altitude height of the place (m)
 * @param strength concentrate (%)
 * @param capacity what a system holds
 */
record SumsForm(
    String stamp,
    String opening,
    String holds,
    String vacuum,
    String altitude,
    String strength,
    String capacity) {
  SumsForm {
    TesterForm tester = new TesterForm(opening, holds, vacuum, altitude);
    stamp = Entry.text(stamp, 40);
    opening = tester.opening();
    holds = tester.holds();
    vacuum = tester.vacuum();
    altitude = tester.altitude();
    strength = Entry.text(strength, 20);
    capacity = Entry.text(capacity, 40);
  }

  /** Its fields by name, for the form that keeps them. */
  Map<String, String> fields() {
    return Map.of(
        "stamp", stamp,
        "opening", opening,
        "holds", holds,
        "vacuum", vacuum,
        "altitude", altitude,
        "strength", strength,
        "capacity", capacity);
  }

  /** What was understood of it; what was not has its sentence. */
  Sums read(FieldProblems problems, Figures figures) {
    OptionalDouble stamped =
        problems.kilopascalsIfTyped("stamp", stamp, figures.unit(), Range.PRESSED);
    return new Sums(
        stamp,
        stamped,
        new TesterForm(opening, holds, vacuum, altitude).read(problems, figures, stamped),
        problems.numberIfTyped("strength", strength, Range.STRENGTH_PERCENT),
        problems.millilitresIfTyped(
            "capacity", capacity, figures.units().volume().millilitres(), Range.CAPACITY));
  }
}
