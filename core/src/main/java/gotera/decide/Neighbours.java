package gotera.decide;

import gotera.circuit.Circuit;
import gotera.decide.RepairKind.Shared;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What is worth renewing while a repair has the system open, by what is drained and off for it and
 * never by what else is under suspicion: a priced choice, not a need (common practice, no source).
 */
final class Neighbours {
  private static final List<String> CAPS = List.of("cap.neck", "tank.cap");

  private final Circuit circuit;
  private final Set<Neighbour> all = new LinkedHashSet<>();

  /**
   * One of them.
   *
   * @param kind what is renewed
   * @param at the part or place
   * @param labour whether it takes labour of its own; else the part alone is paid
   */
  record Neighbour(RepairKind kind, String at, boolean labour) {}

  private Neighbours(Circuit circuit) {
    this.circuit = circuit;
  }

  /** The neighbours of a repair, the cheapest kind first. */
  static List<Neighbour> of(RepairKind kind, String at, Circuit circuit) {
    Neighbours found = new Neighbours(circuit);
    found.reached(kind, at);
    if (kind.shared().contains(Shared.DRAIN)) {
      found.drained();
    }
    found.all.removeIf(n -> n.kind() == kind && n.at().equals(at));
    return List.copyOf(found.all);
  }

  private void reached(RepairKind kind, String at) {
    switch (kind) {
      case CLAMP -> otherEnds(at);
      case HOSE -> otherHose(at);
      case RADIATOR -> {
        mainHoses();
        free(RepairKind.MOUNTS, "radiator");
      }
      case THERMOSTAT_HOUSING, OUTLET_NECK -> thermostat();
      case PUMP -> {
        if (isHere("pump")) {
          boolean belt = !isHere("timing-cover");
          labour(belt ? RepairKind.BELT : RepairKind.TIMING_SET, "pump");
        }
      }
      case INTAKE_GASKETS -> {
        labour(RepairKind.HOSE, "bypass-hose");
        labour(RepairKind.JOINT, "coolant-pipe.body");
      }
      case HEAD_GASKET -> {
        mainHoses();
        labour(RepairKind.PUMP, "pump");
      }
      case CORE_PLUG -> {
        if (at.endsWith("rear")) {
          // the gearbox is off for it
          labour(RepairKind.REAR_SEAL, at);
        }
      }
      case HEATER_CORE -> {
        labour(RepairKind.HOSE, at.startsWith("rear-") ? "rear-heater-supply" : "heater-supply");
        labour(RepairKind.HOSE, at.startsWith("rear-") ? "rear-heater-return" : "heater-return");
      }
      default -> {
        // nothing more is reached by it
      }
    }
  }

  /** The coolant is out: these are the same coolant and the same labour. */
  private void drained() {
    thermostat();
    CAPS.stream().filter(c -> circuit.joint(c).isPresent()).forEach(c -> free(RepairKind.CAP, c));
  }

  private void thermostat() {
    free(RepairKind.THERMOSTAT, "thermostat-housing");
  }

  private void mainHoses() {
    free(RepairKind.HOSE, "upper-hose");
    free(RepairKind.HOSE, "lower-hose");
  }

  /** The other end of the same hose. */
  private void otherEnds(String place) {
    String hose = place.substring(0, place.indexOf('.') + 1);
    circuit.joints().stream()
        .map(Circuit.Joint::code)
        .filter(j -> j.startsWith(hose) && !j.equals(place) && RepairKind.CLAMP.mends(j))
        .forEach(j -> free(RepairKind.CLAMP, j));
  }

  /** The hose of the same age that the same coolant is drained for. */
  private void otherHose(String hose) {
    String other =
        hose.endsWith("supply")
            ? hose.replace("supply", "return")
            : hose.endsWith("return")
                ? hose.replace("return", "supply")
                : hose.equals("upper-hose")
                    ? "lower-hose"
                    : hose.equals("lower-hose") ? "upper-hose" : "";
    labour(RepairKind.HOSE, other);
  }

  private void free(RepairKind kind, String at) {
    add(new Neighbour(kind, at, false));
  }

  private void labour(RepairKind kind, String at) {
    add(new Neighbour(kind, at, true));
  }

  /** What this vehicle does not have is not offered. */
  private void add(Neighbour neighbour) {
    if (isHere(neighbour.at())) {
      all.add(neighbour);
    }
  }

  /** Whether it is a joint, or a part or line with joints. */
  private boolean isHere(String at) {
    return !at.isEmpty()
        && circuit.joints().stream()
            .anyMatch(j -> j.code().equals(at) || j.code().startsWith(at + "."));
  }
}
