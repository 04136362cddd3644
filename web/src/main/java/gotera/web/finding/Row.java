package gotera.web.finding;

import gotera.word.Worded;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * The columns of a finding, as words and figures.
 *
 * @param check word of the check
 * @param subject what it is about; empty for the whole
 * @param saw what was seen or done
 * @param measures what was measured with it
 * @param unmet words of conditions that were not met
 * @param source word of where it is known from, which stands where a note would; mostly empty
 */
record Row(
    String check, String subject, String saw, Measures measures, Set<String> unmet, String source) {
  /** Keeps its own copy. */
  Row {
    unmet = Set.copyOf(unmet);
  }

  /** One without conditions. */
  Row(String check, String subject, String saw, Measures measures) {
    this(check, subject, saw, measures, Set.of(), "");
  }

  /** One with conditions that were not met. */
  Row(String check, String subject, String saw, Measures measures, Set<String> unmet) {
    this(check, subject, saw, measures, unmet, "");
  }

  /** A row that says what no form of a finding says. */
  static final class Unknown extends RuntimeException {
    private static final long serialVersionUID = 1;

    Unknown(String what) {
      super(what);
    }
  }

  /** The choice that the seen word means. */
  <E extends Enum<E> & Worded> E saw(Class<E> choice) {
    return word(choice, saw);
  }

  /** The choice that the subject means. */
  <E extends Enum<E> & Worded> E subject(Class<E> choice) {
    return word(choice, subject);
  }

  static <E extends Enum<E> & Worded> E word(Class<E> choice, String word) {
    return Worded.of(choice, word)
        .orElseThrow(() -> new Unknown(choice.getSimpleName() + " \u201c" + word + "\u201d"));
  }

  /** The subject, which must be there. */
  String named() {
    if (subject.isEmpty()) {
      throw new Unknown("nothing named");
    }
    return subject;
  }

  /** The number that the subject is, from 1 to 99. */
  int numbered() {
    if (!subject.matches("[1-9]\\d?")) {
      throw new Unknown("number \u201c" + subject + "\u201d");
    }
    return Integer.parseInt(subject);
  }

  /** What was measured, which must be there. */
  double need(Measure measure) {
    return measures.get(measure).orElseThrow(() -> new Unknown("no " + measure));
  }

  /** What was measured, where it was. */
  OptionalDouble get(Measure measure) {
    return measures.get(measure);
  }

  /** Which ways were open, which must be there. */
  Measures.Gates gates() {
    return measures.gates().orElseThrow(() -> new Unknown("no gates"));
  }
}
