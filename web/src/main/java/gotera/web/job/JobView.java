package gotera.web.job;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A job as other features see it.
 *
 * @param id its identifier
 * @param vehicle the vehicle's name, once it is known
 * @param description what kind of vehicle it is
 * @param circuit word of its circuit
 * @param liquidMl liquid in its system (mL)
 * @param strength strength of its coolant
 * @param reason why it is tested
 * @param complaint what the customer says
 * @param whereLost when and where coolant is lost
 * @param lossMlPerWeek loss complained of (mL per week)
 * @param hotHoursPerWeek how long the engine is hot in a week (h)
 * @param topUpMl water it took to the brim (mL)
 * @param startedAt when the job began
 * @param startedBy by whom
 * @param intakeAt when intake was written
 * @param version version of the row, to notice someone else's change
 */
public record JobView(
    UUID id,
    Optional<String> vehicle,
    String description,
    String circuit,
    OptionalDouble liquidMl,
    OptionalDouble strength,
    String reason,
    String complaint,
    String whereLost,
    OptionalDouble lossMlPerWeek,
    OptionalDouble hotHoursPerWeek,
    OptionalDouble topUpMl,
    Instant startedAt,
    String startedBy,
    Optional<Instant> intakeAt,
    int version) {

  static JobView of(JobRecord job) {
    VehicleRecord vehicle = job.vehicle;
    return new JobView(
        job.id,
        vehicle == null ? Optional.empty() : Optional.of(vehicle.name),
        vehicle == null ? "" : vehicle.description,
        vehicle == null ? "inline-across-cap-on-radiator" : vehicle.circuit,
        optional(vehicle == null ? null : vehicle.liquidMl),
        optional(vehicle == null ? null : vehicle.strength),
        job.reason,
        job.complaint,
        job.whereLost,
        optional(job.lossMlPerWeek),
        optional(job.hotHoursPerWeek),
        optional(job.topUpMl),
        job.startedAt,
        job.startedBy,
        Optional.ofNullable(job.intakeAt),
        job.version == null ? 0 : job.version);
  }

  private static OptionalDouble optional(@org.jspecify.annotations.Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
