package gotera.web.equipment;

import gotera.pressure.compliance.PlugCheck;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Typed;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A check against a plug as typed.
 *
 * @param before gauge at the start
 * @param after gauge at the end
 * @param lasted how long
 */
record PlugCheckForm(String before, String after, String lasted) {
  static final PlugCheckForm EMPTY = new PlugCheckForm("", "", "");

  /** Everything absent is empty. */
  PlugCheckForm {
    before = Entry.text(before, 40);
    after = Entry.text(after, 40);
    lasted = Entry.text(lasted, 20);
  }

  Optional<PlugCheck> read(
      FieldProblems problems, EquipmentView tester, LocalDate today, PressureUnit shown) {
    OptionalDouble from = problems.kilopascals("before", before, shown, Range.PRESSED);
    OptionalDouble to = problems.kilopascals("after", after, shown, Range.PRESSED);
    Optional<Double> minutes =
        problems.take("lasted", lasted, Typed.duration(lasted)).map(PlugCheckForm::minutes);
    if (minutes.isPresent() && minutes.get() < PlugCheck.SHORTEST) {
      problems.add("lasted", "problem.plug-check-time", lasted);
    }
    if (minutes.isPresent() && !Range.TRACE_LENGTH.holds(60 * minutes.get())) {
      problems.add("lasted", "problem.too-far");
    }
    if (from.isPresent() && from.getAsDouble() <= 0) {
      problems.add("before", "problem.plug-check-pressure", before);
    }
    return problems.none()
        ? Optional.of(
            new PlugCheck(
                new Volume(tester.airMl().orElseThrow()),
                new GaugePressure(from.getAsDouble()),
                new GaugePressure(to.getAsDouble()),
                minutes.orElseThrow(),
                tester.gauge(today)))
        : Optional.empty();
  }

  private static double minutes(Duration duration) {
    return duration.toMillis() / 60_000.0;
  }
}
