package gotera.repair;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Line;
import gotera.circuit.Circuit.Part;
import gotera.circuit.Circuit.Point;
import java.util.List;
import java.util.Map;

/**
 * How much liquid comes where a circuit is opened: what lies above the opening, by the heights of
 * the drawing. What lies below stays, and is the rest that a mix has to reckon with.
 *
 * @param comes what comes (mL)
 * @param stays what stays (mL)
 */
public record Drain(double comes, double stays) {
  /** Relative standard uncertainty of what comes (1) (our judgement, untested). */
  public static final double U = 0.3;

  /**
   * What parts hold, as shares of each other (our judgement, untested); a hose by its length on the
   * sheet. Parts without coolant hold nothing.
   */
  private static final Map<String, Double> SHARES =
      Map.ofEntries(
          Map.entry("radiator", 28.0),
          Map.entry("block", 26.0),
          Map.entry("head", 12.0),
          Map.entry("second-head", 6.0),
          Map.entry("tank", 9.0),
          Map.entry("pump", 3.0),
          Map.entry("thermostat-housing", 2.0),
          Map.entry("outlet-neck", 2.0),
          Map.entry("intake", 5.0),
          Map.entry("heater-core", 6.0),
          Map.entry("rear-heater-core", 8.0),
          Map.entry("oil-cooler", 1.5),
          Map.entry("exhaust-cooler", 2.0),
          Map.entry("turbo", 0.5),
          Map.entry("alternator", 2.0),
          Map.entry("inverter", 6.0),
          Map.entry("motor", 8.0),
          Map.entry("charger", 5.0),
          Map.entry("battery-plate", 20.0),
          Map.entry("drive-pump", 3.0),
          Map.entry("second-pump", 3.0),
          Map.entry("second-tank", 9.0),
          Map.entry("chiller", 4.0));

  /** What a hundred units of hose hold (our judgement, untested). */
  private static final double HOSE = 1.6;

  /** Hoses that are thin or hold no coolant. */
  private static final List<String> EMPTY_LINES = List.of("gearbox-lines", "overflow-hose");

  /**
   * What comes at an opening.
   *
   * @param circuit the circuit as it is now
   * @param liquid what is in it (mL), 0 or more
   * @param joint where it is opened; of two loops only its own is opened
   */
  public static Drain at(Circuit circuit, double liquid, Joint joint) {
    double comes = liquid * share(circuit, List.of(Opening.at(joint)));
    return new Drain(comes, liquid - comes);
  }

  /**
   * Where a circuit is open.
   *
   * @param height on the sheet, downwards
   * @param branch its branch
   */
  record Opening(double height, Branch branch) {
    static Opening at(Joint joint) {
      return new Opening(joint.at().y(), joint.branch());
    }

    boolean sameLoop(Branch other) {
      return (branch == Branch.BATTERY) == (other == Branch.BATTERY);
    }
  }

  /** Share that comes of what the loop of some openings holds (1). */
  static double share(Circuit circuit, List<Opening> openings) {
    double all = 0;
    double above = 0;
    double sill = sill(circuit);
    for (Part part : circuit.parts()) {
      boolean in = part.inUse() && openings.get(0).sameLoop(part.branch());
      double holds = in ? SHARES.getOrDefault(part.code(), 0.0) : 0;
      all += holds;
      double height =
          openings.stream().mapToDouble(o -> reaches(o, part, sill)).max().orElseThrow();
      above += holds * clamp((height - part.y()) / part.height());
    }
    double lowest = openings.stream().mapToDouble(Opening::height).max().orElseThrow();
    for (Line line : circuit.lines()) {
      boolean in = line.inUse() && openings.get(0).sameLoop(line.branch());
      if (in && !EMPTY_LINES.contains(line.code())) {
        for (int i = 1; i < line.points().size(); i++) {
          Point a = line.points().get(i - 1);
          Point b = line.points().get(i);
          double holds = HOSE * a.distance(b) / 100;
          all += holds;
          above += holds * share(a, b, lowest);
        }
      }
    }
    return all > 0 ? clamp(above / all) : 0;
  }

  /** How far down a part runs empty: a block only to the pump's inlet, but at its own plug. */
  private static double reaches(Opening opening, Part part, double sill) {
    boolean trapped = part.code().equals("block") && opening.branch() != Branch.ENGINE;
    return trapped ? Math.min(opening.height(), sill) : opening.height();
  }

  /** Height over which the block runs empty into the radiator: the pump's inlet. */
  private static double sill(Circuit circuit) {
    return circuit.part("pump").map(p -> p.y() + p.height() / 2).orElse(Double.MAX_VALUE);
  }

  /** Share of a stretch that lies above a height. */
  private static double share(Point a, Point b, double y) {
    double top = Math.min(a.y(), b.y());
    double height = Math.abs(a.y() - b.y());
    return height > 0 ? clamp((y - top) / height) : y > top ? 1 : 0;
  }

  private static double clamp(double share) {
    return Math.max(0, Math.min(1, share));
  }

  /** Standard uncertainty of what comes (mL). */
  public double u() {
    return U * comes;
  }
}
