package gotera.web.bubble;

import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A look at the funnel, as typed.
 *
 * @param step what was pressed
 * @param area free area of the funnel
 * @param levelNow level above the mark
 * @param upper temperature of the upper hose
 * @param lower temperature of the lower hose
 * @param small small bubbles since the last look
 * @param pea bubbles like peas
 * @param large larger ones
 * @param toppedUp what was put in
 * @param with of what
 * @param ago minutes since it happened
 */
record FunnelForm(
    String step,
    String area,
    String levelNow,
    String upper,
    String lower,
    String small,
    String pea,
    String large,
    String toppedUp,
    String with,
    String ago) {
  static final List<String> WITH = List.of("water", "coolant");
  static final FunnelForm EMPTY = new FunnelForm("", "", "", "", "", "", "", "", "", "", "");

  /** Everything absent is empty. */
  FunnelForm {
    step = Entry.text(step, 30);
    area = Entry.text(area, 40);
    levelNow = Entry.text(levelNow, 40);
    upper = Entry.text(upper, 40);
    lower = Entry.text(lower, 40);
    small = Entry.text(small, 10);
    pea = Entry.text(pea, 10);
    large = Entry.text(large, 10);
    toppedUp = Entry.text(toppedUp, 40);
    with = Entry.choice(with, WITH);
    ago = Entry.text(ago, 20);
  }

  /** Everything seen at this look, in the order in which it is seen. */
  Map<FunnelWord, Measures> look(FieldProblems problems, Figures figures) {
    Map<FunnelWord, Measures> seen = new EnumMap<>(FunnelWord.class);
    put(seen, FunnelWord.LEVEL, Measure.MILLIMETRES, level(problems));
    count(seen, FunnelWord.SMALL, problems, "small", small);
    count(seen, FunnelWord.PEA, problems, "pea", pea);
    count(seen, FunnelWord.LARGE, problems, "large", large);
    hoses(seen, problems, figures);
    double unit = figures.units().volume().millilitres();
    OptionalDouble put = problems.millilitresIfTyped("toppedUp", toppedUp, unit, Range.TOP_UP);
    put(
        seen,
        with.equals("water") ? FunnelWord.WATER : FunnelWord.COOLANT,
        Measure.MILLILITRES,
        put);
    if (seen.isEmpty() && problems.none()) {
      problems.add("levelNow", "funnel.nothing");
    }
    return seen;
  }

  private OptionalDouble level(FieldProblems problems) {
    return problems.numberIfTyped("levelNow", levelNow, Range.LEVEL);
  }

  /** Both hoses or none: one alone says nothing. */
  private void hoses(Map<FunnelWord, Measures> seen, FieldProblems problems, Figures figures) {
    if (upper.isEmpty() && lower.isEmpty()) {
      return;
    }
    OptionalDouble high = problems.celsius("upper", upper, figures.units(), Range.COOLANT);
    OptionalDouble low = problems.celsius("lower", lower, figures.units(), Range.COOLANT);
    if (high.isPresent() && low.isPresent()) {
      seen.put(FunnelWord.HOSES, Measures.hoses(high.getAsDouble(), low.getAsDouble()));
    }
  }

  private static void count(
      Map<FunnelWord, Measures> seen,
      FunnelWord word,
      FieldProblems problems,
      String field,
      String typed) {
    OptionalDouble n = problems.numberIfTyped(field, typed, Range.BUBBLES);
    if (n.isPresent() && n.getAsDouble() != Math.rint(n.getAsDouble())) {
      problems.add(field, "problem.whole-number");
    } else if (n.orElse(0) > 0) {
      put(seen, word, Measure.COUNT, n);
    }
  }

  private static void put(
      Map<FunnelWord, Measures> seen, FunnelWord word, Measure measure, OptionalDouble value) {
    if (value.isPresent()) {
      seen.put(word, Measures.NONE.and(measure, value));
    }
  }
}
