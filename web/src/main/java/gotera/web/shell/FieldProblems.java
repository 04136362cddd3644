package gotera.web.shell;

import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Typed;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Understood;
import gotera.quantity.Volume;
import java.util.LinkedHashMap;
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
    if (understanding instanceof Ambiguous<T>) {
      add(field, "problem.ambiguous", typed);
    } else if (understanding instanceof NotUnderstood<T> not) {
      add(
          field,
          "problem." + not.problem().name().toLowerCase(java.util.Locale.ROOT),
          typed,
          words.say("expect." + field));
    }
    return Optional.empty();
  }

  /** Like {@link #take}, but a field left empty is no problem. */
  public <T> Optional<T> takeIfTyped(String field, String typed, Understanding<T> understanding) {
    return typed.isBlank() ? Optional.empty() : take(field, typed, understanding);
  }

  /** A number within a range, in a unit of its own. */
  public OptionalDouble number(String field, String typed, String unit, double low, double high) {
    Optional<Double> value = take(field, typed, Typed.number(typed, unit));
    if (value.isPresent() && (value.get() < low || value.get() > high)) {
      add(field, "problem.range", typed, Figures.plain(low), Figures.plain(high) + " " + unit);
      return OptionalDouble.empty();
    }
    return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }

  /** Like {@link #number}, but a field left empty is no problem. */
  public OptionalDouble numberIfTyped(
      String field, String typed, String unit, double low, double high) {
    return typed.isEmpty() ? OptionalDouble.empty() : number(field, typed, unit, low, high);
  }

  /**
   * A volume within a range (mL).
   *
   * @param assumed millilitres of the unit that a bare number means
   */
  public OptionalDouble millilitres(
      String field, String typed, double assumed, double low, double high) {
    Optional<Volume> volume = take(field, typed, Typed.volume(typed, assumed));
    if (volume.isPresent()
        && (volume.get().millilitres() < low || volume.get().millilitres() > high)) {
      add(field, "problem.range", typed, Figures.plain(low), Figures.plain(high) + " mL");
      return OptionalDouble.empty();
    }
    return volume.isPresent()
        ? OptionalDouble.of(volume.get().millilitres())
        : OptionalDouble.empty();
  }

  /** A gauge pressure (kPa), a bare number in the unit shown. */
  public OptionalDouble kilopascals(String field, String typed, PressureUnit shown) {
    Optional<GaugePressure> pressure = take(field, typed, Typed.pressure(typed, shown));
    return pressure.isPresent()
        ? OptionalDouble.of(pressure.get().kilopascals())
        : OptionalDouble.empty();
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
