package gotera.practice;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Features;
import gotera.evidence.Mode;
import gotera.look.LookState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A vehicle as it is, which nobody at the bench knows: what leaks and when, what runs where, what
 * is stained, spilled upon and hidden.
 */
public final class PracticeVehicle {
  /** Share of vehicles that are tight. */
  private static final double TIGHT = 0.1;

  /** Share of vehicles with two leaks. */
  private static final double TWO = 0.12;

  /** Share of places that something hides on this vehicle. */
  private static final double HIDDEN = 0.1;

  /** Share of places on which something was spilled, or water stands. */
  private static final double SPILLED = 0.012;

  /** Share of places with a crust of long ago. */
  private static final double OLD_CRUST = 0.02;

  /** A place this far to the side of a leak is not below it (sheet units). */
  private static final double BESIDE = 45;

  /** Right below a leak wetness arrives so often; a third of it after this height (sheet units). */
  private static final double BELOW = 0.4;

  private static final double HEIGHT = 450;

  final World world;
  final Circuit circuit;
  final boolean burns;
  final Set<String> hidden = new HashSet<>();
  final Set<String> spilled = new HashSet<>();
  final Set<String> crusted = new HashSet<>();
  private final List<HiddenLeak> leaks = new ArrayList<>();
  private final Map<String, Set<String>> below = new HashMap<>();

  private PracticeVehicle(World world, Features features) {
    this.world = world;
    this.circuit = CircuitBuilder.of(features);
    this.burns = circuit.part("block").isPresent();
  }

  /** One of a world. */
  public static PracticeVehicle of(World world, Random random) {
    List<CircuitPresets.Preset> presets = CircuitPresets.all();
    Features features = presets.get(random.nextInt(presets.size())).features();
    PracticeVehicle made = new PracticeVehicle(world, features);
    made.breaks(random);
    made.looks(random);
    return made;
  }

  private void breaks(Random random) {
    double kind = random.nextDouble();
    int many = kind < TIGHT ? 0 : kind < TIGHT + TWO ? 2 : 1;
    Set<String> broken = new LinkedHashSet<>();
    while (broken.size() < (world == World.TWO_LEAKS ? 2 : many)) {
      broken.add(drawn(random));
    }
    broken.forEach(
        p -> leaks.add(new HiddenLeak(p, Odds.mode(p, world, random), Odds.rate(random))));
  }

  private String drawn(Random random) {
    List<String> places = new ArrayList<>(circuit.joints().stream().map(Joint::code).toList());
    if (burns) {
      places.add("inside.head-gasket");
      places.add("inside.cylinder");
    }
    double[] weights =
        places.stream()
            .mapToDouble(
                p ->
                    Odds.weight(p)
                        * (world == World.OTHER_ODDS ? Math.exp(0.8 * random.nextGaussian()) : 1))
            .toArray();
    double sum = 0;
    for (double w : weights) {
      sum += w;
    }
    double at = random.nextDouble() * sum;
    int i = 0;
    while (i < weights.length - 1 && at >= weights[i]) {
      at -= weights[i++];
    }
    return places.get(i);
  }

  /** What the eye meets, settled once for each vehicle. */
  private void looks(Random random) {
    for (Joint joint : circuit.joints()) {
      if (random.nextDouble() < HIDDEN) {
        hidden.add(joint.code());
      }
      if (random.nextDouble() < SPILLED * world.misled()) {
        spilled.add(joint.code());
      }
      if (random.nextDouble() < OLD_CRUST * world.misled()) {
        crusted.add(joint.code());
      }
    }
    for (HiddenLeak leak : leaks) {
      Set<String> wetted = wetBelow(leak, random);
      below.put(leak.place(), wetted);
      if (random.nextDouble() < 0.3) {
        crusted.add(leak.place());
        wetted.stream().filter(w -> random.nextDouble() < 0.3).forEach(crusted::add);
      }
    }
  }

  private Set<String> wetBelow(HiddenLeak leak, Random random) {
    Set<String> wetted = new HashSet<>();
    circuit
        .joint(leak.place())
        .ifPresent(
            from -> {
              for (Joint to : circuit.joints()) {
                double down = to.at().y() - from.at().y();
                boolean under =
                    down > 12
                        && cabin(from) == cabin(to)
                        && Math.abs(to.at().x() - from.at().x()) < BESIDE;
                if (under && random.nextDouble() < BELOW * Math.exp(-down / HEIGHT)) {
                  wetted.add(to.code());
                }
              }
            });
    return wetted;
  }

  /** Behind the firewall: a wall that nothing runs through, but the hoses of the front heater. */
  private static boolean cabin(Joint joint) {
    return joint.at().x() > Circuit.FIREWALL && !joint.code().matches("heater-(supply|return).*");
  }

  /** What leaks now. */
  public List<HiddenLeak> leaks() {
    return List.copyOf(leaks);
  }

  /** The circuit, as everybody sees it. */
  public Circuit circuit() {
    return circuit;
  }

  /** Mends everything at a place, whether it leaked or not; whether it did. */
  public boolean mend(Set<String> places) {
    return leaks.removeIf(l -> places.contains(l.place()));
  }

  /** Where a leak wets what lies below it. */
  Set<String> below(HiddenLeak leak) {
    return below.getOrDefault(leak.place(), Set.of());
  }

  /** How much of its rate a leak loses in a state (1). */
  static double loses(HiddenLeak leak, LookState state) {
    double pressure =
        switch (state) {
          case PRESSED, RUNNING -> 1;
          case WARM -> 0.9;
          case COLD -> 0.03;
          case PARKED -> 0.08;
        };
    double acts =
        switch (leak.mode()) {
          case ALWAYS -> 1;
          case HEAT -> state == LookState.RUNNING || state == LookState.WARM ? 1 : 0;
          case ROTATION -> state == LookState.RUNNING ? 1 : 0.02;
          case COLD -> state == LookState.RUNNING || state == LookState.WARM ? 0 : 1;
        };
    return pressure * acts;
  }

  /** Whether a place is within, where no eye gets. */
  static boolean inside(String place) {
    return place.startsWith("inside.") || place.matches("(oil|gearbox)-cooler\\.core");
  }

  /** Whether a leak is cold, so that it shows in a cold hold. */
  static boolean cold(HiddenLeak leak) {
    return leak.mode() == Mode.ALWAYS || leak.mode() == Mode.COLD;
  }
}
