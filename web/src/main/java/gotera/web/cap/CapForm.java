package gotera.web.cap;

import gotera.cap.CapStamp;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Typed;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * The cap as typed.
 *
 * @param stamp what is stamped
 * @param unit unit chosen beside it, or empty
 * @param meant the meaning chosen after asking back (kPa), or empty
 * @param makerFigure the maker's highest system pressure
 * @param testPressure the maker's test pressure
 * @param testPressureConfirmed filled in once the test pressure was confirmed
 * @param seals state of the seals
 * @param note anything else
 * @param version version of the cap that was read
 */
record CapForm(
    String stamp,
    String unit,
    String meant,
    String makerFigure,
    String testPressure,
    String testPressureConfirmed,
    String seals,
    String note,
    int version) {
  static final List<String> SEALS = List.of("not-looked", "good", "doubtful", "replaced");

  /** Everything absent is empty. */
  CapForm {
    stamp = Entry.text(stamp, 40);
    unit = Entry.text(unit, 10);
    meant = Entry.text(meant, 20);
    makerFigure = Entry.text(makerFigure, 40);
    testPressure = Entry.text(testPressure, 40);
    seals = Entry.choice(seals, SEALS);
    testPressureConfirmed = Entry.text(testPressureConfirmed, 10);
    note = Entry.text(note, 2000);
  }

  static CapForm of(@Nullable CapRecord cap, gotera.web.figures.Figures figures) {
    if (cap == null) {
      return new CapForm("", "", "", "", "", "", "", "", 0);
    }
    return new CapForm(
        cap.stamp,
        "",
        Double.toString(cap.ratedKpa),
        cap.makerFigureKpa == null ? "" : figures.pressureField(cap.makerFigureKpa),
        cap.testPressureKpa == null ? "" : figures.pressureField(cap.testPressureKpa),
        cap.testPressureKpa != null ? "true" : "",
        cap.seals,
        cap.note,
        cap.version == null ? 0 : cap.version);
  }

  CapForm withVersion(int newer) {
    return new CapForm(
        stamp, unit, meant, makerFigure, testPressure, testPressureConfirmed, seals, note, newer);
  }

  /** The rating the stamp means; asks back through {@code meanings} where it is not clear. */
  Optional<GaugePressure> rated(FieldProblems problems, List<GaugePressure> meanings) {
    Understanding<GaugePressure> read = CapStamp.read(stamp, chosenUnit());
    if (read instanceof Ambiguous<GaugePressure> ambiguous) {
      for (GaugePressure meaning : ambiguous.meanings()) {
        if (meant.equals(Double.toString(meaning.kilopascals()))) {
          return Optional.of(meaning);
        }
      }
      meanings.addAll(ambiguous.meanings());
      problems.add(
          "stamp",
          chosenUnit().isPresent() ? "problem.cap-unit" : "problem.cap-ambiguous",
          stamp,
          chosenUnit().map(PressureUnit::symbol).orElse(""));
      return Optional.empty();
    }
    return problems.take("stamp", stamp, read);
  }

  /** The stamp with its unit, which a bare number lacks. */
  String stampWithUnit(GaugePressure rated) {
    if (!(Typed.number(stamp, "") instanceof Understanding.Understood<Double> number)) {
      return stamp;
    }
    for (PressureUnit u : PressureUnit.values()) {
      if (Math.abs(GaugePressure.of(number.value(), u).kilopascals() - rated.kilopascals())
          < 1e-6) {
        return stamp + " " + u.symbol();
      }
    }
    return stamp;
  }

  Optional<GaugePressure> figure(FieldProblems problems, PressureUnit shown) {
    return positive(problems, "makerFigure", makerFigure, shown);
  }

  Optional<GaugePressure> confirmedTestPressure(FieldProblems problems, PressureUnit shown) {
    Optional<GaugePressure> pressure = positive(problems, "testPressure", testPressure, shown);
    if (pressure.isPresent() && testPressureConfirmed.isEmpty()) {
      problems.add("testPressure", "problem.confirm-test-pressure");
    }
    return pressure;
  }

  private static Optional<GaugePressure> positive(
      FieldProblems problems, String field, String typed, PressureUnit shown) {
    OptionalDouble pressure = problems.kilopascalsIfTyped(field, typed, shown, Range.LIMIT);
    return pressure.isPresent()
        ? Optional.of(new GaugePressure(pressure.getAsDouble()))
        : Optional.empty();
  }

  private Optional<PressureUnit> chosenUnit() {
    for (PressureUnit u : PressureUnit.values()) {
      if (u.name().equalsIgnoreCase(unit)) {
        return Optional.of(u);
      }
    }
    return Optional.empty();
  }
}
