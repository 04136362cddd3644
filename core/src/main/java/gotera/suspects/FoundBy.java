package gotera.suspects;

import gotera.combustion.GasColour;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.Look;
import gotera.suspects.Observation.Blotted;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Scanned;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which checks of a job, done before its repair, showed what was repaired in it. */
public final class FoundBy {
  /** Results by the name of their check: what they can show is what can cause them. */
  private static final Map<String, List<String>> INSIDE =
      Map.of(
          "gas", List.of("gas"),
          "bubbles", List.of("gas-bubbles"),
          "cylinder", List.of("wet-cylinder"),
          "fluid",
              List.of(
                  "oil-cap-emulsion",
                  "dipstick-emulsion",
                  "pink-gearbox",
                  "pink-coolant",
                  "oil-film"));

  private FoundBy() {}

  /**
   * The checks that were done and count, each with whether it showed one of the repaired places: a
   * look by its state ({@code look.running}), the others by their own names.
   *
   * @param observed in the order of time; what comes after the repair says nothing of how it was
   *     found
   * @param repaired places
   */
  public static Map<String, Boolean> of(List<Observation> observed, Set<String> repaired) {
    Map<String, Boolean> checks = new HashMap<>();
    for (Observation o : untilRepaired(observed)) {
      if (o instanceof Looked look) {
        note(checks, "look." + look.state().word(), look.wet() && at(look.place(), repaired));
      } else if (o instanceof Scanned scan) {
        note(checks, "dye", scan.glow().counts() && at(scan.place(), repaired));
      } else if (o instanceof Blotted paper) {
        note(checks, "paper", paper.damp() && at(paper.place(), repaired));
      } else if (o instanceof GasChecked gas && gas.notCounted().isEmpty()) {
        inside(checks, "gas", gas.colour() != GasColour.BLUE, repaired);
      } else if (o instanceof Bubbled bubbles && bubbles.notCounted().isEmpty()) {
        inside(checks, "bubbles", bubbles.result().gas(), repaired);
      } else if (o instanceof InCylinder cylinder) {
        inside(checks, "cylinder", cylinder.wet(), repaired);
      } else if (o instanceof FluidSeen fluid) {
        inside(checks, "fluid", fluid.saw() != Look.CLEAN, repaired);
      }
    }
    return checks;
  }

  private static List<Observation> untilRepaired(List<Observation> observed) {
    int last = observed.size();
    for (int i = 0; i < observed.size(); i++) {
      last = observed.get(i) instanceof Repaired ? i : last;
    }
    return observed.subList(0, last);
  }

  private static boolean at(String place, Set<String> repaired) {
    return repaired.contains(place);
  }

  private static void inside(
      Map<String, Boolean> checks, String check, boolean seen, Set<String> repaired) {
    boolean shows =
        INSIDE.getOrDefault(check, List.of()).stream()
            .flatMap(r -> Case.VOCABULARY.result(r).causes().keySet().stream())
            .anyMatch(repaired::contains);
    note(checks, check, seen && shows);
  }

  private static void note(Map<String, Boolean> checks, String check, boolean found) {
    checks.merge(check, found, Boolean::logicalOr);
  }
}
