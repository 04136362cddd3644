package gotera.circuit;

import gotera.circuit.Circuit.Point;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;

/** Where something drips from, or where the puddle lies. */
public enum DripSpot implements Worded {
  RADIATOR_BASE(125, 485, 60, 40, "front"),
  RADIATOR_DRAIN_TUBE(75, 485, 40, 40, "front"),
  UNDER_PUMP(380, 455, 70, 70, "engine"),
  BLOCK_SIDE(590, 440, 120, 80, "engine"),
  OIL_PAN(585, 505, 220, 120, "engine"),
  ENGINE_MOUNT(745, 490, 260, 60, "engine"),
  GEARBOX(792, 445, 220, 60, "engine"),
  FIREWALL(850, 360, 60, 60, "engine"),
  CABIN_FLOOR(935, 560, 60, 60, "cabin"),
  HEATER_DRAIN(886, 545, 60, 60, "cabin"),
  BEHIND_FAN(225, 330, 160, 40, "front"),
  BELT_SIDE(377, 410, 60, 60, "engine"),
  BLOCK_FRONT(465, 430, 60, 60, "engine"),
  BLOCK_BACK(722, 425, 70, 60, "engine"),
  MID_FLOOR(860, 590, 60, 120, "engine"),
  GROUND_FRONT(170, 590, 160, 90, "front"),
  GROUND_ENGINE(560, 590, 220, 160, "engine"),
  GROUND_GEARBOX(790, 590, 220, 90, "engine");

  private final Point at;
  private final double ahead;
  private final double behind;
  private final String region;

  DripSpot(double x, double y, double ahead, double behind, String region) {
    this.at = new Point(x, y);
    this.ahead = ahead;
    this.behind = behind;
    this.region = region;
  }

  /** Where it lies on the sheet. */
  public Point at() {
    return at;
  }

  /** How far wetness runs to it from joints ahead, along pan, mount and beams (sheet units). */
  double ahead() {
    return ahead;
  }

  /** How far it runs from joints behind (sheet units). */
  double behind() {
    return behind;
  }

  /** Whether it is the ground: what lies there fell from above, and may be the same drip. */
  public boolean ground() {
    return this == GROUND_FRONT
        || this == GROUND_ENGINE
        || this == GROUND_GEARBOX
        || this == MID_FLOOR;
  }

  /** Front, engine or cabin. */
  public String region() {
    return region;
  }

  /** The spots a circuit has. */
  public static List<DripSpot> in(Circuit circuit) {
    List<DripSpot> spots = new ArrayList<>();
    for (DripSpot spot : values()) {
      boolean there =
          switch (spot) {
            case UNDER_PUMP,
                BLOCK_SIDE,
                BELT_SIDE,
                BLOCK_FRONT,
                BLOCK_BACK,
                OIL_PAN,
                ENGINE_MOUNT,
                GEARBOX,
                GROUND_GEARBOX ->
                circuit.part("block").isPresent();
            case FIREWALL, CABIN_FLOOR, HEATER_DRAIN, MID_FLOOR -> circuit.hasCabin();
            default -> true;
          };
      if (there) {
        spots.add(spot);
      }
    }
    return spots;
  }
}
