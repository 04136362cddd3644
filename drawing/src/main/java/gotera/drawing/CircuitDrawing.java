package gotera.drawing;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import gotera.circuit.DripTrace;
import gotera.drawing.CircuitView.Glow;
import gotera.drawing.CircuitView.JointView;
import gotera.drawing.CircuitView.Mark;
import java.util.ArrayList;
import java.util.List;

/** Draws a circuit with what was seen at its joints. Each joint is a link. */
public final class CircuitDrawing {
  /**
   * On the narrowest drawing, 690 px wide, a target of 44 px; overlapping ones go to the nearest.
   */
  private static final double TOUCH = 32;

  /** Radius of a halo: least, and what certainty adds (sheet units). */
  private static final double HALO = 12;

  private static final double HALO_OF_CERTAINTY = 46;

  /** Below this a joint has no halo (our judgement, untested). */
  private static final double SUSPECTED_FROM = 0.03;

  /** Paths drawn from where it drips. */
  private static final int MOST_PATHS = 3;

  private static final double BEND = 26;

  private final CircuitView view;
  private final CircuitView.Words words;
  private final Svg svg;
  private final Labels labels;
  private final List<Labels.Tie> ties = new ArrayList<>();

  private CircuitDrawing(CircuitView view, CircuitView.Words words) {
    this.view = view;
    this.words = words;
    this.svg =
        Svg.openGroup(
            Circuit.WIDTH,
            Circuit.HEIGHT,
            view.dark() ? "circuit circuit-dark" : "circuit",
            words.name());
    this.labels = new Labels(view.circuit());
  }

  /** The drawing. */
  public static String of(CircuitView view, CircuitView.Words words) {
    return new CircuitDrawing(view, words).draw();
  }

  /** Where the names stand on a drawing, in the order they were placed. */
  static List<Labels.Placed> placed(CircuitView view, CircuitView.Words words) {
    CircuitDrawing drawing = new CircuitDrawing(view, words);
    List<Labels.Placed> all = new ArrayList<>(drawing.jointNames());
    all.addAll(drawing.partNames());
    return all;
  }

  private String draw() {
    Circuit circuit = view.circuit();
    if (circuit.hasCabin()) {
      svg.line(Circuit.FIREWALL, 30, Circuit.FIREWALL, 580, "circuit-wall");
      Labels.Placed wall = new Labels.Placed(words.part("firewall"), Circuit.FIREWALL, 22);
      labels.taken(wall);
      text(wall, "circuit-part");
    }
    circuit.parts().stream().filter(p -> p.shape() != Circuit.Shape.VALVE).forEach(this::part);
    circuit.lines().forEach(this::line);
    circuit.parts().stream().filter(p -> p.shape() == Circuit.Shape.VALVE).forEach(this::part);
    circuit.joints().forEach(this::halo);
    view.drips().ifPresent(this::paths);
    // what was found has the first choice of a place
    List<Labels.Placed> found = jointNames();
    List<Labels.Placed> names = partNames();
    ties.forEach(t -> svg.line(t.name().x(), t.name().y(), t.thing().x(), t.thing().y(), "tie"));
    names.forEach(p -> text(p, "circuit-part"));
    circuit.joints().forEach(this::joint);
    found.forEach(p -> text(p, "joint-label"));
    return svg.close();
  }

  private List<Labels.Placed> partNames() {
    List<Labels.Placed> placed = new ArrayList<>();
    for (Part part : view.circuit().parts()) {
      Labels.Placed name = labels.part(part, words.part(part.code()));
      Labels.tie(name, part).ifPresent(ties::add);
      placed.add(name);
    }
    for (Line line : view.circuit().lines()) {
      Labels.Placed name = labels.line(line, words.part(line.code()));
      Labels.tie(name, line).ifPresent(ties::add);
      placed.add(name);
    }
    return placed;
  }

  private List<Labels.Placed> jointNames() {
    return view.circuit().joints().stream()
        .filter(j -> view(j).named() || view.chosen().filter(j.code()::equals).isPresent())
        .map(this::jointName)
        .toList();
  }

  private Labels.Placed jointName(Joint joint) {
    Labels.Placed name = labels.joint(joint, view(joint).label());
    Labels.tie(name, joint).ifPresent(ties::add);
    return name;
  }

  private JointView view(Joint joint) {
    return view.joints()
        .getOrDefault(
            joint.code(), new JointView(Mark.OPEN, joint.code(), joint.code(), 0, Glow.NONE));
  }

  private void text(Labels.Placed placed, String styleClass) {
    if (labels.overHose(placed)) {
      Labels.Box box = placed.box();
      svg.rect(box.x(), box.y(), box.width(), box.height(), 4, "name-plate");
    }
    svg.text(placed.x(), placed.y(), "middle", styleClass, placed.text());
  }

  private void part(Part p) {
    String body = "circuit-body" + paleness(p.inUse(), p.branch());
    switch (p.shape()) {
      case BOX, VALVE -> svg.rect(p.x(), p.y(), p.width(), p.height(), 9, body);
      case WHEEL -> svg.circle(p.x() + p.width() / 2, p.y() + p.height() / 2, p.width() / 2, body);
      case CORE -> {
        svg.rect(p.x(), p.y(), p.width(), p.height(), 8, body);
        for (double x = p.x() + 14; x < p.x() + p.width() - 6; x += 12) {
          svg.line(x, p.y() + 42, x, p.y() + p.height() - 48, "circuit-tube");
        }
        svg.rect(p.x(), p.y(), p.width(), 42, 7, body);
        svg.rect(p.x(), p.y() + p.height() - 48, p.width(), 48, 7, body);
      }
      case PAN -> {
        double in = p.width() / 10;
        svg.path(
            "M%s,%sh%sl%s,%sh%sz"
                .formatted(
                    Svg.number(p.x()),
                    Svg.number(p.y()),
                    Svg.number(p.width()),
                    Svg.number(-in),
                    Svg.number(p.height()),
                    Svg.number(2 * in - p.width())),
            body);
      }
    }
  }

  private String paleness(boolean inUse, Branch branch) {
    return !inUse ? " circuit-off" : view.still().contains(branch) ? " circuit-still" : "";
  }

  private void line(Line line) {
    String d = rounded(line.points());
    String pale = paleness(line.inUse(), line.branch());
    svg.path(d, "circuit-hose-edge" + pale);
    svg.path(d, "circuit-hose" + pale);
    if (line.inUse()) {
      svg.path(d, "circuit-flow");
    }
  }

  /** A line with its corners rounded. */
  private static String rounded(List<Point> points) {
    StringBuilder d = new StringBuilder("M").append(xy(points.get(0)));
    for (int i = 1; i < points.size() - 1; i++) {
      Point before = points.get(i - 1);
      Point corner = points.get(i);
      Point after = points.get(i + 1);
      d.append('L').append(xy(towards(corner, before)));
      d.append('Q').append(xy(corner)).append(' ').append(xy(towards(corner, after)));
    }
    return d.append('L').append(xy(points.get(points.size() - 1))).toString();
  }

  private static Point towards(Point from, Point to) {
    double distance = from.distance(to);
    double f = distance == 0 ? 0 : Math.min(BEND, distance / 2) / distance;
    return new Point(from.x() + f * (to.x() - from.x()), from.y() + f * (to.y() - from.y()));
  }

  private static String xy(Point p) {
    return Svg.number(p.x()) + "," + Svg.number(p.y());
  }

  private void halo(Joint joint) {
    double suspicion = view(joint).suspicion();
    if (suspicion >= SUSPECTED_FROM) {
      svg.circle(
          joint.at().x(),
          joint.at().y(),
          HALO + HALO_OF_CERTAINTY * Math.sqrt(suspicion),
          "joint-halo");
    }
  }

  private void paths(DripTrace drips) {
    Point spot = drips.spot().at();
    List<String> likeliest = drips.likeliest();
    for (int i = 0; i < Math.min(MOST_PATHS, likeliest.size()); i++) {
      Point at = view.circuit().joint(likeliest.get(i)).orElseThrow().at();
      // down first, then along
      Point corner = new Point(at.x(), (at.y() + 3 * spot.y()) / 4);
      svg.path(
          "M" + xy(spot) + "Q" + xy(corner) + " " + xy(at),
          i == 0 ? "drip-path drip-first" : "drip-path");
    }
    svg.raw(
        "<path transform=\"translate(%s)\" class=\"drip-spot\" d=\"M0,-20 C10,-5 14,1 14,7 A14,14 0 0 1 -14,7 C-14,1 -10,-5 0,-20z\"/>"
            .formatted(xy(spot)));
    Labels.Placed name = labels.spot(spot, words.part("drips-here"));
    text(name, "joint-label");
  }

  private void joint(Joint joint) {
    JointView seen = view(joint);
    boolean chosen = view.chosen().filter(joint.code()::equals).isPresent();
    double x = joint.at().x();
    double y = joint.at().y();
    svg.raw(
        "<a href=\"%s\" class=\"joint joint-%s%s\" aria-label=\"%s\" id=\"joint-%s\"%s>"
            .formatted(
                Svg.escape(words.address(joint.code())),
                seen.mark().word(),
                chosen ? " joint-chosen" : "",
                Svg.escape(seen.spoken()),
                Svg.escape(joint.code()),
                chosen ? " aria-current=\"true\"" : ""));
    svg.circle(x, y, TOUCH, "joint-touch");
    if (seen.glow() != Glow.NONE) {
      svg.circle(x, y, 19, seen.glow() == Glow.NEW ? "joint-glow" : "joint-glow joint-glow-old");
    }
    switch (seen.mark()) {
      case OPEN -> svg.circle(x, y, 7, "joint-dot");
      case DRY -> svg.circle(x, y, 8, "joint-dot");
      case STAINED -> svg.rect(x - 8, y - 8, 16, 16, 3, "joint-dot");
      case WET ->
          svg.raw(
              "<path transform=\"translate(%s)\" class=\"joint-dot\" d=\"M0,-17 C9,-4 12,1 12,6 A12,12 0 0 1 -12,6 C-12,1 -9,-4 0,-17z\"/>"
                  .formatted(xy(joint.at())));
    }
    svg.raw("</a>");
  }
}
