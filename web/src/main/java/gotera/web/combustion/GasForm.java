package gotera.web.combustion;

import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import java.util.OptionalDouble;

/**
 * A step of the gas check, as typed.
 *
 * @param step its word
 * @param filler where the tester stands
 * @param area free area of the filler there
 * @param gap from the level to the tester
 * @param drawnDown what was taken out
 * @param temperature how warm the coolant is
 * @param ago minutes since it happened
 */
record GasForm(
    String step,
    String filler,
    String area,
    String gap,
    String drawnDown,
    String temperature,
    String ago) {
  static final GasForm EMPTY = new GasForm("", "", "", "", "", "", "");

  /** Everything absent is empty. */
  GasForm {
    step = Entry.text(step, 30);
    filler = Entry.choice(filler, Filler.WORDS);
    area = Entry.text(area, 40);
    gap = Entry.text(gap, 40);
    drawnDown = Entry.text(drawnDown, 40);
    temperature = Entry.text(temperature, 40);
    ago = Entry.text(ago, 20);
  }

  /** Where a tester can stand. */
  enum Filler implements gotera.word.Worded {
    NECK,
    TANK;

    static final java.util.List<String> WORDS = gotera.word.Worded.words(Filler.class);
  }

  /** What was measured with a step. */
  Measures measures(GasWord word, FieldProblems problems, Figures figures) {
    double unit = figures.units().volume().millilitres();
    return switch (word) {
      case SET_UP ->
          Measures.NONE.and(Measure.SQUARE_CENTIMETRES, problems.number("area", area, Range.AREA));
      case LEVEL -> {
        OptionalDouble mm = problems.number("gap", gap, Range.GAP);
        OptionalDouble out =
            problems.millilitresIfTyped("drawnDown", drawnDown, unit, Range.TOP_UP);
        OptionalDouble celsius =
            problems.celsiusIfTyped("temperature", temperature, figures.units(), Range.COOLANT);
        yield Measures.size(mm).and(Measure.MILLILITRES, out).and(Measure.CELSIUS, celsius);
      }
      case WARMED ->
          Measures.NONE.and(
              Measure.CELSIUS,
              problems.celsius("temperature", temperature, figures.units(), Range.COOLANT));
      default -> Measures.NONE;
    };
  }
}
