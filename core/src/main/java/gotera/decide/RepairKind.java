package gotera.decide;

import gotera.word.Worded;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Kinds of repairs, and of what is renewed beside one: which places each mends, how long it takes,
 * and what labour it shares with others done at the same time. Hours are our judgement, untested,
 * until the shop gives its own; prices are the shop's alone.
 */
public enum RepairKind implements Worded {
  /** A new cap. */
  CAP("cap\\.neck|(second-)?tank\\.cap", 0.1, true),
  /** A new clamp at one end of a hose: of each place its own. */
  CLAMP(Kinds.HOSES + "\\.([a-z-]+-end|tee)", 0.2, true),
  /** A new hose with its clamps. */
  HOSE(Kinds.HOSES + "\\.(along|[a-z-]+-end|tee)", 0.4, false, Shared.DRAIN),
  /** A new radiator. */
  RADIATOR(
      "radiator\\.(core|tank|upper-seam|lower-seam)|gearbox-cooler\\.core",
      1.5,
      false,
      Shared.DRAIN),
  /** A seal of the drain tap. */
  DRAIN_TAP("radiator\\.drain-tap", 0.2, true, Shared.DRAIN),
  /** A new pump with its seals. */
  PUMP("(pump|timing-cover)\\.[a-z-]+", 2, false, Shared.DRAIN, Shared.BELT_SIDE),
  /** The thermostat's housing with its seal. */
  THERMOSTAT_HOUSING("thermostat-housing\\.[a-z-]+", 0.5, false, Shared.DRAIN),
  /** A seal of a sensor. */
  SENSOR("temperature-sensor\\.seal|tank\\.level-sensor", 0.3, true),
  /** The outlet neck with both its seals. */
  OUTLET_NECK("outlet-neck\\.[a-z-]+", 0.7, false, Shared.DRAIN),
  /** A new heater core. */
  HEATER_CORE("(rear-)?heater-core\\.tubes", 3.5, true, Shared.DRAIN),
  /** A new heater valve. */
  HEATER_VALVE("heater-valve\\.stem", 0.4, true, Shared.DRAIN),
  /** A new tank. */
  TANK("(second-)?tank\\.(seam|body)|bottle\\.body", 0.4, false),
  /** A core plug: of each place its own. */
  CORE_PLUG("block\\.core-plug-[a-z]+", 0.8, true, Shared.DRAIN),
  /** A washer of the block's drain. */
  BLOCK_DRAIN("block\\.drain-plug", 0.3, true, Shared.DRAIN),
  /** Head gasket. */
  HEAD_GASKET(
      "(second-)?head\\.gasket|inside\\.[a-z-]+", 9, false, Shared.DRAIN, Shared.TOP_OF_ENGINE),
  /** Gaskets of an intake that carries coolant. */
  INTAKE_GASKETS("intake\\.[a-z-]+", 2.5, false, Shared.DRAIN, Shared.TOP_OF_ENGINE),
  /** Exhaust gas cooler with its gaskets. */
  EXHAUST_COOLER("exhaust-cooler\\.[a-z-]+", 2, false, Shared.DRAIN, Shared.TOP_OF_ENGINE),
  /** Oil cooler with its seals. */
  OIL_COOLER("oil-cooler\\.[a-z-]+", 1.5, false, Shared.DRAIN),
  /** A new thermostat with its seal: it mends no leak, and belongs to what was too hot. */
  THERMOSTAT(Kinds.NONE, 0.1, false, Shared.DRAIN),
  /** Flushed until it runs clear. */
  FLUSH(Kinds.NONE, 1, false, Shared.DRAIN),
  /** Bushings and mounts of a radiator. */
  MOUNTS(Kinds.NONE, 0.1, false),
  /** A new belt with its tensioner and idler. */
  BELT(Kinds.NONE, 0.3, false, Shared.BELT_SIDE),
  /** Timing belt or chain with its tensioner and idlers, set as the maker says. */
  TIMING_SET(Kinds.NONE, 2, false, Shared.BELT_SIDE),
  /** Seal at the rear end of the crankshaft. */
  REAR_SEAL(Kinds.NONE, 0.4, false),
  /** A joint or part that has no kind of its own: of each place its own. */
  JOINT("(?!elsewhere)[a-z-]+\\.[a-z-]+", 0.5, true, Shared.DRAIN);

  /** Patterns that several kinds use. */
  private static final class Kinds {
    /** What mends no place. */
    static final String NONE = "(?!)";

    static final String HOSES =
        "(upper-hose|lower-hose|bypass-hose|tank-hose|tank-vent|overflow-hose|second-tank-hose"
            + "|(rear-)?heater-(supply|return)|alternator-hoses)";
  }

  /** Labour that several repairs need, and that is done once for all of them. */
  public enum Shared implements Worded {
    /** Draining and filling again. */
    DRAIN(0.5),
    /** Fans, belt and covers at the belt side. */
    BELT_SIDE(0.5),
    /** What stands above the engine. */
    TOP_OF_ENGINE(0.5);

    private final double hours;

    Shared(double hours) {
      this.hours = hours;
    }

    /** How long it takes (h) (our judgement, untested). */
    public double hours() {
      return hours;
    }
  }

  private final Pattern places;
  private final double hours;
  private final boolean ofPlace;
  private final Set<Shared> shared;

  RepairKind(String places, double hours, boolean ofPlace, Shared... shared) {
    this.places = Pattern.compile(places);
    this.hours = hours;
    this.ofPlace = ofPlace;
    this.shared = Set.copyOf(Arrays.asList(shared));
  }

  /** Whether it mends a place. */
  public boolean mends(String place) {
    return places.matcher(place).matches();
  }

  /** Usual labour without what is shared (h) (our judgement, untested). */
  public double hours() {
    return hours;
  }

  /** Labour that it shares with others. */
  public Set<Shared> shared() {
    return shared;
  }

  /** What it is done to: the place itself, or the part with all its places. */
  String of(String place) {
    return switch (this) {
      // one repair, wherever of it the leak shows
      case HEAD_GASKET -> "head";
      case RADIATOR -> "radiator";
      case PUMP -> "pump";
      default -> ofPlace ? place : place.substring(0, Math.max(0, place.indexOf('.')));
    };
  }

  /** The kinds that mend a place, the smallest first; a joint of its own only where none does. */
  public static List<RepairKind> mending(String place) {
    List<RepairKind> kinds =
        Arrays.stream(values()).filter(k -> k != JOINT && k.mends(place)).toList();
    return !kinds.isEmpty()
        ? kinds
        : Optional.of(JOINT).filter(j -> j.mends(place)).stream().toList();
  }
}
