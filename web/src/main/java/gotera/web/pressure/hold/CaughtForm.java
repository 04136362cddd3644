package gotera.web.pressure.hold;

import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.pressure.Caught;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A catch as typed.
 *
 * @param place where
 * @param caughtVolume how much
 * @param gathered minutes under pressure; empty for what stood there before
 */
record CaughtForm(String place, String caughtVolume, String gathered) {
  static final CaughtForm EMPTY = new CaughtForm("", "", "");

  /** Everything absent is empty. */
  CaughtForm {
    place = Entry.text(place, 80);
    caughtVolume = Entry.text(caughtVolume, 40);
    gathered = Entry.text(gathered, 20);
  }

  Optional<Caught> read(FieldProblems problems) {
    if (place.isEmpty()) {
      problems.add("place", "problem.caught-place");
    }
    OptionalDouble ml = problems.millilitres("caughtVolume", caughtVolume, 1, Range.CAUGHT);
    OptionalDouble minutes = problems.numberIfTyped("gathered", gathered, Range.GATHERED);
    return problems.none()
        ? Optional.of(new Caught(Optional.empty(), place, ml.getAsDouble(), minutes))
        : Optional.empty();
  }
}
