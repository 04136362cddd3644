package gotera.web.figures;

import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Temperature;
import gotera.quantity.Typed;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Understood;
import gotera.quantity.Units;
import gotera.quantity.Volume;
import gotera.range.Range;
import gotera.web.words.Words;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What is wrong with a form, each sentence at its field. What was typed is kept by the form. */
public final class FieldProblems {
  private final Words words;
  private final Map<String, String> sentences = new LinkedHashMap<>();

  /** A form without problems so far. */
  public FieldProblems(Words words) {
    this.words = words;
  }

  /** Puts a sentence at a field; the first one stays. */
  public void add(String field, String key, Object... arguments) {
    sentences.putIfAbsent(field, words.say(key, arguments));
  }

  /** The value, if it was understood; else a sentence at its field. */
  public <T> Optional<T> take(String field, String typed, Understanding<T> understanding) {
    if (understanding instanceof Understood<T> understood) {
      return Optional.of(understood.value());
    }
    if (understanding instanceof Ambiguous<T> ambiguous) {
      List<T> meanings = ambiguous.meanings();
      add(field, "problem.ambiguous", typed, shown(meanings.get(0)), shown(last(meanings)));
    } else if (understanding instanceof NotUnderstood<T> not) {
      add(field, "problem." + not.problem().word(), typed, words.say("expect." + field));
    }
    return Optional.empty();
  }

  private static <T> T last(List<T> all) {
    return all.get(all.size() - 1);
  }

  private static String shown(Object meaning) {
    if (meaning instanceof GaugePressure p) {
      return Figures.full(p.kilopascals()) + " kPa";
    }
    if (meaning instanceof Volume v) {
      return Figures.full(v.millilitres()) + " mL";
    }
    if (meaning instanceof Duration d) {
      return d.toMinutes() >= 60 ? d.toMinutes() + " min" : d.toSeconds() + " s";
    }
    return meaning instanceof Double d ? Figures.full(d) : String.valueOf(meaning);
  }

  /** Like {@link #take}, but a field left empty is no problem. */
  public <T> Optional<T> takeIfTyped(String field, String typed, Understanding<T> understanding) {
    return typed.isBlank() ? Optional.empty() : take(field, typed, understanding);
  }

  /** A number within its range, in the unit of the range. */
  public OptionalDouble number(String field, String typed, Range range) {
    Optional<Double> value = take(field, typed, Typed.number(typed, range.unit()));
    if (value.isPresent() && !range.holds(value.get())) {
      outside(field, typed, range, 1, range.unit());
      return OptionalDouble.empty();
    }
    return optional(value);
  }

  /** Like {@link #number}, but a field left empty is no problem. */
  public OptionalDouble numberIfTyped(String field, String typed, Range range) {
    return typed.isEmpty() ? OptionalDouble.empty() : number(field, typed, range);
  }

  /**
   * A volume within its range (mL).
   *
   * @param assumed millilitres of the unit that a bare number means
   */
  public OptionalDouble millilitres(String field, String typed, double assumed, Range range) {
    Optional<Volume> volume = take(field, typed, Typed.volume(typed, assumed));
    if (volume.isPresent() && !range.holds(volume.get().millilitres())) {
      boolean litres = assumed > 1;
      outside(field, typed, range, litres ? 1000 : 1, litres ? "L" : "mL");
      return OptionalDouble.empty();
    }
    return optional(volume.map(Volume::millilitres));
  }

  /** Like {@link #millilitres}, but a field left empty is no problem. */
  public OptionalDouble millilitresIfTyped(
      String field, String typed, double assumed, Range range) {
    return typed.isEmpty() ? OptionalDouble.empty() : millilitres(field, typed, assumed, range);
  }

  /** A gauge pressure within its range (kPa), a bare number in the unit shown. */
  public OptionalDouble kilopascals(String field, String typed, PressureUnit shown, Range range) {
    Optional<GaugePressure> pressure = take(field, typed, Typed.pressure(typed, shown));
    if (pressure.isPresent() && !range.holds(pressure.get().kilopascals())) {
      PressureUnit unit = Typed.pressureUnit(typed, shown);
      outside(field, typed, range, unit.kilopascals(), unit.symbol());
      return OptionalDouble.empty();
    }
    return optional(pressure.map(GaugePressure::kilopascals));
  }

  /** Like {@link #kilopascals}, but a field left empty is no problem. */
  public OptionalDouble kilopascalsIfTyped(
      String field, String typed, PressureUnit shown, Range range) {
    return typed.isEmpty() ? OptionalDouble.empty() : kilopascals(field, typed, shown, range);
  }

  /** A temperature (°C), a bare number in the unit chosen; a field left empty is no problem. */
  public OptionalDouble celsiusIfTyped(String field, String typed, Units units, Range range) {
    return typed.isEmpty() ? OptionalDouble.empty() : celsius(field, typed, units, range);
  }

  /** A temperature within its range (°C), a bare number in the unit chosen. */
  public OptionalDouble celsius(String field, String typed, Units units, Range range) {
    Optional<Temperature> read = take(field, typed, Typed.temperature(typed, units.temperature()));
    if (read.isPresent() && !range.holds(read.get().celsius())) {
      add(
          field,
          "problem.range",
          typed,
          Figures.plain(units.temperature().of(range.low())),
          Figures.plain(units.temperature().of(range.high())),
          units.temperature().symbol());
      return OptionalDouble.empty();
    }
    return optional(read.map(Temperature::celsius));
  }

  private void outside(String field, String typed, Range range, double one, String unit) {
    add(
        field,
        "problem.range",
        typed,
        Figures.plain(range.low() / one),
        Figures.plain(range.high() / one),
        unit);
  }

  private static OptionalDouble optional(Optional<Double> value) {
    return value.isPresent() ? OptionalDouble.of(value.get()) : OptionalDouble.empty();
  }

  /** Whether nothing is wrong. */
  public boolean none() {
    return sentences.isEmpty();
  }

  /** The sentences by field. */
  public Map<String, String> sentences() {
    return sentences;
  }
}
