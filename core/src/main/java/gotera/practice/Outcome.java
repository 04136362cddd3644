package gotera.practice;

import java.util.List;

/**
 * How a visit of a practice vehicle ended.
 *
 * @param leaks what was wrong with it
 * @param found how many of these were repaired
 * @param wrong how many repairs mended nothing
 * @param minutes what it took, without the repairs
 * @param repeated how often the same check was proposed again without anything new at its place
 * @param course what was done, in order, with what was seen
 */
public record Outcome(
    List<HiddenLeak> leaks,
    int found,
    int wrong,
    double minutes,
    int repeated,
    List<String> course) {
  /** Keeps its own copies. */
  public Outcome {
    leaks = List.copyOf(leaks);
    course = List.copyOf(course);
  }

  /** Whether everything that leaked was repaired. */
  public boolean solved() {
    return found == leaks.size();
  }
}
