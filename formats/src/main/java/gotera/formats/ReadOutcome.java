package gotera.formats;

import java.util.List;

/**
 * What became of reading a file: bad data is an answer, with all problems at once.
 *
 * @param <T> what the file holds
 */
public sealed interface ReadOutcome<T> {
  /** The file was read. */
  record Accepted<T>(T value) implements ReadOutcome<T> {}

  /**
   * The file was refused; nothing of it is kept.
   *
   * @param problems the first problems found
   * @param more how many further problems there are
   */
  record Rejected<T>(List<FormatProblem> problems, long more) implements ReadOutcome<T> {
    /** Keeps its own copy. */
    public Rejected {
      problems = List.copyOf(problems);
    }
  }
}
