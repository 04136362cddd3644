package gotera.circuit;

import gotera.range.Range;
import gotera.word.Worded;
import java.util.EnumSet;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What a vehicle's circuit is built from.
 *
 * @param drive what drives it
 * @param fill where it is filled
 * @param engine how its cylinders stand
 * @param orientation how the engine lies
 * @param cylinders how many cylinders it has, from 1; empty where nobody said, and without an
 *     engine
 * @param extras what it has besides
 */
public record Features(
    Drive drive,
    Fill fill,
    Engine engine,
    Orientation orientation,
    OptionalInt cylinders,
    Set<Extra> extras) {
  /** Keeps its own copy; what burns nothing has no cylinders. */
  public Features {
    cylinders = drive == Drive.ELECTRIC ? OptionalInt.empty() : cylinders;
    extras = Set.copyOf(extras);
  }

  /** Of an engine whose cylinders nobody counted. */
  public Features(
      Drive drive, Fill fill, Engine engine, Orientation orientation, Set<Extra> extras) {
    this(drive, fill, engine, orientation, OptionalInt.empty(), extras);
  }

  /** With these extras. */
  public static Features of(
      Drive drive, Fill fill, Engine engine, Orientation orientation, Extra... extras) {
    Set<Extra> all = EnumSet.noneOf(Extra.class);
    all.addAll(Set.of(extras));
    return new Features(drive, fill, engine, orientation, all);
  }

  /** Number of its last cylinder: as many as it has, or as any engine may have. */
  public int lastCylinder() {
    return cylinders.orElse((int) Range.CYLINDER.high());
  }

  /** Whether it has one. */
  public boolean has(Extra extra) {
    return extras.contains(extra);
  }

  /** Whether it has a heater that is part of this circuit. */
  public boolean heated() {
    return drive != Drive.ELECTRIC && !has(Extra.NO_HEATER);
  }

  /** What drives the vehicle. */
  public enum Drive implements Worded {
    PETROL,
    DIESEL,
    ELECTRIC;
  }

  /** Where the system is filled. */
  public enum Fill implements Worded {
    /** Cap on the radiator, with a recovery bottle. */
    NECK,
    /** Pressurised expansion tank. */
    TANK,
    /** Both can be opened. */
    BOTH;
  }

  /** How the cylinders stand. */
  public enum Engine implements Worded {
    INLINE,
    V,
    FLAT;
  }

  /** How the engine lies in the vehicle. */
  public enum Orientation implements Worded {
    ALONG,
    ACROSS;
  }

  /** What a circuit may have besides. */
  public enum Extra implements Worded {
    NO_HEATER,
    REAR_HEATER,
    HEATER_VALVE,
    THERMOSTAT_AT_INLET,
    OUTLET_OVER_GEARBOX,
    BYPASS_HOSE,
    PUMP_BEHIND_COVER,
    PUMP_PIPE_O_RING,
    PUMP_HIDDEN_GASKET,
    QUICK_CONNECTORS,
    PLASTIC_PIPE,
    INTAKE_COOLANT,
    OIL_COOLER,
    GEARBOX_COOLER_IN_RADIATOR,
    EXHAUST_COOLER,
    TURBO_LINES,
    ALTERNATOR_COOLED;
  }
}
