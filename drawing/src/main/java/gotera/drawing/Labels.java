package gotera.drawing;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds a place for each name on a circuit.
 *
 * <p>Names are placed one after the other: joints that are to be named, then parts, then lines.
 * Each tries the places near its thing and takes the one that covers least: a name over a name or
 * over a joint costs most, off the sheet as much, over a hose or a strange part little, far away
 * least. One pass, no taking back: with at most some forty names on a sheet of this size it finds
 * room for each, which the tests check over random circuits.
 */
final class Labels {
  /** Height of a line of text (sheet units). */
  static final double HEIGHT = 20;

  /** Width of a letter of the font on the sheet, rounded up (sheet units). */
  private static final double LETTER = 8.9;

  private static final double DOT = 12;
  private static final double OVER_NAME = 1000;
  private static final double OVER_HOSE = 60;
  private static final double OVER_PART = 0.1;
  private static final double FURTHER = 0.5;

  /** Half the width of a hose, and how far apart it is looked at (sheet units). */
  private static final double HOSE = 10;

  private static final double SAMPLE = 15;

  /** A name nearer than this stands beside its thing (sheet units). */
  private static final double BESIDE = 22;

  private final Circuit circuit;
  private final List<Box> names = new ArrayList<>();
  private final List<Point> onHoses = new ArrayList<>();

  Labels(Circuit circuit) {
    this.circuit = circuit;
    for (Line line : circuit.lines()) {
      for (int i = 1; i < line.points().size(); i++) {
        sample(line.points().get(i - 1), line.points().get(i));
      }
    }
    if (circuit.hasCabin()) {
      sample(new Point(Circuit.FIREWALL, 0), new Point(Circuit.FIREWALL, Circuit.HEIGHT));
    }
  }

  /** A name with its place: middle of the text, base line. */
  record Placed(String text, double x, double y) {
    Box box() {
      return Box.around(text, x, y - 5);
    }
  }

  /** An area on the sheet. */
  record Box(double x, double y, double width, double height) {
    static Box around(String text, double middleX, double middleY) {
      double width = text.length() * LETTER + 4;
      return new Box(middleX - width / 2, middleY - HEIGHT / 2, width, HEIGHT);
    }

    /** The point of the area that is nearest to another. */
    Point nearest(Point p) {
      return new Point(
          Math.max(x, Math.min(x + width, p.x())), Math.max(y, Math.min(y + height, p.y())));
    }

    boolean touches(Point p, double within) {
      return p.x() > x - within
          && p.x() < x + width + within
          && p.y() > y - within
          && p.y() < y + height + within;
    }

    double common(double ox, double oy, double ow, double oh) {
      double w = Math.min(x + width, ox + ow) - Math.max(x, ox);
      double h = Math.min(y + height, oy + oh) - Math.max(y, oy);
      return w > 0 && h > 0 ? w * h : 0;
    }
  }

  private void sample(Point a, Point b) {
    sample(a, b, onHoses);
  }

  private static void sample(Point a, Point b, List<Point> samples) {
    int steps = (int) Math.ceil(a.distance(b) / SAMPLE);
    for (int k = 0; k <= steps; k++) {
      double f = steps == 0 ? 0 : (double) k / steps;
      samples.add(new Point(a.x() + f * (b.x() - a.x()), a.y() + f * (b.y() - a.y())));
    }
  }

  /** A thin line between a name and its thing. */
  record Tie(Point name, Point thing) {}

  /** What ties a name to its part; nothing where it stands on it or beside it. */
  static Optional<Tie> tie(Placed name, Part part) {
    Box thing = new Box(part.x(), part.y(), part.width(), part.height());
    Box box = name.box();
    Point middle = new Point(box.x() + box.width() / 2, box.y() + box.height() / 2);
    return tie(box, List.of(thing.nearest(middle)));
  }

  /** What ties a name to its line. */
  static Optional<Tie> tie(Placed name, Line line) {
    List<Point> along = new ArrayList<>();
    for (int i = 1; i < line.points().size(); i++) {
      sample(line.points().get(i - 1), line.points().get(i), along);
    }
    return tie(name.box(), along);
  }

  /** What ties a name to its joint. */
  static Optional<Tie> tie(Placed name, Joint joint) {
    return tie(name.box(), List.of(joint.at()));
  }

  private static Optional<Tie> tie(Box box, List<Point> thing) {
    return thing.stream()
        .map(p -> new Tie(box.nearest(p), p))
        .min(Comparator.comparingDouble(t -> t.name().distance(t.thing())))
        .filter(t -> t.name().distance(t.thing()) > BESIDE);
  }

  /** Whether a name stands over a hose or the wall of the cabin. */
  boolean overHose(Placed name) {
    Box box = name.box();
    return onHoses.stream().anyMatch(p -> box.touches(p, HOSE));
  }

  /** Keeps an area free. */
  void taken(Placed placed) {
    names.add(placed.box());
  }

  Placed part(Part part, String text) {
    double half = text.length() * LETTER / 2 + 8;
    double middle = part.x() + part.width() / 2;
    List<Point> near = new ArrayList<>();
    for (double down = 0.5; down < 1; down += 0.1) {
      near.add(new Point(middle, part.y() + down * part.height()));
      near.add(new Point(middle, part.y() + (1 - down) * part.height()));
    }
    for (double off = 14; off < 100; off += 9) {
      near.add(new Point(middle, part.y() - off));
      near.add(new Point(middle, part.y() + part.height() + off));
      near.add(new Point(part.x() + half - 8, part.y() - off));
      near.add(new Point(part.x() + part.width() - half + 8, part.y() - off));
      near.add(new Point(part.x() + half - 8, part.y() + part.height() + off));
      near.add(new Point(part.x() - half - off + 14, part.y() + part.height() / 2));
      near.add(new Point(part.x() + part.width() + half + off - 14, part.y() + part.height() / 2));
    }
    return best(near, text, part.code());
  }

  Placed line(Line line, String text) {
    double half = text.length() * LETTER / 2;
    List<Point> near = new ArrayList<>();
    for (double off : new double[] {22, 30, 40, 54, 70, 90}) {
      for (int i = 1; i < line.points().size(); i++) {
        Point a = line.points().get(i - 1);
        Point b = line.points().get(i);
        for (double f = 0.5; f < 0.95; f += 0.1) {
          along(near, a, b, f, off, half);
          along(near, a, b, 1 - f, off, half);
        }
      }
    }
    return best(near, text, line.code());
  }

  private static void along(List<Point> near, Point a, Point b, double f, double off, double half) {
    double x = a.x() + f * (b.x() - a.x());
    double y = a.y() + f * (b.y() - a.y());
    near.add(new Point(x, y - off));
    near.add(new Point(x, y + off));
    near.add(new Point(x + half + off - 4, y));
    near.add(new Point(x - half - off + 4, y));
  }

  Placed joint(Joint joint, String text) {
    double half = text.length() * LETTER / 2;
    List<Point> near = new ArrayList<>();
    for (double off = 18; off < 130; off += 10) {
      for (double side : new double[] {half + off, -half - off}) {
        near.add(new Point(joint.at().x() + side, joint.at().y()));
      }
      for (double side : new double[] {half + 16, -half - 16, half / 2, -half / 2, 0}) {
        near.add(new Point(joint.at().x() + side, joint.at().y() + off + 4));
        near.add(new Point(joint.at().x() + side, joint.at().y() - off - 4));
      }
    }
    return best(near, text, joint.part());
  }

  Placed spot(Point at, String text) {
    double half = text.length() * LETTER / 2;
    return best(
        List.of(
            new Point(at.x(), at.y() + 32),
            new Point(at.x() + half + 22, at.y()),
            new Point(at.x() - half - 22, at.y())),
        text,
        "");
  }

  private Placed best(List<Point> near, String text, String own) {
    double half = text.length() * LETTER / 2 + 8;
    Point best = near.get(0);
    double least = Double.MAX_VALUE;
    for (int i = 0; i < near.size() && least > FURTHER * i; i++) {
      double x = Math.max(half, Math.min(Circuit.WIDTH - half, near.get(i).x()));
      double cost = FURTHER * i;
      cost += cost(Box.around(text, x, near.get(i).y()), own, least - cost);
      if (cost < least) {
        least = cost;
        best = new Point(x, near.get(i).y());
      }
    }
    Placed placed = new Placed(text, best.x(), best.y() + 5);
    taken(placed);
    return placed;
  }

  /** What a place costs; gives up counting once it costs more than the best so far. */
  private double cost(Box box, String own, double limit) {
    double off =
        box.width() * box.height() - box.common(4, 4, Circuit.WIDTH - 8, Circuit.HEIGHT - 8);
    double cost = OVER_NAME * off;
    for (Joint joint : circuit.joints()) {
      cost += OVER_NAME * box.common(joint.at().x() - DOT, joint.at().y() - DOT, 2 * DOT, 2 * DOT);
    }
    for (int i = 0; i < names.size() && cost <= limit; i++) {
      Box name = names.get(i);
      cost += OVER_NAME * box.common(name.x(), name.y(), name.width(), name.height());
    }
    for (int i = 0; i < onHoses.size() && cost <= limit; i++) {
      cost += box.touches(onHoses.get(i), HOSE) ? OVER_HOSE : 0;
    }
    for (int i = 0; i < circuit.parts().size() && cost <= limit; i++) {
      Part part = circuit.parts().get(i);
      if (!part.code().equals(own)) {
        cost += OVER_PART * box.common(part.x(), part.y(), part.width(), part.height());
      }
    }
    return cost;
  }
}
