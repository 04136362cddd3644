package gotera.web.combustion;

import gotera.combustion.FluidColour.Spot;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.photo.SpotOfPhotograph;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where on two photographs the white thing and the fluid are, each as percent across and down.
 *
 * @param whiteBefore the white thing on the first
 * @param fluidBefore the fluid on the first
 * @param whiteAfter the white thing on the second
 * @param fluidAfter the fluid on the second
 */
record ColourForm(String whiteBefore, String fluidBefore, String whiteAfter, String fluidAfter) {
  static final ColourForm EMPTY = new ColourForm("", "", "", "");

  private static final Pattern PLACE =
      Pattern.compile("(\\d{1,3}(?:\\.\\d+)?)[\\s,;]+(\\d{1,3}(?:\\.\\d+)?)");

  /** Everything absent is empty. */
  ColourForm {
    whiteBefore = Entry.text(whiteBefore, 20);
    fluidBefore = Entry.text(fluidBefore, 20);
    whiteAfter = Entry.text(whiteAfter, 20);
    fluidAfter = Entry.text(fluidAfter, 20);
  }

  /** The mean colour at a place; what cannot be is said at its field. */
  static Optional<Spot> spot(
      FieldProblems problems, String field, String typed, SpotOfPhotograph photograph) {
    Matcher place = PLACE.matcher(typed);
    if (!place.matches()
        || Double.parseDouble(place.group(1)) > 100
        || Double.parseDouble(place.group(2)) > 100) {
      problems.add(field, "colour.place-wrong");
      return Optional.empty();
    }
    return Optional.of(
        photograph.mean(
            Double.parseDouble(place.group(1)) / 100, Double.parseDouble(place.group(2)) / 100));
  }

  /** The same of something white, which must neither be burnt out nor dark. */
  static Optional<Spot> white(
      FieldProblems problems, String field, String typed, SpotOfPhotograph photograph) {
    Optional<Spot> white = spot(problems, field, typed, photograph);
    if (white.isPresent() && !white.get().serves()) {
      problems.add(field, "colour.no-white");
      return Optional.empty();
    }
    return white;
  }
}
