package gotera.drawing;

/** Draws a {@link Plan}: minutes over trapped air, with where one stands now. */
public final class PlanDrawing {
  private static final double WIDTH = 520;
  private static final double HEIGHT = 300;
  private static final double BOTTOM = HEIGHT - 50;
  private static final double TOP = 26;

  private PlanDrawing() {}

  /** The drawing. */
  public static String of(Plan plan) {
    double most = plan.points().get(plan.points().size() - 1).air();
    Axis air = Axis.round(0, most, 6, 52, WIDTH - 16).tight(0, most);
    Axis minutes = Axis.round(0, plan.longest(), 5, BOTTOM, TOP);
    Svg svg = Svg.open(WIDTH, HEIGHT, "plan", plan.words().title());
    for (double tick : minutes.ticks()) {
      svg.line(air.from(), minutes.at(tick), air.to(), minutes.at(tick), "curve-grid");
      svg.text(air.from() - 8, minutes.at(tick) + 4, "end", "curve-tick", minutes.label(tick));
    }
    svg.text(air.from() - 8, 14, "end", "curve-unit", plan.words().minutes());
    svg.line(air.from(), BOTTOM, air.to(), BOTTOM, "curve-axis");
    for (double tick : air.ticks()) {
      svg.line(air.at(tick), BOTTOM, air.at(tick), BOTTOM + 5, "curve-axis");
      svg.text(air.at(tick), BOTTOM + 19, "middle", "curve-tick", air.label(tick));
    }
    svg.text(air.from(), BOTTOM + 38, "start", "curve-unit", plan.words().air());
    svg.path(line(plan, air, minutes), "curve-fit");
    double x = air.at(Math.min(plan.air(), most));
    svg.line(x, TOP, x, BOTTOM, "curve-flag");
    if (plan.minutes().isPresent() && plan.minutes().getAsDouble() <= plan.longest()) {
      svg.circle(x, minutes.at(plan.minutes().getAsDouble()), 6, "plan-now");
    }
    boolean right = x > (air.from() + air.to()) / 2;
    svg.text(
        right ? x - 8 : x + 8,
        TOP + 12,
        right ? "end" : "start",
        "curve-label",
        plan.words().now());
    return svg.close();
  }

  /** Minutes against air, broken where they are longer than is shown. */
  private static String line(Plan plan, Axis air, Axis minutes) {
    StringBuilder line = new StringBuilder();
    boolean drawing = false;
    for (Plan.Point point : plan.points()) {
      boolean shown =
          point.minutes().isPresent() && point.minutes().getAsDouble() <= plan.longest();
      if (shown) {
        line.append(drawing ? 'L' : 'M')
            .append(Svg.number(air.at(point.air())))
            .append(',')
            .append(Svg.number(minutes.at(point.minutes().getAsDouble())));
      }
      drawing = shown;
    }
    return line.toString();
  }
}
