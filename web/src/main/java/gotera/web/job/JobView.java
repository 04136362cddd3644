package gotera.web.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A job as other features see it.
 *
 * @param id its identifier
 * @param vehicle the vehicle's name, once it is known
 * @param description what kind of vehicle it is
 * @param vehicleId its identifier
 * @param liquidMl liquid in its system (mL)
 * @param strength strength of its coolant
 * @param reason why it is tested
 * @param complaint what the customer says
 * @param whereLost when and where coolant is lost
 * @param lossMlPerWeek loss complained of (mL per week)
 * @param hotHoursPerWeek how long the engine is hot in a week (h)
 * @param topUpMl water it took to the brim (mL)
 * @param signs other signs told, words of the vocabulary
 * @param otherComplaints other complaints of the visit, apart
 * @param told where the puddle lay, on what ground, how it is driven
 * @param replacedPart a part replaced before, empty for none
 * @param replacedDays how long ago (d)
 * @param startedAt when the job began
 * @param startedBy by whom
 * @param intakeAt when intake was written
 * @param closedAt when it was closed
 * @param ending how it ended
 * @param endingNote what was said of the ending
 * @param discarded whether it was put aside
 * @param version version of the row, to notice someone else's change
 */
public record JobView(
    UUID id,
    Optional<String> vehicle,
    String description,
    Optional<UUID> vehicleId,
    OptionalDouble liquidMl,
    OptionalDouble strength,
    String reason,
    String complaint,
    String whereLost,
    OptionalDouble lossMlPerWeek,
    OptionalDouble hotHoursPerWeek,
    OptionalDouble topUpMl,
    List<String> signs,
    String otherComplaints,
    Intake.Told told,
    String replacedPart,
    OptionalDouble replacedDays,
    Instant startedAt,
    String startedBy,
    Optional<Instant> intakeAt,
    Optional<Instant> closedAt,
    String ending,
    String endingNote,
    boolean discarded,
    int version) {

  /** Whether it is worked on. */
  public boolean open() {
    return closedAt.isEmpty() && !discarded;
  }

  static JobView of(JobRecord job) {
    VehicleRecord vehicle = job.vehicle;
    return new JobView(
        job.id,
        vehicle == null ? Optional.empty() : Optional.of(vehicle.name),
        vehicle == null ? "" : vehicle.description,
        vehicle == null ? Optional.empty() : Optional.of(vehicle.id),
        optional(vehicle == null ? null : vehicle.liquidMl),
        optional(vehicle == null ? null : vehicle.strength),
        job.reason,
        job.complaint,
        job.whereLost,
        optional(job.lossMlPerWeek),
        optional(job.hotHoursPerWeek),
        optional(job.topUpMl),
        job.signs.isEmpty() ? List.of() : List.of(job.signs.split(",", -1)),
        job.otherComplaints,
        new Intake.Told(orEmpty(job.ground), orEmpty(job.puddleAt), orEmpty(job.trips)),
        job.replacedPart,
        optional(job.replacedDays),
        job.startedAt,
        job.startedBy,
        Optional.ofNullable(job.intakeAt),
        Optional.ofNullable(job.closedAt),
        job.ending,
        job.endingNote,
        job.discardedAt != null,
        job.version == null ? 0 : job.version);
  }

  private static String orEmpty(@org.jspecify.annotations.Nullable String word) {
    return word == null ? "" : word;
  }

  private static OptionalDouble optional(@org.jspecify.annotations.Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
