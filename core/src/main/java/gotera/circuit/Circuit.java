package gotera.circuit;

import java.util.List;
import java.util.Optional;

/**
 * The cooling circuit of one vehicle: parts at their height, lines in the direction of flow, and
 * the joints that can leak. Coordinates are plain numbers on a sheet, x to the rear, y downwards.
 *
 * @param code the word for it
 * @param parts its parts
 * @param lines its hoses and pipes
 * @param joints the places that can leak, in the order one looks at them: top to bottom
 */
public record Circuit(String code, List<Part> parts, List<Line> lines, List<Joint> joints) {
  /** Width of the sheet. */
  public static final double WIDTH = 1000;

  /** Height of the sheet. */
  public static final double HEIGHT = 570;

  /** Keeps its own copies. */
  public Circuit {
    parts = List.copyOf(parts);
    lines = List.copyOf(lines);
    joints = List.copyOf(joints);
  }

  /** The joint a word means. */
  public Optional<Joint> joint(String jointCode) {
    return joints.stream().filter(j -> j.code().equals(jointCode)).findFirst();
  }

  /**
   * A part.
   *
   * @param code the word for it
   * @param shape its outline
   * @param x left edge
   * @param y upper edge
   * @param width its width
   * @param height its height
   * @param labelX where its name stands, middle of the text
   * @param labelY base line of its name
   */
  public record Part(
      String code,
      Shape shape,
      double x,
      double y,
      double width,
      double height,
      double labelX,
      double labelY) {}

  /** Outlines of parts. */
  public enum Shape {
    /** A plain box. */
    BOX,
    /** A box with tubes between two tanks. */
    CORE,
    /** A wheel. */
    WHEEL,
    /** An engine block, wider above. */
    BLOCK,
    /** A pan, narrower below. */
    PAN
  }

  /**
   * A hose or pipe, drawn as one cubic curve in the direction of flow.
   *
   * @param code the word for it
   * @param points x and y of start, two control points and end
   * @param labelX where its name stands, middle of the text
   * @param labelY base line of its name
   */
  public record Line(String code, List<Double> points, double labelX, double labelY) {}

  /**
   * A place that can leak.
   *
   * @param code the word for it, part and place
   * @param x where it is
   * @param y where it is
   * @param fastening the word for how it is held
   * @param labelDx where its name begins, to the right of it; where it ends, if negative
   * @param labelDy how far below it the base line of its name lies
   */
  public record Joint(
      String code, double x, double y, String fastening, double labelDx, double labelDy) {}
}
