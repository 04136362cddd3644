package gotera.device;

import java.util.ArrayList;
import java.util.List;

/**
 * Which numbers of a row that begins with 1 have come, in whatever order and however often they
 * came. Immutable.
 *
 * @param ranges numbers that have come, in order, with a number missing between any two
 */
public record Sequence(List<Range> ranges) {
  /** Nothing has come. */
  public static final Sequence NONE = new Sequence(List.of());

  /**
   * Most gaps that are kept (our judgement, far above what a device makes): a row with more of them
   * is no row.
   */
  public static final int MOST_GAPS = 500;

  /**
   * Numbers one after the other.
   *
   * @param from the first, from 1
   * @param to the last
   */
  public record Range(long from, long to) {
    /** Refuses what is no range. */
    public Range {
      if (from < 1 || to < from) {
        throw new IllegalArgumentException("numbers " + from + " to " + to);
      }
    }

    /** How many they are. */
    public long size() {
      return to - from + 1;
    }
  }

  /** Keeps its own list. */
  public Sequence {
    ranges = List.copyOf(ranges);
    for (int i = 1; i < ranges.size(); i++) {
      if (ranges.get(i).from() <= ranges.get(i - 1).to() + 1) {
        throw new IllegalArgumentException("ranges " + ranges);
      }
    }
  }

  /** Whether a number has come. */
  public boolean has(long number) {
    int low = 0;
    int high = ranges.size() - 1;
    while (low <= high) {
      int middle = (low + high) >>> 1;
      Range range = ranges.get(middle);
      if (number < range.from()) {
        high = middle - 1;
      } else if (number > range.to()) {
        low = middle + 1;
      } else {
        return true;
      }
    }
    return false;
  }

  /** The same, with more numbers. */
  public Sequence with(Range more) {
    List<Range> all = new ArrayList<>();
    long from = more.from();
    long to = more.to();
    boolean placed = false;
    for (Range range : ranges) {
      if (range.to() < from - 1) {
        all.add(range);
      } else if (range.from() > to + 1) {
        if (!placed) {
          all.add(new Range(from, to));
          placed = true;
        }
        all.add(range);
      } else {
        from = Math.min(from, range.from());
        to = Math.max(to, range.to());
      }
    }
    if (!placed) {
      all.add(new Range(from, to));
    }
    return new Sequence(all);
  }

  /** The last number up to which none is missing; 0 where the first is. */
  public long through() {
    return ranges.isEmpty() || ranges.get(0).from() > 1 ? 0 : ranges.get(0).to();
  }

  /** The highest number that has come; 0 where none has. */
  public long highest() {
    return ranges.isEmpty() ? 0 : ranges.get(ranges.size() - 1).to();
  }

  /** The numbers below the highest that have not come. */
  public List<Range> gaps() {
    List<Range> gaps = new ArrayList<>();
    long next = 1;
    for (Range range : ranges) {
      if (range.from() > next) {
        gaps.add(new Range(next, range.from() - 1));
      }
      next = range.to() + 1;
    }
    return gaps;
  }

  /** Reads what {@link #text} wrote; refuses anything else. */
  public static Sequence read(String text) {
    Sequence all = NONE;
    for (String part : text.isEmpty() ? new String[0] : text.split(",", -1)) {
      String[] ends = part.split("-", -1);
      if (ends.length != 2) {
        throw new IllegalArgumentException("numbers " + part);
      }
      all = all.with(new Range(Long.parseLong(ends[0]), Long.parseLong(ends[1])));
    }
    return all;
  }

  /** The ranges as text, {@code 1-20,25-30}. */
  public String text() {
    StringBuilder out = new StringBuilder();
    for (Range range : ranges) {
      out.append(out.isEmpty() ? "" : ",").append(range.from()).append('-').append(range.to());
    }
    return out.toString();
  }
}
