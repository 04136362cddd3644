package gotera.web.repair;

import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.repair.StripService.Off;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that comes off, as typed.
 *
 * @param what what it is
 * @param joint the joint that it opens
 * @param fasteners how many hold it
 * @param size of the fasteners
 * @param torque the maker's
 * @param hidden whether some are hidden
 * @param needless whether it was not needed
 */
record StripForm(
    String what,
    String joint,
    String fasteners,
    String size,
    String torque,
    String hidden,
    String needless) {
  static final String COUNT = "fasteners";
  static final StripForm EMPTY = new StripForm("", "", "", "", "", "", "");

  /** Everything absent is empty. */
  StripForm {
    what = Entry.text(what, 200);
    joint = Entry.text(joint, 80);
    fasteners = Entry.text(fasteners, 20);
    size = Entry.text(size, 60);
    torque = Entry.text(torque, 60);
    hidden = Entry.text(hidden, 5);
    needless = Entry.text(needless, 5);
  }

  /** Reads it; where it was said, nothing need be typed. */
  Optional<Off> read(FieldProblems problems, boolean jointIsKnown, String said) {
    if (what.isEmpty() && said.isEmpty()) {
      problems.add("what", "strip.what-missing");
    }
    int count = count(problems, fasteners);
    return problems.none()
        ? Optional.of(
            new Off(
                jointIsKnown ? joint : "",
                what.isEmpty() ? said : what,
                count,
                size,
                torque,
                hidden.equals("true"),
                needless.equals("true")))
        : Optional.empty();
  }

  /** A whole number of fasteners; none where nothing is typed. */
  static int count(FieldProblems problems, String typed) {
    OptionalDouble count = problems.numberIfTyped(COUNT, typed, Range.FASTENERS);
    if (count.isPresent() && count.getAsDouble() != Math.rint(count.getAsDouble())) {
      problems.add(COUNT, "problem.whole-number");
    }
    return (int) count.orElse(0);
  }
}
