package gotera.web.decide;

import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.frame.NotFound;
import gotera.word.Worded;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/**
 * A decision about a line, as given.
 *
 * @param decision its word
 * @param until the day it is put off to
 * @param name who decides
 */
record DecisionForm(String decision, String until, String name) {
  /** Everything absent is empty. */
  DecisionForm {
    decision = Entry.text(decision, 20);
    until = Entry.text(until, 10);
    name = Entry.text(name, 100);
  }

  DecisionWord word() {
    return Worded.of(DecisionWord.class, decision).orElseThrow(() -> new NotFound(decision));
  }

  /** Who decides; opening a line again needs no name. */
  void named(FieldProblems problems) {
    if (name.isEmpty() && word() != DecisionWord.OPEN) {
      problems.add("name", "decide.name-missing");
    }
  }

  /** The day it is put off to; wanted where it is put off. */
  Optional<LocalDate> day(FieldProblems problems, LocalDate today) {
    if (word() != DecisionWord.PUT_OFF) {
      return Optional.empty();
    }
    try {
      LocalDate day = LocalDate.parse(until);
      if (day.isBefore(today) || day.isAfter(today.plusYears(5))) {
        problems.add("until", "decide.day-wrong");
      }
      return Optional.of(day);
    } catch (DateTimeParseException e) {
      problems.add("until", "decide.day-missing");
      return Optional.empty();
    }
  }
}
