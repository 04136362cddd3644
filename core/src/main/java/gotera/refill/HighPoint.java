package gotera.refill;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Where air gathers when a circuit is filled: the top of every part that holds coolant, and every
 * hose that runs higher than both its ends.
 *
 * @param code word of the part or hose
 * @param branch where in the flow it lies
 * @param height of it on the sheet; the smaller the higher
 */
public record HighPoint(String code, Branch branch, double height) {
  /** Parts on the drawing without coolant in them. */
  private static final Set<String> DRY =
      Set.of("oil-pan", "engine-mount", "gearbox", "gearbox-cooler", "bottle", "heater-valve");

  /** Lines without coolant that is moved. */
  private static final Set<String> DRY_LINES = Set.of("gearbox-lines", "overflow-hose");

  /** All of a circuit as it is now, the lowest first: so air is driven out from below upwards. */
  public static List<HighPoint> of(Circuit circuit) {
    List<HighPoint> all = new ArrayList<>();
    for (Part p : circuit.parts()) {
      if (p.inUse() && !DRY.contains(p.code())) {
        all.add(new HighPoint(p.code(), p.branch(), p.y()));
      }
    }
    for (Line l : circuit.lines()) {
      double top = l.points().stream().mapToDouble(Point::y).min().orElse(0);
      double ends = Math.min(l.points().get(0).y(), l.points().get(l.points().size() - 1).y());
      if (l.inUse() && top < ends && !DRY_LINES.contains(l.code())) {
        all.add(new HighPoint(l.code(), l.branch(), top));
      }
    }
    all.sort(Comparator.comparingDouble(HighPoint::height).reversed());
    return List.copyOf(all);
  }
}
