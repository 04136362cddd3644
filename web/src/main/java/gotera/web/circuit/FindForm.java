package gotera.web.circuit;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.range.Range;
import gotera.web.figures.Earlier;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.word.Worded;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What was seen at a joint, as typed.
 *
 * @param joint word of the joint
 * @param saw word of what was seen
 * @param state in which state it was looked at
 * @param drops drops counted per minute
 * @param pressure pressure at that moment
 * @param dried whether the place had been dried before
 * @param note anything else
 * @param happenedOn the day it was seen, where it is written down later
 * @param happenedTime the time of it
 */
record FindForm(
    String joint,
    String saw,
    String state,
    String drops,
    String pressure,
    String dried,
    String note,
    String happenedOn,
    String happenedTime) {
  static final List<String> STATES =
      Stream.of(
              LookState.COLD,
              LookState.PRESSED,
              LookState.PARKED,
              LookState.WARM,
              LookState.RUNNING)
          .map(LookState::word)
          .toList();

  /** Everything absent is empty. */
  FindForm {
    joint = Entry.text(joint, 80);
    saw = Entry.text(saw, 20);
    state = Entry.choice(state, STATES);
    drops = Entry.text(drops, 40);
    pressure = Entry.text(pressure, 40);
    dried = Entry.text(dried, 10);
    note = Entry.text(note, 2000);
    happenedOn = Entry.text(happenedOn, 10);
    happenedTime = Entry.text(happenedTime, 5);
  }

  /** Of a joint nothing is said yet. */
  static FindForm fresh(String joint, String state, String pressure) {
    return new FindForm(joint, "", state, "", pressure, "", "", "", "");
  }

  /** When it was seen; empty for now. */
  Optional<Instant> happened(FieldProblems problems, Instant now) {
    return new Earlier(happenedOn, happenedTime).read(problems, now);
  }

  /** The state, which a pressure typed decides. */
  LookState stateThen() {
    LookState chosen = Worded.of(LookState.class, state).orElse(LookState.COLD);
    return chosen == LookState.COLD && !pressure.isEmpty() ? LookState.PRESSED : chosen;
  }

  OptionalDouble dropsPerMinute(FieldProblems problems) {
    OptionalDouble count = problems.numberIfTyped("drops", drops, Range.DROPS);
    if (count.isPresent() && Worded.of(Sight.class, saw).filter(Sight::wet).isEmpty()) {
      problems.add("drops", "problem.drops-where-dry");
    }
    return count;
  }

  OptionalDouble kilopascals(FieldProblems problems, Figures figures) {
    return problems.kilopascalsIfTyped("pressure", pressure, figures.unit(), Range.PRESSED);
  }
}
