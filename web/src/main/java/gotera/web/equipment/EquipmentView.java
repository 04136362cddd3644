package gotera.web.equipment;

import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Gauge;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A piece of equipment as pages and other features see it.
 *
 * @param id its identifier
 * @param kind what it is
 * @param name what the workshop calls it
 * @param readingMode needle or digital
 * @param resolution smallest step read (kPa, or K for a thermometer)
 * @param repeatability standard deviation of repeated readings (kPa or K)
 * @param zeroDrift standard uncertainty of a wander of its zero (kPa)
 * @param rangeKpa end of its scale (kPa)
 * @param calibrationDue last day of its calibration
 * @param strokeMl room air of a stroke (mL)
 * @param airMl air in hose and adapter (mL)
 * @param fits vehicles an adapter fitted
 * @param retired whether it is no longer used
 * @param ownLeak latest check against a plug
 * @param version version of the row, to notice someone else's change
 */
public record EquipmentView(
    UUID id,
    EquipmentKind kind,
    String name,
    String readingMode,
    OptionalDouble resolution,
    OptionalDouble repeatability,
    OptionalDouble zeroDrift,
    OptionalDouble rangeKpa,
    Optional<LocalDate> calibrationDue,
    OptionalDouble strokeMl,
    OptionalDouble airMl,
    String fits,
    boolean retired,
    Optional<OwnLeak> ownLeak,
    int version) {
  /**
   * A check against a plug.
   *
   * @param rate own leak (mL/min)
   * @param u its standard uncertainty (mL/min)
   * @param at when
   */
  public record OwnLeak(double rate, double u, Instant at) {}

  /** Whether its calibration covers a day; where none is written, it is not limited. */
  public boolean calibrated(LocalDate day) {
    return calibrationDue.map(due -> !day.isAfter(due)).orElse(true);
  }

  /** As a gauge, for kinds that show pressures. */
  public Gauge gauge(LocalDate day) {
    return new Gauge(
        resolution.orElseThrow(),
        repeatability.orElse(Usual.REPEATABILITY * resolution.orElseThrow()),
        rangeKpa,
        zeroDrift.orElse(Usual.ZERO_DRIFT),
        calibrated(day));
  }
}
