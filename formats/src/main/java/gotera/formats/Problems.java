package gotera.formats;

import java.util.ArrayList;
import java.util.List;

/** Collects the problems of one file; lists the first twenty and counts the rest. */
final class Problems {
  private static final int MOST = 20;

  /** Beyond so many problems the rest of a file says nothing new (our judgement). */
  private static final long HOPELESS = 10_000;

  private final List<FormatProblem> listed = new ArrayList<>();
  private long more;

  void add(long line, String place, String found, String expected) {
    if (listed.size() < MOST) {
      listed.add(new FormatProblem(line, place, found, expected));
    } else {
      more++;
    }
  }

  boolean hopeless() {
    return more > HOPELESS;
  }

  boolean isEmpty() {
    return listed.isEmpty();
  }

  <T> ReadOutcome.Rejected<T> rejected() {
    return new ReadOutcome.Rejected<>(listed, more);
  }
}
