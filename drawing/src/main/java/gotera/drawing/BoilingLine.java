package gotera.drawing;

import java.util.List;

/** Temperatures on one line: how hot it runs, and where the coolant boils. */
public final class BoilingLine {
  private static final double WIDTH = 660;
  private static final double ROW = 24;
  private static final double LEFT = 20;
  private static final double LOW = 80;
  private static final double HIGH = 150;
  private static final double STEP = 10;

  private BoilingLine() {}

  /**
   * A temperature on the line.
   *
   * @param celsius the temperature (°C); outside 80 to 150 it is drawn at the end
   * @param label what it is
   * @param style word of the style: hottest, open, now or right
   */
  public record Mark(double celsius, String label, String style) {}

  /**
   * The line.
   *
   * @param marks what to draw, each on a row of its own
   * @param name what is read aloud
   */
  public static String of(List<Mark> marks, String name) {
    double height = 34 + ROW * marks.size();
    Svg svg = Svg.open(WIDTH, height, "boiling", name);
    double base = height - 22;
    svg.line(LEFT, base, WIDTH - LEFT, base, "boiling-axis");
    for (double c = LOW; c <= HIGH; c += STEP) {
      svg.line(x(c), base, x(c), base + 5, "boiling-axis");
      svg.text(x(c), base + 18, "middle", "boiling-tick", Svg.number(c) + (c == HIGH ? " °C" : ""));
    }
    for (int i = 0; i < marks.size(); i++) {
      Mark mark = marks.get(i);
      double at = x(mark.celsius());
      double y = 16 + ROW * i;
      svg.line(at, y - 8, at, base, "boiling-mark boiling-" + mark.style());
      boolean leftwards = at > WIDTH / 2;
      svg.text(
          at + (leftwards ? -7 : 7),
          y + 4,
          leftwards ? "end" : "start",
          "boiling-label",
          mark.label());
    }
    return svg.close();
  }

  private static double x(double celsius) {
    double c = Math.max(LOW, Math.min(HIGH, celsius));
    return LEFT + (WIDTH - 2 * LEFT) * (c - LOW) / (HIGH - LOW);
  }
}
