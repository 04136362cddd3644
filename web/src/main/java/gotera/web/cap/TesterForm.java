package gotera.web.cap;

import gotera.quantity.GaugePressure;
import gotera.quantity.Slip;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * The cap tester's readings as typed.
 *
 * @param opening opened at
 * @param holds held
 * @param vacuum let air in at
 * @param altitude height it is used at
 */
public record TesterForm(String opening, String holds, String vacuum, String altitude) {
  /** A number without a unit. */
  private static final String BARE = "[0-9]+([.,][0-9]+)?";

  /** Everything absent is empty. */
  public TesterForm {
    opening = Entry.text(opening, 40);
    holds = Entry.text(holds, 40);
    vacuum = Entry.text(vacuum, 40);
    altitude = Entry.text(altitude, 20);
  }

  static TesterForm of(Optional<CapRecord> cap, Figures figures) {
    return cap.map(
            c ->
                new TesterForm(
                    shown(c.openingKpa, figures),
                    shown(c.holdsKpa, figures),
                    shown(c.vacuumKpa, figures),
                    c.altitudeMetres == null ? "" : Figures.full(c.altitudeMetres)))
        .orElse(new TesterForm("", "", "", ""));
  }

  private static String shown(@Nullable Double kilopascals, Figures figures) {
    return kilopascals == null ? "" : figures.pressureField(kilopascals);
  }

  /**
   * What was understood of them; what was not has its sentence.
   *
   * @param stamp what the cap is stamped with (kPa): a bare number that fits it in another unit
   *     only is asked back
   */
  public TesterReadings read(FieldProblems problems, Figures figures, OptionalDouble stamp) {
    whichUnit(problems, "opening", opening, figures, stamp);
    whichUnit(problems, "holds", holds, figures, stamp);
    return new TesterReadings(
        read(problems, "opening", opening, figures, Range.PRESSED),
        read(problems, "holds", holds, figures, Range.PRESSED),
        // a vacuum is understood with and without its minus
        read(problems, "vacuum", vacuum.replaceFirst("^[-\u2212]", ""), figures, Range.VACUUM),
        problems.numberIfTyped("altitude", altitude, Range.ALTITUDE));
  }

  private static void whichUnit(
      FieldProblems problems, String field, String typed, Figures figures, OptionalDouble stamp) {
    if (stamp.isEmpty() || !typed.matches(BARE)) {
      return;
    }
    double number = Double.parseDouble(typed.replace(',', '.'));
    Slip.ofUnit(number, figures.unit(), new GaugePressure(stamp.getAsDouble()))
        .ifPresent(
            unit ->
                problems.add(
                    field,
                    "problem.which-unit",
                    typed,
                    figures.pressure(number * figures.unit().kilopascals()),
                    figures.pressureTwice(stamp.getAsDouble()),
                    typed + " " + unit.symbol(),
                    typed + " " + figures.unit().symbol()));
  }

  private static Optional<GaugePressure> read(
      FieldProblems problems, String field, String typed, Figures figures, Range range) {
    OptionalDouble pressure = problems.kilopascalsIfTyped(field, typed, figures.unit(), range);
    return pressure.isPresent()
        ? Optional.of(new GaugePressure(pressure.getAsDouble()))
        : Optional.empty();
  }
}
