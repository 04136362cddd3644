package gotera.web.pressure.hold;

import gotera.range.Range;
import gotera.said.CaughtFrom;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.pressure.Caught;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A catch as typed.
 *
 * @param place where, as chosen
 * @param elsewhere where else, in words
 * @param caughtVolume how much
 * @param gathered minutes under pressure; empty for what stood there before
 */
record CaughtForm(String place, String elsewhere, String caughtVolume, String gathered) {
  static final CaughtForm EMPTY = new CaughtForm("", "", "", "");

  /** The choice of a place that has no choice of its own. */
  static final String OTHER = "other";

  /** The places to choose from. */
  public List<String> places() {
    return CaughtFrom.choices().stream().map(CaughtFrom::word).toList();
  }

  /** Everything absent is empty. */
  CaughtForm {
    place = Entry.text(place, 80);
    elsewhere = Entry.text(elsewhere, 80);
    caughtVolume = Entry.text(caughtVolume, 40);
    gathered = Entry.text(gathered, 20);
  }

  Optional<Caught> read(FieldProblems problems) {
    CaughtFrom from = CaughtFrom.of(place.equals(OTHER) ? elsewhere : place);
    if (place.equals(OTHER) && elsewhere.isEmpty()) {
      problems.add("elsewhere", "problem.caught-place");
    } else if (!place.equals(OTHER) && from instanceof CaughtFrom.Elsewhere) {
      problems.add("place", "problem.caught-place");
    }
    OptionalDouble ml = problems.millilitres("caughtVolume", caughtVolume, 1, Range.CAUGHT);
    OptionalDouble minutes = problems.numberIfTyped("gathered", gathered, Range.GATHERED);
    return problems.none()
        ? Optional.of(new Caught(Optional.empty(), from, ml.getAsDouble(), minutes))
        : Optional.empty();
  }
}
