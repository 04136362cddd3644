package gotera.web.inside;

import gotera.cylinder.Bore;
import gotera.range.Range;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What was found inside, as typed; each check uses some of it.
 *
 * @param saw what was seen
 * @param unmet conditions that were not met
 * @param number which cylinder
 * @param caught what was drawn off
 * @param bore diameter of the bore
 * @param depth depth of coolant over the piston
 * @param minutes how long under pressure
 * @param upper temperature of the upper hose
 * @param lower temperature of the lower hose
 * @param idling minutes of idling
 * @param coolant temperature at opening
 */
record InsideForm(
    String saw,
    @Nullable List<String> unmet,
    String number,
    String caught,
    String bore,
    String depth,
    String minutes,
    String upper,
    String lower,
    String idling,
    String coolant) {
  static final InsideForm EMPTY = new InsideForm("", List.of(), "", "", "", "", "", "", "", "", "");

  /** Everything absent is empty. */
  InsideForm {
    saw = Entry.text(saw, 40);
    unmet = unmet == null ? List.of() : List.copyOf(unmet);
    number = Entry.text(number, 10);
    caught = Entry.text(caught, 40);
    bore = Entry.text(bore, 40);
    depth = Entry.text(depth, 40);
    minutes = Entry.text(minutes, 40);
    upper = Entry.text(upper, 40);
    lower = Entry.text(lower, 40);
    idling = Entry.text(idling, 40);
    coolant = Entry.text(coolant, 40);
  }

  /** The conditions that were not met, of those that a check has. */
  <E extends Enum<E> & Worded> Set<E> unmet(Set<E> known) {
    List<String> said = unmet == null ? List.of() : unmet;
    return known.stream().filter(k -> said.contains(k.word())).collect(Collectors.toSet());
  }

  /**
   * What was seen in a cylinder.
   *
   * @param last number of the engine's last
   */
  Optional<InCylinder> cylinder(FieldProblems problems, int last) {
    OptionalDouble which = number(problems, last);
    // nobody draws litres from a bore: a bare number is millilitres, whatever else is shown in
    OptionalDouble millilitres = problems.millilitresIfTyped("caught", caught, 1, Range.CAUGHT);
    OptionalDouble over = volumeOver(problems);
    OptionalDouble pressed = problems.numberIfTyped("minutes", minutes, Range.GATHERED);
    return problems.none()
        ? Optional.of(
            new InCylinder(
                (int) which.getAsDouble(),
                !saw.equals("dry"),
                millilitres.isPresent() ? millilitres : over,
                pressed,
                saw.equals("pooled")))
        : Optional.empty();
  }

  OptionalDouble depth(FieldProblems problems) {
    return problems.numberIfTyped("depth", depth, Range.DEPTH);
  }

  /** What stands over the piston; it takes both bore and depth. */
  private OptionalDouble volumeOver(FieldProblems problems) {
    OptionalDouble wide = problems.numberIfTyped("bore", bore, Range.BORE);
    OptionalDouble deep = depth(problems);
    if (deep.isPresent() && bore.isEmpty()) {
      problems.add("bore", "inside.bore-missing");
    }
    return wide.isPresent() && deep.isPresent()
        ? OptionalDouble.of(new Bore(wide.getAsDouble()).volume(deep.getAsDouble()))
        : OptionalDouble.empty();
  }

  /** Which cylinder; a whole number, up to the engine's last. */
  OptionalDouble number(FieldProblems problems, int last) {
    OptionalDouble which = problems.number("number", number, Range.CYLINDER);
    if (which.isPresent() && which.getAsDouble() != Math.rint(which.getAsDouble())) {
      problems.add("number", "problem.whole-number");
    } else if (which.isPresent() && which.getAsDouble() > last) {
      problems.add("number", "problem.last-cylinder", last);
    }
    return which;
  }

  Optional<TwoTemperatures> hoses(FieldProblems problems, Figures figures) {
    OptionalDouble high = problems.celsius("upper", upper, figures.units(), Range.COOLANT);
    OptionalDouble low = problems.celsius("lower", lower, figures.units(), Range.COOLANT);
    OptionalDouble time = problems.number("idling", idling, Range.IDLED);
    return problems.none()
        ? Optional.of(
            new TwoTemperatures(high.getAsDouble(), low.getAsDouble(), time.getAsDouble()))
        : Optional.empty();
  }

  OptionalDouble coolant(FieldProblems problems, Figures figures) {
    return problems.celsiusIfTyped("coolant", coolant, figures.units(), Range.COOLANT);
  }
}
