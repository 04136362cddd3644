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
 * the firewall shows in the cabin, and the other way round it does not.
 *
 * <p>The probability that a leak at a joint would be seen as a drip at the spot falls with the
 * distance along and with the height in between. All numbers are our judgement, untested; the rules
 * behind them are common practice without a source.
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

  /** A running fan blows drops this much further back (sheet units). */
  private static final double BLOWN_BACK = 250;

  /** Less than this is no path. */
  private static final double LEAST = 0.02;

  /** A drop can cling a little below its spot (sheet units). */
  private static final double CLINGS = 12;

  /** A drip where nothing leaks: spilled before, condensation. */
  public static final double FALSE_ALARM = 0.03;

  /** Keeps its own copy. */
  public DripTrace {
    feeds = Map.copyOf(feeds);
  }

  /** Traces a drip. */
  public static DripTrace of(Circuit circuit, DripSpot spot, boolean running) {
    Map<String, Double> feeds = new HashMap<>();
    for (Joint joint : circuit.joints()) {
      double probability = probability(joint, spot, running);
      if (probability >= LEAST) {
        feeds.put(joint.code(), probability);
      }
    }
    return new DripTrace(spot, running, feeds);
  }

  private static double probability(Joint joint, DripSpot spot, boolean running) {
    double down = spot.at().y() - joint.at().y();
    if (down < -CLINGS || inCabin(joint) != spot.region().equals("cabin")) {
      return 0;
    }
    double back = spot.at().x() - joint.at().x();
    double along =
        back >= 0 ? back / (spot.ahead() + (running ? BLOWN_BACK : 0)) : -back / spot.behind();
    return STRAIGHT_BELOW * Math.exp(-along - Math.max(0, down) / FALL);
  }

  /** Tubes of a heater core leak into the cabin; its hose ends leak outside the firewall. */
  private static boolean inCabin(Joint joint) {
    boolean hoseOfFront = joint.branch() == Branch.HEATER && !joint.code().endsWith(".tubes");
    return joint.at().x() > Circuit.FIREWALL && !hoseOfFront;
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
