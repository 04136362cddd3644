package gotera.web.circuit;

import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.word.Worded;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a circuit is built from, as chosen.
 *
 * @param vehicle name of the vehicle, where the job has none yet
 * @param typeName name of the engine type
 * @param drive what drives it
 * @param fill where it is filled
 * @param engine how its cylinders stand
 * @param cylinders how many it has; empty where nobody counted
 * @param orientation how it lies
 * @param extras what it has besides
 * @param version version of the engine type that was read
 */
record CircuitForm(
    String vehicle,
    String typeName,
    String drive,
    String fill,
    String engine,
    String cylinders,
    String orientation,
    @Nullable List<String> extras,
    int version) {
  /** Everything absent is empty. */
  CircuitForm {
    vehicle = Entry.text(vehicle, 120);
    typeName = Entry.text(typeName, 120);
    drive = Entry.text(drive, 20);
    fill = Entry.text(fill, 20);
    engine = Entry.text(engine, 20);
    cylinders = Entry.text(cylinders, 20);
    orientation = Entry.text(orientation, 20);
    extras = extras == null ? List.of() : List.copyOf(extras);
  }

  static CircuitForm of(String typeName, Features f, int version) {
    return new CircuitForm(
        "",
        typeName,
        f.drive().word(),
        f.fill().word(),
        f.engine().word(),
        f.cylinders().isPresent() ? String.valueOf(f.cylinders().getAsInt()) : "",
        f.orientation().word(),
        f.extras().stream().map(Extra::word).toList(),
        version);
  }

  CircuitForm withVersion(int newer) {
    return new CircuitForm(
        vehicle, typeName, drive, fill, engine, cylinders, orientation, extras, newer);
  }

  /** Whether an extra is chosen. */
  public boolean has(String extra) {
    return extras != null && extras.contains(extra);
  }

  /** The features; a word that is none is the first of its kind, a wrong number none. */
  Features features() {
    Set<Extra> chosen = EnumSet.noneOf(Extra.class);
    if (extras != null) {
      extras.forEach(e -> Worded.of(Extra.class, e).ifPresent(chosen::add));
    }
    return new Features(
        Worded.of(Drive.class, drive).orElse(Drive.PETROL),
        Worded.of(Fill.class, fill).orElse(Fill.NECK),
        Worded.of(Engine.class, engine).orElse(Engine.INLINE),
        Worded.of(Orientation.class, orientation).orElse(Orientation.ACROSS),
        FeaturesText.cylinders(cylinders),
        chosen);
  }

  /** Says what is missing or wrong. */
  void check(FieldProblems problems, boolean vehicleKnown) {
    if (!vehicleKnown && vehicle.isEmpty()) {
      problems.add("vehicle", "problem.vehicle");
    }
    if (typeName.isEmpty()) {
      problems.add("typeName", "problem.type-name");
    }
    OptionalDouble count = problems.numberIfTyped("cylinders", cylinders, Range.CYLINDER);
    if (count.isPresent() && count.getAsDouble() != Math.rint(count.getAsDouble())) {
      problems.add("cylinders", "problem.whole-number");
    }
  }
}
