package gotera.web.job;

import gotera.web.frame.NotFound;
import gotera.web.storage.Entries;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.time.Clock;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Jobs: beginning them, finding them, writing their intake. */
@Service
public class JobService {
  private final JobRecords jobs;
  private final VehicleRecords vehicles;
  private final JobChanges changes;
  private final Entries entries;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  JobService(
      JobRecords jobs,
      VehicleRecords vehicles,
      JobChanges changes,
      Entries entries,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.changes = changes;
    this.entries = entries;
    this.jobs = jobs;
    this.vehicles = vehicles;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** Begins a job without knowing anything yet. */
  @Write
  public UUID begin(String by) {
    entries.claim();
    return jobs.save(new JobRecord(identifiers.next(), clock.instant(), by)).id;
  }

  /** The job, or not found. */
  public JobView require(UUID id) {
    return memo.shared(
        "job",
        id,
        () -> jobs.findById(id).map(JobView::of).orElseThrow(() -> new NotFound("job " + id)));
  }

  /** Jobs that are not closed, the newest first. */
  @Transactional(readOnly = true)
  public List<JobView> open() {
    return jobs.findByClosedAtIsNullAndDiscardedAtIsNullOrderByStartedAtDesc().stream()
        .map(JobView::of)
        .toList();
  }

  /** Words of the endings. */
  public List<String> endings() {
    return Worded.words(Ending.class);
  }

  /** Closes a job with its ending. */
  @Write
  public void close(UUID id, Ending ending, String note) {
    JobRecord job = record(id);
    job.closedAt = clock.instant();
    job.ending = ending.word();
    job.endingNote = note;
    jobs.save(job);
    changes.count(id);
  }

  /** Opens a closed or discarded job again; its ending stays in the history. */
  @Write
  public void reopen(UUID id) {
    JobRecord job = record(id);
    job.closedAt = null;
    job.ending = "";
    job.discardedAt = null;
    job.discardedBy = null;
    jobs.save(job);
    changes.count(id);
  }

  /** Puts a job aside whose vehicle has no name; false where it has one. */
  @Write
  public boolean discard(UUID id, String by) {
    JobRecord job = record(id);
    if (job.vehicle != null) {
      return false;
    }
    job.discardedAt = clock.instant();
    job.discardedBy = by;
    jobs.save(job);
    changes.count(id);
    return true;
  }

  private JobRecord record(UUID id) {
    return jobs.findById(id).orElseThrow(() -> new NotFound("job " + id));
  }

  /** All jobs of some vehicles. */
  @Transactional(readOnly = true)
  public List<UUID> of(List<UUID> vehicleIds) {
    return jobs.findByVehicleIdIn(vehicleIds).stream().map(j -> j.id).toList();
  }

  /** The open ones among them. */
  @Transactional(readOnly = true)
  public List<UUID> openOf(List<UUID> vehicleIds) {
    return jobs.findByVehicleIdInAndClosedAtIsNullAndDiscardedAtIsNull(vehicleIds).stream()
        .map(j -> j.id)
        .toList();
  }

  /** Vehicles that a name may mean, where there is none of exactly that name. */
  @Transactional(readOnly = true)
  public List<String> alike(String name) {
    return vehicles.findByName(name).isPresent() ? List.of() : vehicles.alike(name);
  }

  /** Names of the vehicles that the workshop met last, to choose from. */
  @Transactional(readOnly = true)
  public List<String> vehicleNames() {
    return vehicles.findTop200ByOrderByIdDesc().stream().map(v -> v.name).sorted().toList();
  }

  /**
   * Writes intake.
   *
   * @param version version of the job that was read; an older one is refused
   */
  @Write
  public void write(UUID id, Intake intake, int version) {
    JobRecord job = jobs.findById(id).orElseThrow(() -> new NotFound("job " + id));
    if (job.version != null && job.version != version) {
      throw new OptimisticLockingFailureException("job " + id);
    }
    VehicleRecord vehicle =
        vehicles
            .findByName(intake.vehicle())
            .orElseGet(() -> new VehicleRecord(identifiers.next(), intake.vehicle()));
    if (!intake.description().isBlank()) {
      vehicle.description = intake.description();
    }
    vehicle.liquidMl = known(intake.liquidMl(), vehicle.liquidMl);
    vehicle.strength = known(intake.strength(), vehicle.strength);
    job.vehicle = vehicles.save(vehicle);
    job.reason = intake.reason();
    job.complaint = intake.complaint();
    job.whereLost = intake.whereLost();
    job.lossMlPerWeek = known(intake.lossMlPerWeek(), null);
    job.hotHoursPerWeek = known(intake.hotHoursPerWeek(), null);
    job.topUpMl = known(intake.topUpMl(), null);
    job.signs = String.join(",", intake.signs());
    job.otherComplaints = intake.otherComplaints();
    job.ground = orNull(intake.told().ground());
    job.puddleAt = orNull(intake.told().puddleAt());
    job.trips = orNull(intake.told().trips());
    job.replacedPart = intake.replacedPart();
    job.replacedDays = known(intake.replacedDays(), null);
    job.intakeAt = clock.instant();
    jobs.save(job);
    changes.count(id);
    changes.countShared();
  }

  /** What a vehicle's system holds (mL) and how strong it is, where that was not known. */
  @Write
  public void learn(UUID id, OptionalDouble liquidMl, OptionalDouble strength) {
    VehicleRecord vehicle = record(id).vehicle;
    if (vehicle == null) {
      return;
    }
    boolean news =
        liquidMl.isPresent() && vehicle.liquidMl == null
            || strength.isPresent() && vehicle.strength == null;
    if (news) {
      vehicle.liquidMl = vehicle.liquidMl == null ? known(liquidMl, null) : vehicle.liquidMl;
      vehicle.strength = vehicle.strength == null ? known(strength, null) : vehicle.strength;
      vehicles.save(vehicle);
      changes.count(id);
      changes.countShared();
    }
  }

  private static @Nullable String orNull(String word) {
    return word.isEmpty() ? null : word;
  }

  /** Gives a job whose vehicle has no name yet one; a known name finds it. */
  @Write
  public void nameVehicle(UUID id, String name) {
    JobRecord job = jobs.findById(id).orElseThrow(() -> new NotFound("job " + id));
    if (job.vehicle == null) {
      job.vehicle =
          vehicles
              .findByName(name)
              .orElseGet(() -> vehicles.save(new VehicleRecord(identifiers.next(), name)));
      jobs.save(job);
      changes.count(id);
    }
  }

  private static @Nullable Double known(OptionalDouble value, @Nullable Double otherwise) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : otherwise;
  }
}
