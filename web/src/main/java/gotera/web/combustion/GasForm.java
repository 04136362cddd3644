package gotera.web.combustion;

import gotera.combustion.GasColour;
import gotera.range.Range;
import gotera.said.GasCheckSaid;
import gotera.said.GasCheckSaid.Filler;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

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
  static final List<String> FILLERS = Worded.words(Filler.class);
  static final GasForm EMPTY = new GasForm("", "", "", "", "", "", "");

  /** Everything absent is empty. */
  GasForm {
    step = Entry.text(step, 30);
    filler = Entry.choice(filler, FILLERS);
    area = Entry.text(area, 40);
    gap = Entry.text(gap, 40);
    drawnDown = Entry.text(drawnDown, 40);
    temperature = Entry.text(temperature, 40);
    ago = Entry.text(ago, 20);
  }

  /** What a step says, with what was typed for it; nothing where that is wrong. */
  Optional<GasCheckSaid> said(GasWord word, FieldProblems problems, Figures figures) {
    return Optional.ofNullable(
        switch (word) {
          case SET_UP -> {
            OptionalDouble free = problems.number("area", area, Range.AREA);
            yield new GasCheckSaid.SetUp(Worded.of(Filler.class, filler).orElseThrow(), free);
          }
          case LEVEL -> level(problems, figures);
          case WARMED -> {
            OptionalDouble celsius =
                problems.celsius("temperature", temperature, figures.units(), Range.COOLANT);
            yield celsius.isPresent() ? new GasCheckSaid.Warmed(celsius.getAsDouble()) : null;
          }
          case FILLED_BLUE, FILLED_NOT_BLUE -> new GasCheckSaid.Filled(word == GasWord.FILLED_BLUE);
          case STARTED -> new GasCheckSaid.Started();
          case OPENED -> new GasCheckSaid.Opened();
          case DRAWING -> new GasCheckSaid.Drawing();
          case DRAWN -> new GasCheckSaid.Drawn();
          case STALLED -> new GasCheckSaid.Stalled();
          case FLOODED -> new GasCheckSaid.Flooded();
          case BLUE -> new GasCheckSaid.ColourRead(GasColour.BLUE);
          case YELLOW -> new GasCheckSaid.ColourRead(GasColour.YELLOW);
          case GREEN -> new GasCheckSaid.ColourRead(GasColour.GREEN);
          case TURNED, NOT_TURNED -> new GasCheckSaid.Controlled(word == GasWord.TURNED);
          case ENDED -> new GasCheckSaid.Ended();
        });
  }

  private GasCheckSaid.@Nullable Level level(FieldProblems problems, Figures figures) {
    double unit = figures.units().volume().millilitres();
    OptionalDouble mm = problems.number("gap", gap, Range.GAP);
    OptionalDouble out = problems.millilitresIfTyped("drawnDown", drawnDown, unit, Range.TOP_UP);
    OptionalDouble celsius =
        problems.celsiusIfTyped("temperature", temperature, figures.units(), Range.COOLANT);
    return mm.isPresent() ? new GasCheckSaid.Level(mm.getAsDouble(), out, celsius) : null;
  }
}
