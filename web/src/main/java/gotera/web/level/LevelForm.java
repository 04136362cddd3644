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
 * @param readTime time of that day; empty where nobody says
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
  private Optional<Instant> readAt(
      FieldProblems problems, List<LevelMarkRecord> before, Instant now) {
    if (readOn.isEmpty()) {
      return Optional.empty();
    }
    try {
      LocalDate day = LocalDate.parse(readOn);
      if (readTime.isEmpty()) {
        return Optional.of(onDay(day, problems, before, now));
      }
      LocalTime time = LocalTime.parse(readTime);
      Instant at = day.atTime(time).atZone(ZoneId.systemDefault()).toInstant();
      check(at, problems, now);
      return Optional.of(at);
    } catch (DateTimeParseException e) {
      problems.add("readOn", "problem.day", readOn + " " + readTime);
      return Optional.empty();
    }
  }

  private void check(Instant at, FieldProblems problems, Instant now) {
    if (at.isAfter(now) || at.isBefore(now.minus(LevelWatch.LONGEST_AGO))) {
      problems.add("readOn", "problem.day-ahead", readOn);
    }
  }

  /**
   * A day without a time is today now, and else its noon; never before a mark of that day that is
   * there already, for it is written down after it.
   */
  private Instant onDay(
      LocalDate day, FieldProblems problems, List<LevelMarkRecord> before, Instant now) {
    ZoneId zone = ZoneId.systemDefault();
    if (day.equals(LocalDate.ofInstant(now, zone))) {
      return now;
    }
    Instant noon = day.atTime(LocalTime.NOON).atZone(zone).toInstant();
    check(noon, problems, now);
    return before.stream()
        .map(m -> m.readAt)
        .filter(at -> day.equals(LocalDate.ofInstant(at, zone)) && !at.isBefore(noon))
        .max(Instant::compareTo)
        .map(at -> at.plusSeconds(1))
        .orElse(noon);
  }

  /** Writes what is understood into a record; what is wrong is said at its field. */
  void into(
      LevelMarkRecord record,
      FieldProblems problems,
      List<LevelMarkRecord> before,
      Instant now,
      Figures figures) {
    OptionalDouble area = problems.number("tankArea", tankArea, Range.AREA);
    OptionalDouble level = problems.number("levelNow", levelNow, Range.LEVEL);
    OptionalDouble put =
        toppedUp.isEmpty()
            ? OptionalDouble.of(0)
            : problems.millilitres(
                "toppedUp", toppedUp, figures.units().volume().millilitres(), Range.TOP_UP);
    OptionalDouble celsius =
        problems.celsiusIfTyped("temperature", temperature, figures.units(), Range.COOLANT);
    Optional<Instant> read = readAt(problems, before, now);
    OptionalDouble hours =
        before.isEmpty()
            ? OptionalDouble.of(0)
            : problems.number("hotSince", hotSince, Range.HOT_HOURS);
    before.stream()
        .map(m -> m.readAt)
        .filter(at -> !at.isAfter(read.orElse(now)))
        .max(Instant::compareTo)
        .map(at -> LevelWatch.mostHotHours(at, read.orElse(now)))
        .filter(most -> hours.orElse(0) > most)
        .ifPresent(
            most ->
                problems.add("hotSince", "problem.more-hours", Figures.plain(Math.floor(most))));
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
