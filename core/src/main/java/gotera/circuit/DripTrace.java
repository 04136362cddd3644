package gotera.circuit;

import gotera.circuit.Circuit.Joint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * From where it drips to the joints that can feed it: higher ones, near ones, ones ahead whose
 * wetness runs along pan, mount and beams; behind a running fan it is blown back; what leaks behind
 * the firewall shows in the cabin, and the other way round it does not. Lines to a rear heater run
 * below the floor.
 *
 * <p>The probability that a leak at a joint would be seen as a drip at the spot falls with the
 * distance along and with the height in between; where a surface is known to lead there, it is
 * told. All numbers are our judgement, untested; the rules behind them are common practice without
 * a source.
 *
 * @param spot where it drips
 * @param running whether the engine ran
 * @param feeds probability of that drip by joint, for those that can feed it
 */
public record DripTrace(DripSpot spot, boolean running, Map<String, Double> feeds) {
  /** Probability right under a leaking joint. */
  private static final double STRAIGHT_BELOW = 0.6;

  /** A path of this length down loses two thirds of it (sheet units). */
  private static final double FALL = 300;

  /** The same for what falls free to the ground (sheet units). */
  private static final double FREE_FALL = 900;

  /** Hose ends of a rear heater lie behind trim: what they lose seldom shows on the floor. */
  private static final double BEHIND_TRIM = 0.4;

  /** A running fan blows drops this much further back (sheet units). */
  private static final double BLOWN_BACK = 250;

  /** Less than this is no path. */
  private static final double LEAST = 0.02;

  /** A drop can cling a little below its spot (sheet units). */
  private static final double CLINGS = 12;

  /** A drip where nothing leaks: spilled before, condensation. */
  public static final double FALSE_ALARM = 0.03;

  /** What is wet right below a leaking place got it from there as often as not. */
  private static final double RUNS_DOWN = 0.5;

  /** Wetness keeps to its way down a part this far to either side (sheet units). */
  private static final double TO_EITHER_SIDE = 40;

  /** Running down it loses two thirds on this height (sheet units). */
  private static final double RUN_LENGTH = 600;

  /** Less than this does not make a place look wet. */
  private static final double LEAST_RUN = 0.05;

  /**
   * A surface that leads wetness from the places with this beginning to a spot, as far as they lie
   * (sheet units along).
   */
  private record Channel(DripSpot spot, String from, double probability, double within) {
    Channel(DripSpot spot, String from, double probability) {
      this(spot, from, probability, Circuit.WIDTH);
    }

    boolean leads(Joint joint, DripSpot to) {
      return spot == to
          && joint.code().startsWith(from)
          && Math.abs(joint.at().x() - to.at().x()) <= within;
    }
  }

  /** What lies above a spot on the gearbox (sheet units along). */
  private static final double OVER_GEARBOX = 120;

  private static final List<Channel> CHANNELS =
      List.of(
          new Channel(DripSpot.ENGINE_MOUNT, "block.core-plug-front", 0.45),
          new Channel(DripSpot.ENGINE_MOUNT, "block.core-plug-rear", 0.45),
          new Channel(DripSpot.GEARBOX, "outlet-neck.", 0.6),
          new Channel(DripSpot.GROUND_GEARBOX, "outlet-neck.", 0.45),
          new Channel(DripSpot.GEARBOX, "thermostat-housing.", 0.6, OVER_GEARBOX),
          new Channel(DripSpot.GROUND_GEARBOX, "thermostat-housing.", 0.45, OVER_GEARBOX),
          new Channel(DripSpot.GEARBOX, "block.core-plug-rear", 0.4),
          new Channel(DripSpot.BLOCK_BACK, "intake.gasket-rear", 0.5),
          new Channel(DripSpot.BLOCK_BACK, "block.core-plug-rear", 0.5),
          new Channel(DripSpot.BLOCK_FRONT, "timing-cover.", 0.5),
          new Channel(DripSpot.BELT_SIDE, "pump.", 0.55),
          new Channel(DripSpot.UNDER_PUMP, "pump.", 0.55),
          new Channel(DripSpot.BELT_SIDE, "timing-cover.", 0.5),
          new Channel(DripSpot.UNDER_PUMP, "timing-cover.", 0.45),
          new Channel(DripSpot.BEHIND_FAN, "radiator.core", 0.5),
          new Channel(DripSpot.RADIATOR_DRAIN_TUBE, "radiator.drain-tap", 0.75),
          new Channel(DripSpot.MID_FLOOR, "rear-heater-supply.", 0.5),
          new Channel(DripSpot.MID_FLOOR, "rear-heater-return.", 0.5));

  /** Keeps its own copy. */
  public DripTrace {
    feeds = Map.copyOf(feeds);
  }

  /** Traces a drip. */
  public static DripTrace of(Circuit circuit, DripSpot spot, boolean running) {
    Map<String, Double> feeds = new HashMap<>();
    for (Joint joint : circuit.joints()) {
      double probability = Math.max(channel(joint, spot), probability(joint, spot, running));
      if (probability >= LEAST) {
        feeds.put(joint.code(), probability);
      }
    }
    return new DripTrace(spot, running, feeds);
  }

  private static double channel(Joint joint, DripSpot spot) {
    return CHANNELS.stream()
        .filter(c -> c.leads(joint, spot))
        .mapToDouble(Channel::probability)
        .max()
        .orElse(0);
  }

  private static double probability(Joint joint, DripSpot spot, boolean running) {
    double down = spot.at().y() - joint.at().y();
    if (down < -CLINGS || !sameSide(joint, spot)) {
      return 0;
    }
    double back = spot.at().x() - joint.at().x();
    double along =
        back >= 0 ? back / (spot.ahead() + (running ? BLOWN_BACK : 0)) : -back / spot.behind();
    double cabin = inCabin(joint) && !joint.code().endsWith(".tubes") ? BEHIND_TRIM : 1;
    double fall = spot.ground() ? FREE_FALL : FALL;
    return cabin * STRAIGHT_BELOW * Math.exp(-along - Math.max(0, down) / fall);
  }

  private static boolean sameSide(Joint joint, DripSpot spot) {
    return !belowFloor(joint) && inCabin(joint) == spot.region().equals("cabin");
  }

  /** Lines to a rear heater: they reach what lies below them by their channel only. */
  private static boolean belowFloor(Joint joint) {
    return joint.branch() == Branch.REAR_HEATER && joint.code().endsWith(".along");
  }

  /** Tubes of a heater core leak into the cabin; its hose ends leak outside the firewall. */
  private static boolean inCabin(Joint joint) {
    boolean hoseOfFront = joint.branch() == Branch.HEATER && !joint.code().endsWith(".tubes");
    return joint.at().x() > Circuit.FIREWALL && !hoseOfFront;
  }

  /**
   * Probability that a leak at another joint makes a joint look wet, by running down to it.
   *
   * @param running whether the engine runs: its fan blows drops back
   */
  public static Map<String, Double> runsDown(Circuit circuit, Joint to, boolean running) {
    Map<String, Double> from = new HashMap<>();
    for (Joint joint : circuit.joints()) {
      double down = to.at().y() - joint.at().y();
      if (down > CLINGS && inCabin(joint) == inCabin(to)) {
        double back = to.at().x() - joint.at().x();
        double side = TO_EITHER_SIDE + (running && back > 0 ? BLOWN_BACK / 2 : 0);
        double p = RUNS_DOWN * Math.exp(-Math.abs(back) / side - down / RUN_LENGTH);
        if (p >= LEAST_RUN) {
          from.put(joint.code(), p);
        }
      }
    }
    return from;
  }

  /** The joints that can feed it, the likeliest first. */
  public List<String> likeliest() {
    List<Map.Entry<String, Double>> sorted = new ArrayList<>(feeds.entrySet());
    sorted.sort(
        Comparator.comparingDouble((Map.Entry<String, Double> e) -> -e.getValue())
            .thenComparing(Map.Entry::getKey));
    return sorted.stream().map(Map.Entry::getKey).toList();
  }
}
