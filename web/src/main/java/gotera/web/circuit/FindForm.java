package gotera.web.circuit;

import gotera.range.Range;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What was seen at a joint, as typed.
 *
 * @param joint word of the joint
 * @param saw dry, wet, stained, cleaned or hidden
 * @param state in which state it was looked at
 * @param drops drops counted per minute
 * @param pressure pressure at that moment
 * @param note anything else
 */
record FindForm(
    String joint, String saw, String state, String drops, String pressure, String note) {
  static final List<String> SEEN = List.of("dry", "wet", "stained", "cleaned", "hidden");
  static final List<String> STATES = List.of("cold", "pressure", "parked", "warm", "running");

  /** Everything absent is empty. */
  FindForm {
    joint = Entry.text(joint, 80);
    saw = Entry.text(saw, 20);
    state = Entry.choice(state, STATES);
    drops = Entry.text(drops, 40);
    pressure = Entry.text(pressure, 40);
    note = Entry.text(note, 2000);
  }

  /** The state, which a pressure typed decides. */
  String stateThen() {
    return state.equals("cold") && !pressure.isEmpty() ? "pressure" : state;
  }

  OptionalDouble dropsPerMinute(FieldProblems problems) {
    OptionalDouble count = problems.numberIfTyped("drops", drops, Range.DROPS);
    if (count.isPresent() && !saw.equals("wet")) {
      problems.add("drops", "problem.drops-where-dry");
    }
    return count;
  }

  OptionalDouble kilopascals(FieldProblems problems, Figures figures) {
    return problems.kilopascalsIfTyped("pressure", pressure, figures.unit(), Range.PRESSED);
  }
}
