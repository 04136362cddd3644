package gotera.circuit;

import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import gotera.circuit.Circuit.Shape;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What became of an edit: the changed circuit, or why it makes no sense.
 *
 * @param circuit the circuit, unchanged where there is a problem
 * @param problem why it was refused
 */
public record Editing(Circuit circuit, Optional<Problem> problem) {
  private static final double STEP = 10;
  private static final double PART_WIDTH = 80;
  private static final double PART_HEIGHT = 50;

  /** Room between an added part and what is there already. */
  private static final double MARGIN = 14;

  /** Reasons to refuse an edit. */
  public enum Problem implements Worded {
    /** There is no such part, joint or branch. */
    UNKNOWN,
    /** The code is taken. */
    TAKEN,
    /** No place is left there that a finger could tell from its neighbours. */
    NO_ROOM,
    /** The part belongs to a feature. */
    OF_A_FEATURE,
    /** This branch cannot be cut out. */
    NOT_LOOPABLE
  }

  /** Applies edits in order; one that makes no sense any more is left out. */
  public static Circuit all(Circuit circuit, List<CircuitEdit> edits) {
    Circuit now = circuit;
    for (CircuitEdit edit : edits) {
      now = apply(now, edit).circuit();
    }
    return now;
  }

  /** Of some edits, in order, those that still make sense. */
  public static List<CircuitEdit> sensible(Circuit circuit, List<CircuitEdit> edits) {
    List<CircuitEdit> sensible = new ArrayList<>();
    Circuit now = circuit;
    for (CircuitEdit edit : edits) {
      Editing editing = apply(now, edit);
      if (editing.problem().isEmpty()) {
        sensible.add(edit);
      }
      now = editing.circuit();
    }
    return sensible;
  }

  /** Applies one edit. */
  public static Editing apply(Circuit c, CircuitEdit edit) {
    if (edit instanceof CircuitEdit.Rename e) {
      return rename(c, e);
    } else if (edit instanceof CircuitEdit.AddJoint e) {
      return addJoint(c, e);
    } else if (edit instanceof CircuitEdit.MoveJoint e) {
      return moveJoint(c, e);
    } else if (edit instanceof CircuitEdit.RemoveJoint e) {
      return c.joint(e.subject()).isEmpty()
          ? refused(c, Problem.UNKNOWN)
          : done(with(c, c.parts(), c.lines(), without(c.joints(), e.subject()), c.names()));
    } else if (edit instanceof CircuitEdit.AddPart e) {
      return addPart(c, e);
    } else if (edit instanceof CircuitEdit.MovePart e) {
      return movePart(c, e);
    } else if (edit instanceof CircuitEdit.RemovePart e) {
      return removePart(c, e);
    }
    return loopOff(c, (CircuitEdit.LoopOff) edit);
  }

  private static Editing rename(Circuit c, CircuitEdit.Rename e) {
    if (c.joint(e.subject()).isEmpty() && c.part(e.subject()).isEmpty()) {
      return refused(c, Problem.UNKNOWN);
    }
    Map<String, String> names = new HashMap<>(c.names());
    if (e.name().isBlank()) {
      names.remove(e.subject());
    } else {
      names.put(e.subject(), e.name());
    }
    return done(with(c, c.parts(), c.lines(), c.joints(), names));
  }

  private static Editing addJoint(Circuit c, CircuitEdit.AddJoint e) {
    if (taken(c, e.subject())) {
      return refused(c, Problem.TAKEN);
    }
    Optional<Part> part = c.part(e.part());
    if (part.isEmpty()) {
      return refused(c, Problem.UNKNOWN);
    }
    Optional<Point> room = room(c.joints(), part.get(), e.spot());
    if (room.isEmpty()) {
      return refused(c, Problem.NO_ROOM);
    }
    List<Joint> joints = new ArrayList<>(c.joints());
    joints.add(new Joint(e.subject(), e.part(), part.get().branch(), room.get(), e.fastening()));
    return done(with(c, c.parts(), c.lines(), joints, named(c, e.subject(), e.name())));
  }

  private static Editing moveJoint(Circuit c, CircuitEdit.MoveJoint e) {
    Optional<Joint> joint = c.joint(e.subject());
    Optional<Part> part = c.part(e.part());
    if (joint.isEmpty() || part.isEmpty()) {
      return refused(c, Problem.UNKNOWN);
    }
    List<Joint> others = without(c.joints(), e.subject());
    Optional<Point> room = room(others, part.get(), e.spot());
    if (room.isEmpty()) {
      return refused(c, Problem.NO_ROOM);
    }
    Point from = joint.get().at();
    List<Joint> joints = new ArrayList<>(others);
    joints.add(joint.get().movedTo(room.get()));
    // a hose follows its end
    List<Line> lines = c.lines().stream().map(l -> pulled(l, from, room.get())).toList();
    return done(with(c, c.parts(), lines, joints, c.names()));
  }

  private static Line pulled(Line line, Point from, Point to) {
    List<Point> points = new ArrayList<>(line.points());
    for (int end : new int[] {0, points.size() - 1}) {
      if (points.get(end).equals(from)) {
        points.set(end, to);
      }
    }
    return new Line(line.code(), line.branch(), points, line.inUse());
  }

  private static Editing addPart(Circuit c, CircuitEdit.AddPart e) {
    if (taken(c, e.subject())) {
      return refused(c, Problem.TAKEN);
    }
    return roomForPart(c, e.region())
        .map(
            at -> {
              List<Part> parts = new ArrayList<>(c.parts());
              parts.add(added(e.subject(), at));
              return done(with(c, parts, c.lines(), c.joints(), named(c, e.subject(), e.name())));
            })
        .orElseGet(() -> refused(c, Problem.NO_ROOM));
  }

  private static Editing movePart(Circuit c, CircuitEdit.MovePart e) {
    Optional<Part> part = c.part(e.subject());
    if (part.isEmpty()) {
      return refused(c, Problem.UNKNOWN);
    }
    if (!isAdded(part.get())) {
      return refused(c, Problem.OF_A_FEATURE);
    }
    Circuit rest =
        with(
            c,
            keep(c.parts(), p -> !p.code().equals(e.subject())),
            c.lines(),
            keep(c.joints(), j -> !j.part().equals(e.subject())),
            c.names());
    Optional<Point> room = roomForPart(rest, e.region());
    if (room.isEmpty()) {
      return refused(c, Problem.NO_ROOM);
    }
    double dx = room.get().x() - part.get().x();
    double dy = room.get().y() - part.get().y();
    List<Part> parts = new ArrayList<>(rest.parts());
    parts.add(added(e.subject(), room.get()));
    List<Joint> joints = new ArrayList<>(rest.joints());
    keep(c.joints(), j -> j.part().equals(e.subject()))
        .forEach(j -> joints.add(j.movedTo(new Point(j.at().x() + dx, j.at().y() + dy))));
    return done(with(c, parts, c.lines(), joints, c.names()));
  }

  private static Editing removePart(Circuit c, CircuitEdit.RemovePart e) {
    Optional<Part> part = c.part(e.subject());
    if (part.isEmpty()) {
      return refused(c, Problem.UNKNOWN);
    }
    if (!isAdded(part.get())) {
      return refused(c, Problem.OF_A_FEATURE);
    }
    return done(
        with(
            c,
            keep(c.parts(), p -> !p.code().equals(e.subject())),
            c.lines(),
            keep(c.joints(), j -> !j.part().equals(e.subject())),
            c.names()));
  }

  /** The branch's joints leave the circuit but for a loop where the first of them was. */
  private static Editing loopOff(Circuit c, CircuitEdit.LoopOff e) {
    Optional<Branch> found = Worded.of(Branch.class, e.subject());
    if (found.isEmpty() || c.joints().stream().noneMatch(j -> j.branch() == found.get())) {
      return refused(c, Problem.UNKNOWN);
    }
    Branch branch = found.get();
    if (!branch.canBeLoopedOff()) {
      return refused(c, Problem.NOT_LOOPABLE);
    }
    Predicate<Branch> off =
        // the rear heater hangs on the front one's hoses
        b -> b == branch || (branch == Branch.HEATER && b == Branch.REAR_HEATER);
    // it is looped where it leaves the engine: the first end of its first line, or its first joint
    Point at =
        c.lines().stream()
            .filter(l -> l.branch() == branch)
            .map(l -> l.points().get(0))
            .findFirst()
            .orElseGet(
                () ->
                    c.joints().stream()
                        .filter(j -> j.branch() == branch)
                        .findFirst()
                        .orElseThrow()
                        .at());
    List<Joint> joints = new ArrayList<>(keep(c.joints(), j -> !off.test(j.branch())));
    joints.add(new Joint("loop." + branch.word(), "loop", Branch.ENGINE, at, Fastening.LOOP));
    return done(
        with(
            c,
            c.parts().stream().map(p -> off.test(p.branch()) ? p.loopedOff() : p).toList(),
            c.lines().stream().map(l -> off.test(l.branch()) ? l.loopedOff() : l).toList(),
            joints,
            c.names()));
  }

  /** The free place nearest to a spot of a part. */
  private static Optional<Point> room(List<Joint> joints, Part part, CircuitEdit.Spot spot) {
    Point wanted = spot.on(part);
    List<Point> free = new ArrayList<>();
    for (double x = part.x(); x <= part.x() + part.width(); x += STEP) {
      for (double y = part.y(); y <= part.y() + part.height(); y += STEP) {
        free.add(new Point(x, y));
      }
    }
    free.add(wanted);
    return free.stream()
        .filter(p -> joints.stream().allMatch(j -> j.at().distance(p) > Circuit.TOUCH))
        .min(Comparator.comparingDouble(p -> p.distance(wanted)));
  }

  private static Optional<Point> roomForPart(Circuit c, CircuitEdit.Region region) {
    for (double y = 40; y + PART_HEIGHT <= Circuit.HEIGHT - 40; y += STEP) {
      for (double x = region.from(); x + PART_WIDTH <= region.to(); x += STEP) {
        Part around =
            new Part(
                "room",
                Shape.BOX,
                Branch.ENGINE,
                x - MARGIN,
                y - MARGIN,
                PART_WIDTH + 2 * MARGIN,
                PART_HEIGHT + 2 * MARGIN);
        if (c.parts().stream().noneMatch(around::overlaps)
            && c.joints().stream().noneMatch(j -> covers(around, j.at()))
            && c.lines().stream().noneMatch(l -> crosses(l, around))) {
          return Optional.of(new Point(x, y));
        }
      }
    }
    return Optional.empty();
  }

  private static boolean crosses(Line line, Part around) {
    for (int i = 1; i < line.points().size(); i++) {
      Point a = line.points().get(i - 1);
      Point b = line.points().get(i);
      int steps = (int) Math.ceil(a.distance(b) / STEP);
      for (int k = 0; k <= steps; k++) {
        double f = steps == 0 ? 0 : (double) k / steps;
        if (covers(around, new Point(a.x() + f * (b.x() - a.x()), a.y() + f * (b.y() - a.y())))) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean covers(Part part, Point at) {
    return at.x() > part.x()
        && at.x() < part.x() + part.width()
        && at.y() > part.y()
        && at.y() < part.y() + part.height();
  }

  private static Part added(String code, Point at) {
    return new Part(code, Shape.BOX, Branch.ENGINE, at.x(), at.y(), PART_WIDTH, PART_HEIGHT);
  }

  private static boolean isAdded(Part part) {
    return part.code().startsWith("added-");
  }

  private static boolean taken(Circuit c, String code) {
    return c.joint(code).isPresent() || c.part(code).isPresent();
  }

  private static Map<String, String> named(Circuit c, String code, String name) {
    Map<String, String> names = new HashMap<>(c.names());
    names.put(code, name);
    return names;
  }

  private static List<Joint> without(List<Joint> joints, String code) {
    return keep(joints, j -> !j.code().equals(code));
  }

  private static <T> List<T> keep(List<T> of, Predicate<T> which) {
    return of.stream().filter(which).toList();
  }

  private static Circuit with(
      Circuit c,
      List<Part> parts,
      List<Line> lines,
      List<Joint> joints,
      Map<String, String> names) {
    List<Joint> sorted = new ArrayList<>(joints);
    sorted.sort(Comparator.comparingDouble((Joint j) -> j.at().y()).thenComparing(Joint::code));
    return new Circuit(parts, lines, sorted, names);
  }

  private static Editing done(Circuit circuit) {
    return new Editing(circuit, Optional.empty());
  }

  private static Editing refused(Circuit circuit, Problem problem) {
    return new Editing(circuit, Optional.of(problem));
  }
}
