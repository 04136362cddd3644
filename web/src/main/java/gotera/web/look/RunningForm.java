package gotera.web.look;

import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.util.OptionalDouble;

/**
 * What a look at the running engine showed, as typed.
 *
 * @param step what was pressed
 * @param joint the place, empty for everywhere one can see
 * @param ranFor minutes it ran, where the clock was not used
 * @param surface temperature of the surface there
 */
record RunningForm(String step, String joint, String ranFor, String surface) {
  static final RunningForm EMPTY = new RunningForm("", "", "", "");

  /** Everything absent is empty. */
  RunningForm {
    step = Entry.text(step, 20);
    joint = Entry.text(joint, 80);
    ranFor = Entry.text(ranFor, 40);
    surface = Entry.text(surface, 40);
  }

  OptionalDouble minutes(FieldProblems problems) {
    return problems.numberIfTyped("ranFor", ranFor, Range.GATHERED);
  }

  OptionalDouble celsius(FieldProblems problems, Figures figures) {
    return problems.celsiusIfTyped("surface", surface, figures.units(), Range.SURFACE);
  }
}
