package gotera.web.finding;

import gotera.said.Said;
import gotera.word.Worded;
import java.util.List;
import java.util.function.Function;

/**
 * How one type of what was said is written as a row and read again.
 *
 * @param type the type
 * @param check the word of its check
 * @param saw the words that its rows can have
 * @param subject what the subject of its rows is
 * @param read makes it of a row
 * @param write makes a row of it
 */
record Form<S extends Said>(
    Class<S> type,
    String check,
    List<String> saw,
    Subject subject,
    Function<Row, S> read,
    Function<S, Row> write) {

  /**
   * What the subject of a row is.
   *
   * @param about what it names
   * @param words the words it can be, where it is one of a few
   */
  record Subject(About about, List<String> words) {
    static final Subject NONE = new Subject(About.NOTHING, List.of());
    static final Subject JOINT = new Subject(About.JOINT, List.of());
    static final Subject ANYWHERE = new Subject(About.ANYWHERE, List.of());
    static final Subject SPOT = new Subject(About.SPOT, List.of());
    static final Subject CYLINDER = new Subject(About.CYLINDER, List.of());
    static final Subject FLUID = new Subject(About.FLUID, List.of());

    /** One of a few words, said in {@code check.subject.word}. */
    static Subject of(List<String> words) {
      return new Subject(About.WORD, words);
    }

    private boolean fits(String subject) {
      return switch (about) {
        case NOTHING -> subject.isEmpty();
        case ANYWHERE -> true;
        case WORD -> words.contains(subject);
        case JOINT, SPOT, CYLINDER, FLUID -> !subject.isEmpty();
      };
    }
  }

  /** What a subject names. */
  enum About {
    /** There is none. */
    NOTHING,
    /** A joint of the circuit. */
    JOINT,
    /** A joint, or nothing where all were meant. */
    ANYWHERE,
    /** A spot that something drips from. */
    SPOT,
    /** The number of a cylinder. */
    CYLINDER,
    /** A fluid. */
    FLUID,
    /** A word of its own check. */
    WORD
  }

  /** Whether a row is one of these. */
  boolean fits(Row row) {
    return check.equals(row.check()) && saw.contains(row.saw()) && subject.fits(row.subject());
  }

  /** One that has a single word and nothing besides. */
  static <S extends Said> Form<S> plain(String check, String saw, S said) {
    @SuppressWarnings("unchecked")
    Class<S> type = (Class<S>) said.getClass();
    return new Form<>(
        type,
        check,
        List.of(saw),
        Subject.NONE,
        r -> said,
        s -> new Row(check, "", saw, Measures.NONE));
  }

  /** The words of a choice. */
  static <E extends Enum<E> & Worded> List<String> words(Class<E> choice) {
    return Worded.words(choice);
  }

  /** The row of something whose type this is for. */
  Row row(Said said) {
    return write.apply(type.cast(said));
  }
}
