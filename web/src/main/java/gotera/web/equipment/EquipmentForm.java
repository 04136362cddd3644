package gotera.web.equipment;

import gotera.quantity.PressureUnit;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A piece of equipment as typed.
 *
 * @param kind its kind
 * @param name what the workshop calls it
 * @param readingMode needle or digital
 * @param resolution smallest step read
 * @param repeatability standard deviation of repeated readings; empty for half a step
 * @param zeroDrift wander of its zero
 * @param range end of its scale
 * @param calibrationDue last day of its calibration
 * @param stroke room air of a stroke
 * @param air air in hose and adapter
 * @param fits vehicles an adapter fitted
 * @param retired filled in where it is no longer used
 * @param version version of the row that was read
 */
record EquipmentForm(
    String kind,
    String name,
    String readingMode,
    String resolution,
    String repeatability,
    String zeroDrift,
    String range,
    String calibrationDue,
    String stroke,
    String air,
    String fits,
    String retired,
    String version) {
  static final List<String> MODES = List.of("needle", "digital");

  /** Everything absent is empty. */
  EquipmentForm {
    kind = Entry.choice(kind, EquipmentKind.words());
    name = Entry.text(name, 80);
    readingMode = Entry.choice(readingMode, MODES);
    resolution = Entry.text(resolution, 40);
    repeatability = Entry.text(repeatability, 40);
    zeroDrift = Entry.text(zeroDrift, 40);
    range = Entry.text(range, 40);
    calibrationDue = Entry.text(calibrationDue, 20);
    stroke = Entry.text(stroke, 40);
    air = Entry.text(air, 40);
    fits = Entry.text(fits, 400);
    retired = Entry.text(retired, 10);
    version = Entry.text(version, 10);
  }

  static EquipmentForm blank(String kind) {
    return new EquipmentForm(kind, "", "", "", "", "", "", "", "", "", "", "", "0");
  }

  static EquipmentForm of(EquipmentView e, Figures figures) {
    boolean kelvin = e.kind() == EquipmentKind.THERMOMETER;
    return new EquipmentForm(
        e.kind().word(),
        e.name(),
        e.readingMode(),
        step(e.resolution(), kelvin),
        step(e.repeatability(), kelvin),
        step(e.zeroDrift(), kelvin),
        e.rangeKpa().isPresent() ? figures.pressureField(e.rangeKpa().getAsDouble()) : "",
        e.calibrationDue().map(LocalDate::toString).orElse(""),
        millilitres(e.strokeMl()),
        millilitres(e.airMl()),
        e.fits(),
        e.retired() ? "true" : "",
        Integer.toString(e.version()));
  }

  EquipmentForm withVersion(int newer) {
    return new EquipmentForm(
        kind,
        name,
        readingMode,
        resolution,
        repeatability,
        zeroDrift,
        range,
        calibrationDue,
        stroke,
        air,
        fits,
        retired,
        Integer.toString(newer));
  }

  int versionRead() {
    return version.matches("\\d{1,9}") ? Integer.parseInt(version) : -1;
  }

  EquipmentKind kindChosen() {
    return EquipmentKind.of(kind);
  }

  /** Writes what is understood into a record; what is wrong is said at its field. */
  void into(EquipmentRecord record, FieldProblems problems, PressureUnit shown) {
    EquipmentKind k = kindChosen();
    if (name.isEmpty()) {
      problems.add("name", "problem.equipment-name");
    }
    record.kind = kind;
    record.name = name;
    record.readingMode = readingMode;
    record.fits = fits;
    record.retired = !retired.isEmpty();
    instrument(k, record, problems, shown);
    if (k.read()) {
      record.calibrationDue = day(problems);
    }
    if (k.pumps() && !stroke.isEmpty()) {
      record.strokeMl = boxed(problems.millilitres("stroke", stroke, 1, Range.STROKE));
    }
    if (k.holdsAir()) {
      record.airMl = boxed(problems.millilitres("air", air, 1, Range.TESTER_AIR));
    }
  }

  private void instrument(
      EquipmentKind k, EquipmentRecord record, FieldProblems problems, PressureUnit shown) {
    if (k.showsPressure()) {
      record.resolution =
          boxed(problems.kilopascals("resolution", resolution, shown, Range.GAUGE_STEP));
      record.repeatability =
          boxed(
              problems.kilopascalsIfTyped(
                  "repeatability", repeatability, shown, Range.GAUGE_NOISE));
      record.zeroDrift =
          boxed(problems.kilopascalsIfTyped("zeroDrift", zeroDrift, shown, Range.GAUGE_NOISE));
      record.rangeKpa =
          boxed(problems.kilopascalsIfTyped("range", range, shown, Range.GAUGE_SCALE));
    } else if (k.read()) {
      record.resolution = boxed(problems.number("resolution", resolution, Range.THERMOMETER_STEP));
      record.repeatability =
          boxed(problems.numberIfTyped("repeatability", repeatability, Range.THERMOMETER_NOISE));
    }
  }

  private @org.jspecify.annotations.Nullable LocalDate day(FieldProblems problems) {
    if (calibrationDue.isEmpty()) {
      return null;
    }
    try {
      return LocalDate.parse(calibrationDue);
    } catch (DateTimeParseException e) {
      problems.add("calibrationDue", "problem.day", calibrationDue);
      return null;
    }
  }

  private static @org.jspecify.annotations.Nullable Double boxed(OptionalDouble value) {
    return value.isPresent() ? value.getAsDouble() : null;
  }

  private static String step(OptionalDouble value, boolean kelvin) {
    return value.isPresent() ? Figures.full(value.getAsDouble()) + (kelvin ? " K" : " kPa") : "";
  }

  private static String millilitres(OptionalDouble value) {
    return value.isPresent() ? Figures.full(value.getAsDouble()) + " mL" : "";
  }
}
