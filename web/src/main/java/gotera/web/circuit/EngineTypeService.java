package gotera.web.circuit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Editing;
import gotera.circuit.Features;
import gotera.web.frame.NotFound;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.job.JobService;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Engine types, the vehicles that have them, and the circuit that follows: as built and as now. */
@Service
public class EngineTypeService {
  /** Circuits kept (our judgement): more than a workshop sees in a day. */
  private static final int MOST_KEPT = 300;

  private final EngineTypeRecords types;
  private final VehicleCircuitRecords vehicles;
  private final CircuitEditRecords edits;
  private final JobService jobs;
  private final JobChanges changes;
  private final JobMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;
  private final Cache<From, Circuit> circuits =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

  EngineTypeService(
      EngineTypeRecords types,
      VehicleCircuitRecords vehicles,
      CircuitEditRecords edits,
      JobService jobs,
      JobChanges changes,
      JobMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.types = types;
    this.vehicles = vehicles;
    this.edits = edits;
    this.jobs = jobs;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /**
   * An engine type as pages show it.
   *
   * @param id its identifier
   * @param name its name
   * @param features what its circuit is built from
   * @param vehicles how many vehicles have it
   * @param version to notice someone else's change
   */
  public record EngineType(UUID id, String name, Features features, int vehicles, int version) {}

  /** A change that can be taken back. */
  record Made(UUID id, CircuitEdit edit, boolean ofVehicle, String by) {}

  /** The engine type of a job's vehicle. */
  @Transactional(readOnly = true)
  public Optional<EngineType> of(UUID jobId) {
    return memo.shared("engine-type", jobId, () -> record(jobId).map(this::shown));
  }

  private Optional<EngineTypeRecord> record(UUID jobId) {
    return jobs.require(jobId)
        .vehicleId()
        .flatMap(vehicles::findById)
        .flatMap(v -> types.findById(v.engineTypeId));
  }

  private EngineType shown(EngineTypeRecord type) {
    return new EngineType(
        type.id,
        type.name,
        FeaturesText.read(type.features),
        vehicles.countByEngineTypeId(type.id),
        Objects.requireNonNullElse(type.version, 0));
  }

  /** All engine types, by name. */
  @Transactional(readOnly = true)
  public List<EngineType> all() {
    return types.findAllByOrderByName().stream().map(this::shown).toList();
  }

  /** Version of the type of a name; below zero where there is none. */
  @Transactional(readOnly = true)
  int version(String name) {
    return types.findByName(name).map(t -> Objects.requireNonNullElse(t.version, 0)).orElse(-1);
  }

  /** What the circuit of a job is built from; the usual preset until somebody says otherwise. */
  public Features features(UUID jobId) {
    return memo.shared(
        "features",
        jobId,
        () -> record(jobId).map(t -> FeaturesText.read(t.features)).orElse(CircuitPresets.USUAL));
  }

  /** The circuit as the engine type has it. */
  @Transactional(readOnly = true)
  public Circuit asBuilt(UUID jobId) {
    return built(ofType(jobId));
  }

  private From ofType(UUID jobId) {
    return memo.shared("of-type", jobId, () -> readType(jobId));
  }

  private From readType(UUID jobId) {
    return record(jobId)
        .map(
            t ->
                new From(
                    FeaturesText.read(t.features),
                    of(edits.findByEngineTypeIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(t.id))))
        .orElseGet(() -> new From(CircuitPresets.USUAL, List.of()));
  }

  /** What a circuit is built from. */
  private record From(Features features, List<CircuitEdit> edits) {}

  /** The same features and changes are the same circuit: it is built once, and told apart fast. */
  private Circuit built(From from) {
    return circuits.get(from, f -> Editing.all(CircuitBuilder.of(f.features()), f.edits()));
  }

  /** The circuit as it is now on this vehicle. */
  public Circuit asNow(UUID jobId) {
    return memo.shared("circuit", jobId, () -> readNow(jobId));
  }

  private Circuit readNow(UUID jobId) {
    From type = ofType(jobId);
    List<CircuitEdit> all = new java.util.ArrayList<>(type.edits());
    jobs.require(jobId)
        .vehicleId()
        .map(v -> of(edits.findByVehicleIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(v)))
        .ifPresent(all::addAll);
    return built(new From(type.features(), List.copyOf(all)));
  }

  private static List<CircuitEdit> of(List<CircuitEditRecord> records) {
    return records.stream().flatMap(r -> r.edit().stream()).toList();
  }

  /** What is changed on the circuit of a job's vehicle as it is now, the type's first. */
  public List<CircuitEdit> edits(UUID jobId) {
    return Editing.sensible(
        CircuitBuilder.of(features(jobId)), made(jobId).stream().map(Made::edit).toList());
  }

  /** The changes that stand, the type's first. */
  @Transactional(readOnly = true)
  List<Made> made(UUID jobId) {
    return memo.shared("edits", jobId, () -> readMade(jobId));
  }

  private List<Made> readMade(UUID jobId) {
    List<Made> all = new java.util.ArrayList<>();
    record(jobId)
        .ifPresent(
            t ->
                edits
                    .findByEngineTypeIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(t.id)
                    .forEach(
                        e ->
                            e.edit()
                                .ifPresent(c -> all.add(new Made(e.id, c, false, e.writtenBy)))));
    jobs.require(jobId)
        .vehicleId()
        .ifPresent(
            v ->
                edits
                    .findByVehicleIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(v)
                    .forEach(
                        e ->
                            e.edit()
                                .ifPresent(c -> all.add(new Made(e.id, c, true, e.writtenBy)))));
    return all;
  }

  /** Gives a job's vehicle a known engine type. */
  @Write
  public void choose(UUID jobId, UUID typeId) {
    EngineTypeRecord type =
        types.findById(typeId).orElseThrow(() -> new NotFound("engine type " + typeId));
    give(jobId, type);
  }

  private void give(UUID jobId, EngineTypeRecord type) {
    UUID vehicle =
        jobs.require(jobId).vehicleId().orElseThrow(() -> new NotFound("vehicle of job " + jobId));
    VehicleCircuitRecord has =
        vehicles.findById(vehicle).orElseGet(() -> new VehicleCircuitRecord(vehicle, type.id));
    has.engineTypeId = type.id;
    vehicles.save(has);
    changed(jobId);
  }

  /**
   * Writes an engine type and gives it to the job's vehicle. A known name is that type, whose
   * features change for every vehicle that has it.
   *
   * @param version version of the type that was read; another one is refused, and so is a known
   *     name given as new
   */
  @Write
  public void build(UUID jobId, String name, Features features, int version, String by) {
    EngineTypeRecord type =
        types
            .findByName(name)
            .orElseGet(() -> new EngineTypeRecord(identifiers.next(), clock.instant(), by));
    if (type.version != null && type.version != version) {
      throw new OptimisticLockingFailureException("engine type " + name);
    }
    type.name = name;
    type.features = FeaturesText.of(features);
    give(jobId, types.save(type));
  }

  /**
   * Makes a change, or says why it makes no sense. A branch looped off and what this vehicle does
   * not have are its own; they change neither the engine type nor jobs of other vehicles.
   */
  @Write
  public Optional<Editing.Problem> edit(UUID jobId, CircuitEdit edit, String by) {
    Editing editing = Editing.apply(asNow(jobId), edit);
    if (editing.problem().isPresent()) {
      return editing.problem();
    }
    CircuitEditRecord made = new CircuitEditRecord(identifiers.next(), edit, clock.instant(), by);
    if (edit instanceof CircuitEdit.LoopOff
        || edit instanceof CircuitEdit.RemoveJoint
        || edit instanceof CircuitEdit.RemovePart) {
      made.vehicleId = jobs.require(jobId).vehicleId().orElseThrow();
    } else {
      made.engineTypeId = record(jobId).orElseThrow().id;
    }
    edits.save(made);
    changed(jobId);
    return Optional.empty();
  }

  /** Takes a change back. */
  @Write
  public void withdraw(UUID jobId, UUID editId, String by) {
    if (made(jobId).stream().noneMatch(m -> m.id().equals(editId))) {
      throw new NotFound("edit " + editId);
    }
    CircuitEditRecord edit = edits.findById(editId).orElseThrow();
    edit.withdrawnAt = clock.instant();
    edit.withdrawnBy = by;
    changed(jobId);
  }

  /** What changes an engine type changes every job of it. */
  private void changed(UUID jobId) {
    changes.count(jobId);
    jobs.openOf(sameType(jobId)).stream()
        .filter(j -> !j.equals(jobId))
        .sorted()
        .forEach(changes::count);
    changes.countShared();
  }

  /** The vehicles of the same engine type as a job's, itself included. */
  @Transactional(readOnly = true)
  public List<UUID> sameType(UUID jobId) {
    return memo.shared(
        "same-type",
        jobId,
        () ->
            record(jobId)
                .map(t -> vehicles.findByEngineTypeId(t.id).stream().map(v -> v.vehicleId).toList())
                .orElse(List.of()));
  }
}
