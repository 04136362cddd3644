package gotera.web.bubble;

import gotera.bubble.FunnelStep.Size;
import gotera.range.Range;
import gotera.said.FunnelSaid;
import gotera.said.FunnelSaid.Liquid;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
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
  static final List<String> WITH = Worded.words(Liquid.class);
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
  List<FunnelSaid> look(FieldProblems problems, Figures figures) {
    List<FunnelSaid> seen = new ArrayList<>();
    problems
        .numberIfTyped("levelNow", levelNow, Range.LEVEL)
        .ifPresent(mm -> seen.add(new FunnelSaid.Level(mm)));
    double unit = figures.units().volume().millilitres();
    Liquid liquid = Worded.of(Liquid.class, with).orElseThrow();
    problems
        .millilitresIfTyped("toppedUp", toppedUp, unit, Range.TOP_UP)
        .ifPresent(ml -> seen.add(new FunnelSaid.ToppedUp(liquid, ml)));
    hoses(seen, problems, figures);
    count(seen, Size.SMALL, problems, "small", small);
    count(seen, Size.PEA, problems, "pea", pea);
    count(seen, Size.LARGE, problems, "large", large);
    if (seen.isEmpty() && problems.none()) {
      problems.add("levelNow", "funnel.nothing");
    }
    return seen;
  }

  /** Both hoses or none: one alone says nothing. */
  private void hoses(List<FunnelSaid> seen, FieldProblems problems, Figures figures) {
    if (upper.isEmpty() && lower.isEmpty()) {
      return;
    }
    OptionalDouble high = problems.celsius("upper", upper, figures.units(), Range.COOLANT);
    OptionalDouble low = problems.celsius("lower", lower, figures.units(), Range.COOLANT);
    if (high.isPresent() && low.isPresent()) {
      seen.add(new FunnelSaid.HosesRead(high.getAsDouble(), low.getAsDouble()));
    }
  }

  private static void count(
      List<FunnelSaid> seen, Size size, FieldProblems problems, String field, String typed) {
    OptionalDouble n = problems.numberIfTyped(field, typed, Range.BUBBLES);
    if (n.isPresent() && n.getAsDouble() != Math.rint(n.getAsDouble())) {
      problems.add(field, "problem.whole-number");
    } else if (n.orElse(0) > 0) {
      seen.add(new FunnelSaid.Bubbles(size, (int) n.getAsDouble()));
    }
  }
}
