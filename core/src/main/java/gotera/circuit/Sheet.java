package gotera.circuit;

import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import gotera.circuit.Circuit.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** A sheet that a circuit is put together on. */
final class Sheet {
  private final List<Part> parts = new ArrayList<>();
  private final List<Line> lines = new ArrayList<>();
  private final List<Joint> joints = new ArrayList<>();
  private final Fastening hoses;

  /**
   * An empty sheet.
   *
   * @param hoses how hoses are held
   */
  Sheet(Fastening hoses) {
    this.hoses = hoses;
  }

  Fastening hoses() {
    return hoses;
  }

  void part(String code, Shape shape, Branch branch, double x, double y, double w, double h) {
    parts.add(new Part(code, shape, branch, x, y, w, h));
  }

  void joint(String code, Branch branch, double x, double y, Fastening fastening) {
    String part = code.substring(0, code.indexOf('.'));
    joints.add(new Joint(code, part, branch, new Point(x, y), fastening));
  }

  void line(String code, Branch branch, double... xy) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < xy.length; i += 2) {
      points.add(new Point(xy[i], xy[i + 1]));
    }
    lines.add(new Line(code, branch, points, true));
  }

  /** The circuit; its joints from top to bottom. */
  Circuit circuit() {
    List<Joint> sorted = new ArrayList<>(joints);
    sorted.sort(Comparator.comparingDouble((Joint j) -> j.at().y()).thenComparing(Joint::code));
    return new Circuit(parts, lines, sorted, Map.of());
  }
}
