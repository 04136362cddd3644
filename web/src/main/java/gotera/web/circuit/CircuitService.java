package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.web.job.JobChanges;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.shell.Identifiers;
import gotera.web.shell.RequestMemo;
import gotera.web.shell.Write;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The circuit of a job and what was seen at its joints. */
@Service
public class CircuitService {
  private final LeakSiteRecords sites;
  private final EngineTypeService types;
  private final PhotoService photos;
  private final JobService jobs;
  private final JobChanges changes;
  private final RequestMemo memo;
  private final Identifiers identifiers;
  private final Clock clock;

  CircuitService(
      LeakSiteRecords sites,
      EngineTypeService types,
      PhotoService photos,
      JobService jobs,
      JobChanges changes,
      RequestMemo memo,
      Identifiers identifiers,
      Clock clock) {
    this.sites = sites;
    this.types = types;
    this.photos = photos;
    this.jobs = jobs;
    this.changes = changes;
    this.memo = memo;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** The circuit of a job's vehicle, as it is now. */
  public Circuit circuit(UUID jobId) {
    return types.asNow(jobId);
  }

  /** What was last seen at each joint that was looked at, in the order of the circuit. */
  public List<LeakSite> sites(UUID jobId) {
    Map<String, LeakSite> latest = new LinkedHashMap<>();
    circuit(jobId).joints().forEach(j -> latest.put(j.code(), null));
    looks(jobId).forEach(s -> latest.put(s.joint(), s));
    return latest.values().stream().filter(Objects::nonNull).toList();
  }

  /** Everything that was seen at the joints, in order of time. */
  public List<LeakSite> looks(UUID jobId) {
    return memo.of(
        List.of("looks", jobId),
        () ->
            sites.findByJobIdOrderByWrittenAtAscIdAsc(jobId).stream()
                .map(CircuitService::site)
                .toList());
  }

  /** Photographs of a joint on vehicles of the same engine type, the newest first. */
  @Transactional(readOnly = true)
  List<UUID> photographs(UUID jobId, String joint) {
    List<UUID> vehicles = types.sameType(jobId);
    List<UUID> same = vehicles.isEmpty() ? List.of(jobId) : jobs.of(vehicles);
    return sites.findByJointAndJobIdInAndPhotoIdIsNotNullOrderByWrittenAtDesc(joint, same).stream()
        .map(s -> s.photoId)
        .filter(Objects::nonNull)
        .toList();
  }

  /** Writes down what was seen at a joint, without a photograph. */
  @Write
  public void log(
      UUID jobId,
      String joint,
      String saw,
      OptionalDouble dropsPerMinute,
      OptionalDouble pressureKpa,
      String note,
      String by) {
    String state = pressureKpa.isPresent() ? "pressure" : "cold";
    log(jobId, joint, saw, state, dropsPerMinute, pressureKpa, note, Optional.empty(), by);
  }

  /** Writes down what was seen at a joint. */
  @Write
  public void log(
      UUID jobId,
      String joint,
      String saw,
      String state,
      OptionalDouble dropsPerMinute,
      OptionalDouble pressureKpa,
      String note,
      Optional<Photograph> photograph,
      String by) {
    LeakSiteRecord record =
        new LeakSiteRecord(identifiers.next(), jobId, joint, saw, state, note, clock.instant(), by);
    record.dropsPerMinute = orNull(dropsPerMinute);
    record.pressureKpa = orNull(pressureKpa);
    record.photoId = photograph.map(p -> photos.keep(jobId, p, by)).orElse(null);
    sites.save(record);
    changes.count(jobId);
  }

  private static LeakSite site(LeakSiteRecord s) {
    return new LeakSite(
        s.joint,
        s.saw,
        s.state,
        optional(s.dropsPerMinute),
        optional(s.pressureKpa),
        s.note,
        Optional.ofNullable(s.photoId),
        s.writtenAt,
        s.writtenBy);
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
