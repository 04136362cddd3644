package gotera.refill;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.pressure.law.Medium;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The steps of a refill, built from a circuit: each says which high points it frees of air (common
 * practice, no source). Together they free all of them. The maker's own procedure comes first where
 * it is known.
 */
public final class FillSteps {
  private static final Set<Branch> HEATERS = EnumSet.of(Branch.HEATER, Branch.REAR_HEATER);

  private final Circuit circuit;
  private final Way way;
  private final List<HighPoint> left;
  private final List<FillStep> steps = new ArrayList<>();

  private FillSteps(Circuit circuit, Way way) {
    this.circuit = circuit;
    this.way = way;
    this.left = new ArrayList<>(HighPoint.of(circuit));
  }

  /** How it is filled; all end by the same criterion. */
  public enum School implements Worded {
    /** Poured in standing, then warmed and squeezed. */
    POUR,
    /** By a funnel that raises the high point. */
    FUNNEL,
    /** Evacuated, then drawn in; finished with the funnel. */
    VACUUM
  }

  /**
   * How it is filled.
   *
   * @param school what draws or pours the coolant in
   * @param airFirst whether dry air is held before: it finds the fault of an assembly before
   *     coolant is spent
   */
  public record Way(School school, boolean airFirst) {}

  /** What is done in a step. */
  public enum Does implements Worded {
    SHUT_DRAINS,
    HEATER_OPEN,
    SECOND_FILLER,
    /** Regulated below the cap's rating, and held. */
    AIR_HOLD,
    FUNNEL_ON,
    EVACUATE,
    WATCH_VACUUM,
    DRAW_IN,
    BLEED_OPEN,
    POUR,
    BLEED_SHUT,
    START,
    HEATER_HOT,
    REAR_HEATER_HOT,
    THERMOSTAT_OPENS,
    PUMPS_RUN,
    SQUEEZE,
    UNTIL_QUIET,
    COOL,
    TOP_UP;

    /** The medium of the hold that does it, where a hold does. */
    public Optional<Medium> hold() {
      return switch (this) {
        case AIR_HOLD -> Optional.of(Medium.GAS);
        case WATCH_VACUUM -> Optional.of(Medium.VACUUM);
        default -> Optional.empty();
      };
    }
  }

  /**
   * A step.
   *
   * @param does what is done
   * @param at word of the joint or part it is done at; empty for the whole
   * @param frees words of the high points whose air leaves by it
   */
  public record FillStep(Does does, String at, List<String> frees) {}

  /** The steps of a circuit as it is now. */
  public static List<FillStep> of(Circuit circuit, Way way) {
    FillSteps steps = new FillSteps(circuit, way);
    steps.before();
    steps.fill();
    if (circuit.part("block").isPresent()) {
      steps.run();
    } else {
      steps.add(Does.PUMPS_RUN, "", p -> true);
    }
    steps.add(Does.UNTIL_QUIET, "", p -> false);
    steps.add(Does.COOL, "", p -> false);
    steps.add(Does.TOP_UP, "", p -> false);
    return List.copyOf(steps.steps);
  }

  private void add(Does does, String at, Predicate<HighPoint> frees) {
    List<String> freed =
        left.stream().filter(frees).map(HighPoint::code).sorted(Comparator.naturalOrder()).toList();
    left.removeIf(frees);
    steps.add(new FillStep(does, at, freed));
  }

  private boolean has(Branch branch) {
    return circuit.parts().stream().anyMatch(p -> p.branch() == branch && p.inUse());
  }

  private void before() {
    add(Does.SHUT_DRAINS, "", p -> false);
    if (has(Branch.HEATER)) {
      add(
          Does.HEATER_OPEN,
          circuit.part("heater-valve").isPresent() ? "heater-valve" : "",
          p -> false);
    }
    if (circuit.joint("tank.cap").isPresent()) {
      add(Does.SECOND_FILLER, "tank.cap", p -> false);
    }
    if (way.airFirst()) {
      fillers().forEach(f -> add(Does.AIR_HOLD, f.code(), p -> false));
    }
  }

  private void fill() {
    for (Joint cap : fillers()) {
      fill(cap);
    }
  }

  /** Where each loop is filled: a second loop of an electric drive has a tank of its own. */
  private List<Joint> fillers() {
    return circuit.joints().stream()
        .filter(j -> j.code().equals("cap.neck") || j.code().equals("second-tank.cap"))
        .toList();
  }

  private void fill(Joint cap) {
    String filler = cap.code();
    Predicate<HighPoint> standing = p -> standing(p, cap);
    if (way.school() == School.VACUUM) {
      add(Does.EVACUATE, filler, p -> false);
      add(Does.WATCH_VACUUM, filler, p -> false);
      add(Does.DRAW_IN, filler, standing);
      add(Does.FUNNEL_ON, filler, p -> false);
      return;
    }
    if (way.school() == School.FUNNEL) {
      add(Does.FUNNEL_ON, filler, p -> false);
    }
    List<Joint> bleeds = bleeds();
    bleeds.forEach(b -> add(Does.BLEED_OPEN, b.code(), p -> false));
    add(Does.POUR, filler, standing);
    for (Joint b : bleeds) {
      Set<String> below = partsAt(b);
      add(Does.BLEED_SHUT, b.code(), p -> below.contains(p.code()));
    }
  }

  /** The parts whose outline a joint touches. */
  private Set<String> partsAt(Joint joint) {
    double x = joint.at().x();
    double y = joint.at().y();
    return circuit.parts().stream()
        .filter(p -> x >= p.x() && x <= p.x() + p.width() && y >= p.y() && y <= p.y() + p.height())
        .map(Circuit.Part::code)
        .collect(Collectors.toSet());
  }

  /** Bleed screws and vents, the lowest first: they are shut as coolant comes solid. */
  private List<Joint> bleeds() {
    return circuit.joints().stream()
        .filter(j -> j.code().startsWith("bleed-screw"))
        .sorted(Comparator.comparingDouble((Joint j) -> j.at().y()).reversed())
        .toList();
  }

  /** What fills while it stands: below the filler, nothing shut in between. */
  private boolean standing(HighPoint p, Joint cap) {
    boolean ownLoop = p.branch() == cap.branch() || p.branch() == Branch.ENGINE;
    boolean fills = ownLoop || p.code().equals("radiator");
    boolean sameLoop = (p.branch() == Branch.BATTERY) == (cap.branch() == Branch.BATTERY);
    return fills && sameLoop && p.height() > cap.at().y() && !bled(p);
  }

  private boolean bled(HighPoint p) {
    return way.school() != School.VACUUM
        && bleeds().stream().anyMatch(b -> partsAt(b).contains(p.code()));
  }

  private void run() {
    add(Does.START, "", p -> p.branch().gate() == Branch.Gate.NONE);
    if (has(Branch.HEATER)) {
      add(Does.HEATER_HOT, "heater-core", p -> p.branch() == Branch.HEATER);
    }
    if (has(Branch.REAR_HEATER)) {
      add(Does.REAR_HEATER_HOT, "rear-heater-core", p -> p.branch() == Branch.REAR_HEATER);
    }
    add(Does.THERMOSTAT_OPENS, "", p -> !HEATERS.contains(p.branch()));
    add(Does.SQUEEZE, "", p -> p.branch() == Branch.RADIATOR);
  }
}
