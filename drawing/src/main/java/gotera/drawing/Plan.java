package gotera.drawing;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What a drawing of a plan shows: how long a hold must last, by the air that is trapped.
 *
 * @param points the line, by rising air
 * @param air the air there is now (mL)
 * @param minutes how long it must last with it (min), if any hold is long enough
 * @param words the words on it
 */
public record Plan(List<Point> points, double air, OptionalDouble minutes, Words words) {
  /** The time axis reaches at least to the first of these, and no further than the other (min). */
  private static final double SHORT_AXIS = 15;

  private static final double LONG_AXIS = 60;

  /** Keeps its own copy. */
  public Plan {
    points = List.copyOf(points);
  }

  /** End of the time axis (min). */
  double longest() {
    double longest = points.stream().mapToDouble(p -> p.minutes().orElse(0)).max().orElse(0);
    return Math.max(SHORT_AXIS, Math.min(LONG_AXIS, longest));
  }

  /**
   * A point of the line.
   *
   * @param air trapped air (mL)
   * @param minutes shortest hold (min); empty where none is long enough
   */
  public record Point(double air, OptionalDouble minutes) {}

  /**
   * Words on the drawing.
   *
   * @param title what is read aloud
   * @param air name of the air axis
   * @param minutes name of the time axis
   * @param now text at the air there is now
   */
  public record Words(String title, String air, String minutes, String now) {}
}
