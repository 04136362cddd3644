package gotera.web.storage;

import gotera.word.Worded;
import jakarta.persistence.AttributeConverter;
import org.jspecify.annotations.Nullable;

/**
 * Keeps one of a choice as its word. The column's check keeps other words out; one that got in
 * nevertheless is a row that cannot be read.
 *
 * @param <E> the choice
 */
public abstract class WordColumn<E extends Enum<E> & Worded>
    implements AttributeConverter<E, String> {
  private final Class<E> choice;

  protected WordColumn(Class<E> choice) {
    this.choice = choice;
  }

  @Override
  public @Nullable String convertToDatabaseColumn(@Nullable E value) {
    return value == null ? null : value.word();
  }

  @Override
  public @Nullable E convertToEntityAttribute(@Nullable String word) {
    return word == null
        ? null
        : Worded.of(choice, word)
            .orElseThrow(
                () -> new IllegalArgumentException(choice.getSimpleName() + " “" + word + "”"));
  }
}
