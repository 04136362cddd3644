package gotera.web.level;

import gotera.level.LevelWatch;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A mark as typed.
 *
 * @param tankArea free area of the tank at the mark
 * @param levelNow level above the mark, below it with a minus (mm)
 * @param toppedUp put in since the mark before
 * @param temperature temperature of the coolant
 * @param hotSince hours hot since the mark before
 * @param readOn day it was read; empty for now
 * @param readTime time of that day; empty for noon
 */
record LevelForm(
    String tankArea,
    String levelNow,
    String toppedUp,
    String temperature,
    String hotSince,
    String readOn,
    String readTime) {
  /** Everything absent is empty. */
  LevelForm {
    tankArea = Entry.text(tankArea, 20);
    levelNow = Entry.text(levelNow, 20);
    toppedUp = Entry.text(toppedUp, 40);
    temperature = Entry.text(temperature, 20);
    hotSince = Entry.text(hotSince, 20);
    readOn = Entry.text(readOn, 10);
    readTime = Entry.text(readTime, 5);
  }

  static LevelForm next(List<LevelMarkRecord> marks) {
    String area =
        marks.isEmpty() ? "" : Figures.full(marks.get(marks.size() - 1).areaSquareCentimetres);
    return new LevelForm(area, "0", "", "", marks.isEmpty() ? "0" : "", "", "");
  }

  /** When it was read: a mark may be written down later, never before it is read. */
  private Optional<Instant> readAt(FieldProblems problems, Instant now) {
    if (readOn.isEmpty()) {
      return Optional.empty();
    }
    try {
      LocalTime time = readTime.isEmpty() ? LocalTime.NOON : LocalTime.parse(readTime);
      Instant at = LocalDate.parse(readOn).atTime(time).atZone(ZoneId.systemDefault()).toInstant();
      if (at.isAfter(now) || at.isBefore(now.minus(LevelWatch.LONGEST_AGO))) {
        problems.add("readOn", "problem.day-ahead", readOn);
      }
      return Optional.of(at);
    } catch (DateTimeParseException e) {
      problems.add("readOn", "problem.day", readOn + " " + readTime);
      return Optional.empty();
    }
  }

  /** Writes what is understood into a record; what is wrong is said at its field. */
  void into(
      LevelMarkRecord record, FieldProblems problems, boolean first, Instant now, Figures figures) {
    OptionalDouble area = problems.number("tankArea", tankArea, Range.AREA);
    OptionalDouble level = problems.number("levelNow", levelNow, Range.LEVEL);
    OptionalDouble put =
        toppedUp.isEmpty()
            ? OptionalDouble.of(0)
            : problems.millilitres(
                "toppedUp", toppedUp, figures.units().volume().millilitres(), Range.TOP_UP);
    OptionalDouble celsius =
        problems.celsiusIfTyped("temperature", temperature, figures.units(), Range.COOLANT);
    Optional<Instant> read = readAt(problems, now);
    OptionalDouble hours =
        first ? OptionalDouble.of(0) : problems.number("hotSince", hotSince, Range.HOT_HOURS);
    if (problems.none()) {
      record.areaSquareCentimetres = area.getAsDouble();
      record.levelMm = level.getAsDouble();
      record.toppedUpMl = put.getAsDouble();
      record.celsius = celsius.isPresent() ? celsius.getAsDouble() : null;
      record.readAt = read.orElse(now);
      record.hotHours = hours.getAsDouble();
    }
  }
}
