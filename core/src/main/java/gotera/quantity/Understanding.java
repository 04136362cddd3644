package gotera.quantity;

import gotera.word.Worded;
import java.util.List;

/**
 * What could be made of something a person typed. Bad input is an answer, not an exception.
 *
 * @param <T> the quantity asked for
 */
public sealed interface Understanding<T> {
  /** One meaning only. */
  record Understood<T>(T value) implements Understanding<T> {}

  /** More than one plausible meaning: ask. */
  record Ambiguous<T>(List<T> meanings) implements Understanding<T> {
    /** Keeps its own copy. */
    public Ambiguous {
      meanings = List.copyOf(meanings);
    }
  }

  /** No meaning. */
  record NotUnderstood<T>(Problem problem) implements Understanding<T> {}

  /** Why something typed has no meaning here. */
  enum Problem implements Worded {
    /** Nothing was typed. */
    EMPTY,
    /** There is no number in it. */
    NO_NUMBER,
    /** The unit is none of this quantity's. */
    UNKNOWN_UNIT,
    /** The value cannot be, in any unit. */
    IMPLAUSIBLE
  }
}
