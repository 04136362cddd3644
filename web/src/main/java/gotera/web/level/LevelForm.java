package gotera.web.level;

import gotera.quantity.Temperature;
import gotera.quantity.Typed;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
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
 */
record LevelForm(
    String tankArea, String levelNow, String toppedUp, String temperature, String hotSince) {
  /** Everything absent is empty. */
  LevelForm {
    tankArea = Entry.text(tankArea, 20);
    levelNow = Entry.text(levelNow, 20);
    toppedUp = Entry.text(toppedUp, 40);
    temperature = Entry.text(temperature, 20);
    hotSince = Entry.text(hotSince, 20);
  }

  static LevelForm next(List<LevelMarkRecord> marks) {
    String area =
        marks.isEmpty() ? "" : Figures.plain(marks.get(marks.size() - 1).areaSquareCentimetres);
    return new LevelForm(area, "0", "", "", marks.isEmpty() ? "0" : "");
  }

  /** Writes what is understood into a record; what is wrong is said at its field. */
  void into(LevelMarkRecord record, FieldProblems problems, boolean first) {
    OptionalDouble area = problems.number("tankArea", tankArea, "cm²", 1, 2000);
    OptionalDouble level = problems.number("levelNow", levelNow, "mm", -500, 500);
    OptionalDouble put =
        toppedUp.isEmpty()
            ? OptionalDouble.of(0)
            : problems.millilitres("toppedUp", toppedUp, 1000, 0, 100_000);
    Optional<Temperature> celsius =
        problems.takeIfTyped("temperature", temperature, Typed.temperature(temperature));
    OptionalDouble hours =
        first ? OptionalDouble.of(0) : problems.number("hotSince", hotSince, "h", 0.1, 10_000);
    if (problems.none()) {
      record.areaSquareCentimetres = area.getAsDouble();
      record.levelMm = level.getAsDouble();
      record.toppedUpMl = put.getAsDouble();
      record.celsius = celsius.map(Temperature::celsius).orElse(null);
      record.hotHours = hours.getAsDouble();
    }
  }
}
