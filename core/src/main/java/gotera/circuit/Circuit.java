package gotera.circuit;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The cooling circuit of one vehicle: parts at their height, lines in the direction of flow, and
 * the joints that can leak. Coordinates are plain numbers on a sheet, x to the rear, y downwards.
 *
 * @param parts its parts
 * @param lines its hoses and pipes
 * @param joints the places that can leak, in the order one looks at them: top to bottom
 * @param names names given by the shop, by code of part or joint; others are words of the trade
 */
public record Circuit(
    List<Part> parts, List<Line> lines, List<Joint> joints, Map<String, String> names) {
  /** Width of the sheet. */
  public static final double WIDTH = 1000;

  /** Height of the sheet. */
  public static final double HEIGHT = 600;

  /** The wall between engine bay and cabin. */
  public static final double FIREWALL = 868;

  /** Joints above this height are looked at from above (our judgement, untested). */
  private static final double FROM_ABOVE = 330;

  /** Joints nearer than this cannot be told apart by a gloved finger (our judgement, untested). */
  public static final double TOUCH = 40;

  /** Keeps its own copies. */
  public Circuit {
    parts = List.copyOf(parts);
    lines = List.copyOf(lines);
    joints = List.copyOf(joints);
    names = Map.copyOf(names);
  }

  /** The joint a word means. */
  public Optional<Joint> joint(String code) {
    return joints.stream().filter(j -> j.code().equals(code)).findFirst();
  }

  /** The part a word means. */
  public Optional<Part> part(String code) {
    return parts.stream().filter(p -> p.code().equals(code)).findFirst();
  }

  /** Whether anything of it lies behind the firewall. */
  public boolean hasCabin() {
    return parts.stream().anyMatch(p -> p.x() > FIREWALL);
  }

  /**
   * A part.
   *
   * @param code the word for it
   * @param shape its outline
   * @param branch where in the flow it lies
   * @param x left edge
   * @param y upper edge
   * @param width its width
   * @param height its height
   * @param inUse whether coolant gets there now; not so once its branch is looped off
   */
  public record Part(
      String code,
      Shape shape,
      Branch branch,
      double x,
      double y,
      double width,
      double height,
      boolean inUse) {
    Part(String code, Shape shape, Branch branch, double x, double y, double width, double height) {
      this(code, shape, branch, x, y, width, height, true);
    }

    /** Whether they cover a common area. */
    public boolean overlaps(Part other) {
      return x < other.x + other.width
          && other.x < x + width
          && y < other.y + other.height
          && other.y < y + height;
    }

    Part loopedOff() {
      return new Part(code, shape, branch, x, y, width, height, false);
    }
  }

  /** Outlines of parts. */
  public enum Shape {
    /** A plain box. */
    BOX,
    /** A box with tubes between two tanks. */
    CORE,
    /** A wheel. */
    WHEEL,
    /** A pan or mount, narrower below. */
    PAN,
    /** A valve in a line. */
    VALVE
  }

  /**
   * A hose or pipe in the direction of flow.
   *
   * @param code the word for it
   * @param branch where in the flow it lies
   * @param points its corners, from start to end
   * @param inUse whether coolant flows there now
   */
  public record Line(String code, Branch branch, List<Point> points, boolean inUse) {
    /** Keeps its own copy. */
    public Line {
      points = List.copyOf(points);
    }

    Line loopedOff() {
      return new Line(code, branch, points, false);
    }
  }

  /** A point on the sheet. */
  public record Point(double x, double y) {
    /** Distance to another. */
    public double distance(Point other) {
      return Math.hypot(x - other.x, y - other.y);
    }
  }

  /**
   * A place that can leak.
   *
   * @param code the word for it, part and place
   * @param part the part or line it belongs to
   * @param branch where in the flow it lies
   * @param at where it is
   * @param fastening how it is held
   */
  public record Joint(String code, String part, Branch branch, Point at, Fastening fastening) {
    /** Whether one looks at it from above, not from below. */
    public boolean isSeenFromAbove() {
      return at.y() < FROM_ABOVE;
    }

    Joint movedTo(Point to) {
      return new Joint(code, part, branch, to, fastening);
    }
  }
}
