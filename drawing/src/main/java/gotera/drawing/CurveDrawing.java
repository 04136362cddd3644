package gotera.drawing;

import gotera.drawing.Curve.Run;
import gotera.pressure.FittedCurve;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * Draws {@link Curve}: readings, fit with its band, limits, events, and the temperature under it.
 */
public final class CurveDrawing {
  private static final int MOST_POINTS = 240;
  private static final int MOST_FLAGS = 6;
  private static final double FLAG_HEIGHT = 20;
  private static final double NAMES_WIDTH = 150;
  private static final double NAMES_HEIGHT = 54;
  private static final List<TraceEvent.Kind> ORDER =
      List.of(
          TraceEvent.Kind.PLACE_SEEN,
          TraceEvent.Kind.VALVE_SHUT,
          TraceEvent.Kind.FIRST_BEAD,
          TraceEvent.Kind.DROP_SEEN,
          TraceEvent.Kind.DRAW,
          TraceEvent.Kind.SQUEEZED,
          TraceEvent.Kind.RELEASED,
          TraceEvent.Kind.PUMPED);

  private final Curve curve;
  private final double width;
  private final double plotBottom;
  private final boolean temperature;

  /** For a customer: before and after, and nothing beside them. */
  private final boolean plain;

  private final Axis minutes;
  private final Axis pressure;
  private final Svg svg;

  private CurveDrawing(Curve curve, Size size) {
    this.curve = curve;
    this.width = size.width;
    this.plain = size == Size.PAGE;
    this.temperature = !plain && curve.runs().stream().anyMatch(r -> hasTemperature(r.trace()));
    double height = size.height + (temperature ? 74 : 0);
    this.plotBottom = size.height - 46;
    this.svg = Svg.open(width, height, "curve", curve.words().title());
    double lastMinute = Math.max(1, lastMinute());
    this.minutes =
        Axis.round(firstMinute(), lastMinute, size.ticks, 48, width - 12)
            .tight(firstMinute(), lastMinute);
    double[] range = range();
    this.pressure = Axis.round(range[0], range[1], 6, plotBottom, 30);
  }

  /** Size of a drawing: text keeps its size, so a narrow screen gets a drawing of its own. */
  public enum Size {
    /** For a bench of some 720 px. */
    WIDE(720, 360, 10),
    /** For a bench where readings are entered under it. */
    LOW(720, 236, 10),
    /** For a phone. */
    NARROW(360, 330, 5),
    /** For the page that a customer gets: across the sheet, without the temperature. */
    PAGE(620, 206, 8),
    /** For the file behind it. */
    FILE(620, 240, 8);

    private final double width;
    private final double height;
    private final int ticks;

    Size(double width, double height, int ticks) {
      this.width = width;
      this.height = height;
      this.ticks = ticks;
    }
  }

  /** The drawing. */
  public static String of(Curve curve, Size size) {
    return new CurveDrawing(curve, size).draw();
  }

  private String draw() {
    window();
    grid();
    rated();
    if (!plain) {
      makerRule();
    }
    for (int i = 0; i < curve.runs().size(); i++) {
      boolean earlier = curve.runs().size() > 1 && i == 0;
      band(curve.runs().get(i), earlier);
      readings(curve.runs().get(i), earlier);
    }
    flags();
    if (curve.runs().size() > 1) {
      names();
    }
    temperature();
    plot();
    return svg.close();
  }

  /** The frame itself, over everything, for whoever drags a part of the curve. */
  private void plot() {
    svg.plot(
        minutes.from(),
        30,
        minutes.to() - minutes.from(),
        plotBottom - 30,
        minutes.value(minutes.from()),
        minutes.value(minutes.to()));
  }

  private void window() {
    Run last = curve.runs().get(curve.runs().size() - 1);
    last.window()
        .ifPresent(
            w -> {
              double from = minutes.at(minute(last, w.from()));
              double to = minutes.at(minute(last, w.to()));
              svg.rect(from, 30, to - from, plotBottom - 30, 0, "curve-window");
              svg.line(from, 30, from, plotBottom, "curve-end");
              svg.line(to, 30, to, plotBottom, "curve-end");
            });
  }

  private void grid() {
    for (double tick : pressure.ticks()) {
      double y = pressure.at(tick);
      svg.line(minutes.from(), y, minutes.to(), y, "curve-grid");
      svg.text(minutes.from() - 8, y + 4, "end", "curve-tick", pressure.label(tick));
    }
    svg.text(minutes.from() - 8, 18, "end", "curve-unit", curve.unit().symbol());
    svg.line(minutes.from(), plotBottom, minutes.to(), plotBottom, "curve-axis");
    for (double tick : minutes.ticks()) {
      double x = minutes.at(tick);
      svg.line(x, plotBottom, x, plotBottom + 5, "curve-axis");
      svg.text(x, plotBottom + 19, "middle", "curve-tick", minutes.label(tick));
    }
    svg.text(minutes.from(), plotBottom + 37, "start", "curve-unit", curve.words().minutes());
  }

  private void rated() {
    if (curve.rated().isEmpty()) {
      return;
    }
    double y = pressure.at(inUnit(curve.rated().getAsDouble()));
    if (y < 30 || y > plotBottom) {
      return;
    }
    svg.line(minutes.from(), y, minutes.to(), y, "curve-rated");
    svg.text(minutes.to(), y - 6, "end", "curve-label", curve.words().rated());
  }

  private void makerRule() {
    curve
        .makerRule()
        .ifPresent(
            rule -> {
              double start = rule.pressure().kilopascals();
              double y1 = pressure.at(inUnit(start));
              double y2 = pressure.at(inUnit(start - rule.drop()));
              double x2 = Math.min(minutes.at(rule.minutes()), minutes.to());
              if (y1 < 20 || y2 > plotBottom + 1) {
                return;
              }
              svg.line(minutes.at(0), y1, x2, y2, "curve-rule");
              boolean right = x2 < (minutes.from() + minutes.to()) / 2;
              svg.text(
                  right ? x2 + 8 : x2 - 8,
                  Math.min(y2 + 14, plotBottom - 6),
                  right ? "start" : "end",
                  "curve-label",
                  curve.words().makerRule());
            });
  }

  private void band(Run run, boolean earlier) {
    if (run.fitted().isEmpty()) {
      return;
    }
    StringBuilder upper = new StringBuilder();
    StringBuilder lower = new StringBuilder();
    StringBuilder middle = new StringBuilder();
    List<FittedCurve.Point> points = run.fitted();
    for (int i = 0; i < points.size(); i++) {
      FittedCurve.Point p = points.get(i);
      double x = minutes.at(minute(run, p.seconds()));
      upper.append(i == 0 ? 'M' : 'L').append(point(x, p.gauge() + p.halfWidth()));
      middle.append(i == 0 ? 'M' : 'L').append(point(x, p.gauge()));
      lower.insert(0, "L" + point(x, p.gauge() - p.halfWidth()));
    }
    if (!earlier) {
      svg.path(upper.append(lower).append('Z').toString(), "curve-band");
    }
    svg.path(middle.toString(), earlier ? "curve-fit curve-earlier" : "curve-fit");
  }

  private String point(double x, double kilopascals) {
    double y = Math.max(20, Math.min(plotBottom, pressure.at(inUnit(kilopascals))));
    return Svg.number(x) + "," + Svg.number(y);
  }

  private void readings(Run run, boolean earlier) {
    Trace trace = run.trace();
    boolean dense = trace.size() > 60;
    for (int i : thinned(trace)) {
      double y = pressure.at(inUnit(trace.gauge(i)));
      if (y > plotBottom) {
        continue; // pumping, below what the frame shows
      }
      svg.circle(
          minutes.at(minute(run, trace.seconds(i))),
          y,
          dense ? 1.8 : 3.2,
          earlier ? "curve-reading curve-earlier" : "curve-reading");
    }
  }

  /**
   * The readings that are drawn: all, or of each stretch of a long trace the lowest and the
   * highest, so that nothing that happened for a moment is lost.
   */
  static List<Integer> thinned(Trace trace) {
    int stretch = 2 * Math.max(1, trace.size() / MOST_POINTS);
    List<Integer> drawn = new ArrayList<>();
    for (int from = 0; from < trace.size(); from += stretch) {
      int to = Math.min(trace.size(), from + stretch);
      int low = from;
      int high = from;
      for (int i = from + 1; i < to; i++) {
        low = trace.gauge(i) < trace.gauge(low) ? i : low;
        high = trace.gauge(i) >= trace.gauge(high) ? i : high;
      }
      drawn.add(Math.min(low, high));
      if (low != high) {
        drawn.add(Math.max(low, high));
      }
    }
    return drawn;
  }

  /** Every event is a line; names stand where there is room, the telling ones first. */
  private void flags() {
    Run run = curve.runs().get(curve.runs().size() - 1);
    List<double[]> taken = new ArrayList<>();
    run.trace().events().stream()
        .sorted(Comparator.comparingInt(e -> ORDER.indexOf(e.kind())))
        .limit(MOST_FLAGS)
        .forEach(e -> flag(e, minutes.at(minute(run, e.seconds())), taken));
  }

  private void flag(TraceEvent event, double x, List<double[]> taken) {
    if (x < minutes.from() - 1 || x > minutes.to() + 1) {
      return;
    }
    svg.line(x, 28, x, plotBottom, "curve-flag");
    String text = curve.words().events().getOrDefault(event.kind().word(), event.kind().word());
    double length = 7.2 * text.length() + 18;
    boolean left = x + length > width;
    double from = left ? x - length : x;
    if (taken.stream().anyMatch(t -> from < t[1] && from + length > t[0])) {
      return;
    }
    taken.add(new double[] {from, from + length});
    double sign = left ? -1 : 1;
    svg.path(
        String.format(
            Locale.ROOT,
            "M%.1f,4h%.1fl%.1f,%.1fl%.1f,%.1fh%.1fz",
            x,
            sign * length,
            -sign * 6,
            FLAG_HEIGHT / 2,
            sign * 6,
            FLAG_HEIGHT / 2,
            -sign * length),
        "curve-flagbox");
    svg.text(x + sign * 7, 18, left ? "end" : "start", "curve-flagtext", text);
  }

  /** Which curve is which, in the corner where least is drawn. */
  private void names() {
    double left = minutes.from() + 8;
    double right = minutes.to() - NAMES_WIDTH;
    double x = covered(left) <= covered(right) ? left : right;
    for (int i = 0; i < curve.runs().size(); i++) {
      Run run = curve.runs().get(i);
      double y = plotBottom - 30 + 17 * i;
      svg.line(x, y - 4, x + 30, y - 4, i == 0 ? "curve-fit curve-earlier" : "curve-fit");
      svg.text(x + 38, y, "start", "curve-label", run.name());
    }
  }

  /** How many readings, and whether the words of the maker's rule, would be under the names. */
  private long covered(double x) {
    long readings = 0;
    for (Run run : curve.runs()) {
      for (int i = 0; i < run.trace().size(); i++) {
        double at = minutes.at(minute(run, run.trace().seconds(i)));
        double y = pressure.at(inUnit(run.trace().gauge(i)));
        readings += at >= x && at <= x + NAMES_WIDTH && y >= plotBottom - NAMES_HEIGHT ? 1 : 0;
      }
    }
    boolean rule = curve.makerRule().isPresent() && !plain && x == minutes.from() + 8;
    return readings + (rule ? MOST_POINTS : 0);
  }

  private void temperature() {
    Run run = curve.runs().get(curve.runs().size() - 1);
    Trace trace = run.trace();
    if (!temperature || !hasTemperature(trace)) {
      return;
    }
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < trace.size(); i++) {
      if (trace.hasTemperature(i)) {
        low = Math.min(low, trace.celsius(i));
        high = Math.max(high, trace.celsius(i));
      }
    }
    double middle = (low + high) / 2;
    double half = Math.max(0.5, (high - low) / 2);
    Axis celsius = Axis.round(middle - half, middle + half, 2, plotBottom + 106, plotBottom + 60);
    svg.text(minutes.to(), plotBottom + 37, "end", "curve-unit", curve.words().temperature());
    for (double tick : celsius.ticks()) {
      svg.line(minutes.from(), celsius.at(tick), minutes.to(), celsius.at(tick), "curve-grid");
      svg.text(minutes.from() - 8, celsius.at(tick) + 4, "end", "curve-tick", celsius.label(tick));
    }
    int step = Math.max(1, trace.size() / MOST_POINTS);
    for (int i = 0; i < trace.size(); i += step) {
      if (trace.hasTemperature(i)) {
        svg.circle(
            minutes.at(minute(run, trace.seconds(i))),
            celsius.at(trace.celsius(i)),
            2,
            "curve-temperature");
      }
    }
  }

  private static boolean hasTemperature(Trace trace) {
    for (int i = 0; i < trace.size(); i++) {
      if (trace.hasTemperature(i)) {
        return true;
      }
    }
    return false;
  }

  private double firstMinute() {
    double first = 0;
    for (Run run : curve.runs()) {
      if (run.trace().size() > 0) {
        first = Math.min(first, minute(run, run.trace().seconds(0)));
      }
    }
    return first;
  }

  private double lastMinute() {
    double last = 0;
    for (Run run : curve.runs()) {
      if (run.trace().size() > 0) {
        last = Math.max(last, minute(run, run.trace().seconds(run.trace().size() - 1)));
      }
    }
    return last;
  }

  /** Pressures to show: those of the hold, its limits, and some air around them. */
  private double[] range() {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    if (curve.rated().isPresent()) {
      low = inUnit(curve.rated().getAsDouble());
      high = low;
    }
    for (Run run : curve.runs()) {
      Trace trace = run.trace();
      for (int i = 0; i < trace.size(); i++) {
        boolean held = trace.seconds(i) >= run.valveShut() - 1e-9;
        if (held || trace.size() < 12) {
          low = Math.min(low, inUnit(trace.gauge(i)));
        }
        if (held || curve.rated().isPresent()) {
          high = Math.max(high, inUnit(trace.gauge(i)));
        }
      }
    }
    if (low > high) {
      low = 0;
      high = 0;
    }
    double margin = Math.max(0.06 * (high - low), inUnit(1));
    return new double[] {low - margin, high + margin};
  }

  private double inUnit(double kilopascals) {
    return kilopascals / curve.unit().kilopascals();
  }

  private static double minute(Run run, double seconds) {
    return (seconds - run.valveShut()) / 60;
  }
}
