package gotera.repair;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Circuit.Part;
import gotera.repair.Drain.Opening;
import java.util.ArrayList;
import java.util.List;

/**
 * The places at which a circuit is drained, in order (tank, radiator, block: common practice, no
 * source), and what comes at each once those before it are open (as in {@link Drain}).
 *
 * @param places the places
 * @param stays what stays (mL)
 */
public record DrainPlan(List<Place> places, double stays) {
  /** Joints made to be opened for it, in their order. */
  private static final List<String> DRAINS = List.of("radiator.drain-tap", "block.drain-plug");

  /** Keeps its own copy. */
  public DrainPlan {
    places = List.copyOf(places);
  }

  /**
   * A place.
   *
   * @param at word of the joint; of a tank its cap, through which it is drawn out
   * @param comes what comes there (mL)
   */
  public record Place(String at, double comes) {
    /** Standard uncertainty of what comes (mL). */
    public double u() {
      return Drain.U * comes;
    }
  }

  /**
   * Where a circuit is drained.
   *
   * @param circuit the circuit as it is now; of two loops the one with the drive
   * @param liquid what is in it (mL), 0 or more
   */
  public static DrainPlan of(Circuit circuit, double liquid) {
    List<Opening> open = new ArrayList<>();
    List<Place> places = new ArrayList<>();
    double gone = 0;
    for (Part tank : circuit.part("tank").stream().toList()) {
      for (Joint cap : circuit.joints().stream().filter(j -> sitsOn(j, tank)).toList()) {
        open.add(new Opening(tank.y() + tank.height(), tank.branch()));
        gone = add(places, cap.code(), gone, liquid * Drain.share(circuit, open));
      }
    }
    for (String code : DRAINS) {
      Joint drain = circuit.joint(code).orElse(null);
      if (drain != null && drain.branch() != Branch.BATTERY) {
        open.add(Opening.at(drain));
        gone = add(places, code, gone, liquid * Drain.share(circuit, open));
      }
    }
    return new DrainPlan(places, liquid - gone);
  }

  private static double add(List<Place> places, String at, double gone, double above) {
    places.add(new Place(at, Math.max(0, above - gone)));
    return Math.max(gone, above);
  }

  private static boolean sitsOn(Joint joint, Part tank) {
    boolean cap = joint.code().equals("tank.cap") || joint.code().equals("cap.neck");
    return cap && joint.at().x() >= tank.x() && joint.at().x() <= tank.x() + tank.width();
  }
}
