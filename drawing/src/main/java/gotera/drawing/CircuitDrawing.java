package gotera.drawing;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Draws a circuit with what was seen at its joints. Each joint is a link. */
public final class CircuitDrawing {
  private static final double TOUCH = 24;

  private CircuitDrawing() {}

  /** What was seen at a joint. */
  public enum Mark {
    /** Nobody has looked. */
    OPEN,
    /** Looked at and dry. */
    DRY,
    /** Wet. */
    WET,
    /** Stained or crusted. */
    STAINED
  }

  /**
   * What to draw at a joint.
   *
   * @param mark what was seen
   * @param label its name and figure, shown beside it where something was found
   * @param spoken what is read aloud
   */
  public record JointView(Mark mark, String label, String spoken) {}

  /**
   * The drawing.
   *
   * @param circuit the circuit
   * @param joints what to draw at each joint, by its code
   * @param selected the joint being looked at
   * @param name what is read aloud for the whole
   * @param word the word for a part or line
   * @param address the address of a joint
   */
  public static String of(
      Circuit circuit,
      Map<String, JointView> joints,
      Optional<String> selected,
      String name,
      UnaryOperator<String> word,
      UnaryOperator<String> address) {
    Svg svg = Svg.openGroup(Circuit.WIDTH, Circuit.HEIGHT, "circuit", name);
    wall(svg, word);
    circuit.parts().forEach(p -> part(svg, p));
    circuit.lines().forEach(l -> line(svg, l));
    circuit
        .parts()
        .forEach(
            p -> svg.text(p.labelX(), p.labelY(), "middle", "circuit-part", word.apply(p.code())));
    circuit
        .lines()
        .forEach(
            l -> svg.text(l.labelX(), l.labelY(), "middle", "circuit-part", word.apply(l.code())));
    for (Joint joint : circuit.joints()) {
      JointView view =
          joints.getOrDefault(joint.code(), new JointView(Mark.OPEN, joint.code(), joint.code()));
      boolean chosen = selected.filter(joint.code()::equals).isPresent();
      joint(svg, joint, view, chosen, address.apply(joint.code()));
    }
    return svg.close();
  }

  private static void wall(Svg svg, UnaryOperator<String> word) {
    svg.line(846, 40, 846, 550, "circuit-wall");
    svg.text(854, 54, "start", "circuit-part", word.apply("firewall"));
  }

  private static void part(Svg svg, Part p) {
    switch (p.shape()) {
      case BOX -> svg.rect(p.x(), p.y(), p.width(), p.height(), 9, "circuit-body");
      case WHEEL ->
          svg.circle(p.x() + p.width() / 2, p.y() + p.height() / 2, p.width() / 2, "circuit-body");
      case CORE -> {
        svg.rect(p.x(), p.y(), p.width(), p.height(), 8, "circuit-body");
        for (double x = p.x() + 14; x < p.x() + p.width() - 6; x += 12) {
          svg.line(x, p.y() + 42, x, p.y() + p.height() - 48, "circuit-tube");
        }
        svg.rect(p.x(), p.y(), p.width(), 42, 7, "circuit-body");
        svg.rect(p.x(), p.y() + p.height() - 48, p.width(), 48, 7, "circuit-body");
      }
      case BLOCK ->
          svg.path(
              polygon(
                  p.x() + 20,
                  p.y(),
                  p.x() + p.width() - 20,
                  p.y(),
                  p.x() + p.width(),
                  p.y() + 30,
                  p.x() + p.width(),
                  p.y() + p.height(),
                  p.x(),
                  p.y() + p.height(),
                  p.x(),
                  p.y() + 30),
              "circuit-body");
      case PAN ->
          svg.path(
              polygon(
                  p.x(),
                  p.y(),
                  p.x() + p.width(),
                  p.y(),
                  p.x() + p.width() - 26,
                  p.y() + p.height(),
                  p.x() + 26,
                  p.y() + p.height()),
              "circuit-body");
    }
  }

  private static String polygon(double... xy) {
    StringBuilder d = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      d.append(i == 0 ? 'M' : 'L')
          .append(Svg.number(xy[i]))
          .append(',')
          .append(Svg.number(xy[i + 1]));
    }
    return d.append('Z').toString();
  }

  private static void line(Svg svg, Line line) {
    List<Double> p = line.points();
    String d =
        String.format(
            Locale.ROOT,
            "M%.0f,%.0f C%.0f,%.0f %.0f,%.0f %.0f,%.0f",
            p.get(0),
            p.get(1),
            p.get(2),
            p.get(3),
            p.get(4),
            p.get(5),
            p.get(6),
            p.get(7));
    svg.path(d, "circuit-hose-edge").path(d, "circuit-hose").path(d, "circuit-flow");
  }

  private static void joint(Svg svg, Joint joint, JointView view, boolean chosen, String address) {
    svg.raw(
        "<a href=\"%s\" class=\"joint joint-%s%s\" aria-label=\"%s\" id=\"joint-%s\"%s>"
            .formatted(
                Svg.escape(address),
                view.mark().name().toLowerCase(Locale.ROOT),
                chosen ? " joint-chosen" : "",
                Svg.escape(view.spoken()),
                Svg.escape(joint.code()),
                chosen ? " aria-current=\"true\"" : ""));
    svg.circle(joint.x(), joint.y(), TOUCH, "joint-touch");
    switch (view.mark()) {
      case OPEN -> svg.circle(joint.x(), joint.y(), 7, "joint-dot");
      case DRY -> svg.circle(joint.x(), joint.y(), 8, "joint-dot");
      case STAINED -> svg.rect(joint.x() - 8, joint.y() - 8, 16, 16, 3, "joint-dot");
      case WET ->
          svg.raw(
              "<path transform=\"translate(%s,%s)\" class=\"joint-dot\" d=\"M0,-17 C9,-4 12,1 12,6 A12,12 0 0 1 -12,6 C-12,1 -9,-4 0,-17z\"/>"
                  .formatted(Svg.number(joint.x()), Svg.number(joint.y())));
    }
    if (chosen || view.mark() == Mark.WET) {
      svg.text(
          joint.x() + joint.labelDx(),
          joint.y() + joint.labelDy(),
          joint.labelDx() > 0 ? "start" : "end",
          "joint-label",
          view.label());
    }
    svg.raw("</a>");
  }
}
