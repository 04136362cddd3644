package gotera.web.cap;

import gotera.quantity.GaugePressure;
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

  /** What was understood of them; what was not has its sentence. */
  public TesterReadings read(FieldProblems problems, Figures figures) {
    return new TesterReadings(
        read(problems, "opening", opening, figures, Range.PRESSED),
        read(problems, "holds", holds, figures, Range.PRESSED),
        // a vacuum is understood with and without its minus
        read(problems, "vacuum", vacuum.replaceFirst("^[-\u2212]", ""), figures, Range.VACUUM),
        problems.numberIfTyped("altitude", altitude, Range.ALTITUDE));
  }

  private static Optional<GaugePressure> read(
      FieldProblems problems, String field, String typed, Figures figures, Range range) {
    OptionalDouble pressure = problems.kilopascalsIfTyped(field, typed, figures.unit(), range);
    return pressure.isPresent()
        ? Optional.of(new GaugePressure(pressure.getAsDouble()))
        : Optional.empty();
  }
}
