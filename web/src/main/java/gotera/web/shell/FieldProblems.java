package gotera.web.shell;

import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Understood;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

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

  /** Whether nothing is wrong. */
  public boolean none() {
    return sentences.isEmpty();
  }

  /** The sentences by field. */
  public Map<String, String> sentences() {
    return sentences;
  }
}
