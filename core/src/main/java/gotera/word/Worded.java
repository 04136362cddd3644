package gotera.word;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** One of a fixed choice, by the one word it has in files, forms, tables and messages. */
public interface Worded {
  /** Name of the constant. */
  String name();

  /** The word: the constant's name in small letters, with hyphens. */
  default String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The one that a word means. */
  static <E extends Enum<E> & Worded> Optional<E> of(Class<E> choice, String word) {
    return Arrays.stream(choice.getEnumConstants()).filter(e -> e.word().equals(word)).findFirst();
  }

  /** The words of a choice, in its order. */
  static <E extends Enum<E> & Worded> List<String> words(Class<E> choice) {
    return Arrays.stream(choice.getEnumConstants()).map(Worded::word).toList();
  }
}
